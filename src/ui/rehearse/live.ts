import { createStore, type StoreApi } from 'zustand/vanilla';
import { cutAt, markedFrom, transitsFrom, type Fixed, type Transit } from '@/core/drive';
import type { RunEvent } from '@/core/plan';
import type { Touch } from '@/core/monitors';
import { TIMESTEP_S } from '@/core/simulation';
import {
  fixedPoints,
  markedTransits,
  toBoatSpec,
  type DrivenFile,
  type ManoeuvreFile,
  type OrderDocument,
  type RecordingDocument,
} from '@/document';
import { assembleCraft } from '@/core/boat';
import { DriveClient, type DriveUpdate } from '@/workers';
import { usePlayhead } from '../state/playhead';
import { appSteers, type HelmBy } from './helm-by';
import { helmOf, ordersBetween, unknownFrom, type HelmAt } from './helm-orders';
import { RunKeeper } from './keep';
import type { HandedOver, LiveState } from './live-state';
import { isUnderWay, mayFollow, type LiveStatus } from './live-status';

export const RATES = [0.25, 0.5, 1, 2, 4] as const;

/** The next step is asked for so long before it is needed, s of the page's time: what the worker takes to answer. */
const LEAD_S = 0.03;
/** A page that was not drawn for longer than this does not make up for it. */
const LONGEST_FRAME_S = 0.1;
const SAVE_EVERY_S = 1;
const LOOK_AHEAD_EVERY_S = 0.5;
const MOST_STEPS_AT_ONCE = 6;

const BEGIN: RecordingDocument = { inputs: [], timesteps: 0, end: null, surprises: [], skips: [] };

/**
 * A drive as the page sees it: it holds the clock, the controls as the hands have put them and what the worker last told.
 * The worker is always one step ahead of what is drawn, so that drawing goes between two known moments.
 */
export class Live {
  readonly store: StoreApi<LiveState> = createStore<LiveState>(() => ({
    status: 'opening',
    now: null,
    recent: null,
    soFar: null,
    helm: null,
    traffic: [],
    ahead: null,
    rate: 1,
    problems: [],
    saved: null,
    runId: null,
    transit: null,
    helmBy: 'you',
    handedOver: null,
    ghost: null,
  }));
  /** Rudder angle with the wheel hard over, degrees, and how fast it goes there, degrees a second. */
  readonly mostWheel: number;
  readonly wheelRate: number;
  /** What ashore can be put in line. */
  private readonly fixed: readonly Fixed[];
  private readonly marked: readonly Transit[];
  private client!: DriveClient;
  private keeper: RunKeeper | null = null;
  /** The drive as far as it is known here: what it is opened from again. */
  private recorded: RecordingDocument;
  private events: RunEvent[] = [];
  private touches: Touch[] = [];
  /** Where the controls were when orders were last sent. */
  private sent: HelmAt | null = null;
  private spoken: OrderDocument[] = [];
  /** Are the controls to be drawn as the next answer has them, because the app moved them? */
  private mirrors = false;
  private asking = false;
  private shown = 0;
  private savedAt = 0;
  private lookedAt = -Infinity;
  private looking = false;
  private frame = 0;
  private last = 0;
  private closed = false;
  private readonly perFrame = new Set<(seconds: number) => void>();

  constructor(
    readonly file: ManoeuvreFile,
    readonly manoeuvreId: string,
    private readonly from: RecordingDocument = BEGIN,
  ) {
    this.recorded = from;
    const { limits } = assembleCraft(toBoatSpec(file.boat));
    this.mostWheel = (limits[0]! * 180) / Math.PI;
    this.wheelRate = file.boat.steering.rate_degps;
    this.fixed = fixedPoints(file.place);
    this.marked = markedTransits(file.place);
  }

  /** Sets up the worker and opens the drive there. */
  start(): void {
    this.closed = false;
    this.client = new DriveClient(() => void this.recover());
    void this.open(this.from);
  }

  /** The worker ended and took the drive with it: it is opened again where it was last saved, and stands still there. */
  private async recover(): Promise<void> {
    if (this.closed) return;
    this.asking = false;
    this.looking = false;
    this.spoken = [];
    this.turn('opening', { ahead: null });
    await this.open(this.recorded);
    const message = 'the computation stopped; the drive goes on from where it was last saved';
    if (this.status !== 'refused') this.set({ problems: [{ path: '(worker)', message }] });
  }

  private get status(): LiveStatus {
    return this.store.getState().status;
  }

  private set(part: Omit<Partial<LiveState>, 'status'>): void {
    if (!this.closed) this.store.setState(part);
  }

  /** On to another status, where that may follow; what goes with it is told in the same breath. */
  private turn(status: LiveStatus, part: Omit<Partial<LiveState>, 'status'> = {}): boolean {
    if (this.closed || !mayFollow(this.status, status)) return false;
    if (status !== 'running') cancelAnimationFrame(this.frame);
    this.store.setState({ ...part, status });
    return true;
  }

  private async open(recording: RecordingDocument): Promise<void> {
    this.events = [];
    this.touches = [];
    this.recorded = recording;
    const answer = await this.client.open(this.file, recording);
    if (this.closed) return;
    if (!answer.ok) return void this.turn('refused', { problems: answer.problems });
    this.accept(answer.value);
    const { now, traffic } = answer.value;
    this.set({ traffic });
    this.sent = helmOf(now, this.mostWheel);
    this.shown = now.time;
    this.set({ helm: this.sent, soFar: null });
    // One that was opened at its end is over already.
    this.turn(recording.timesteps > 0 ? 'paused' : 'ready');
    this.showTime();
    this.lookedAt = -Infinity;
    this.lookAhead();
  }

  /** Takes in what the worker told. */
  private accept({ now, problems }: DriveUpdate): void {
    this.events = [...this.events, ...now.events];
    // A blow told again because it came to be harder takes the place of what was told first.
    const again = new Set(now.touches.map(({ time, name }) => `${time} ${name}`));
    const kept = this.touches.filter(({ time, name }) => !again.has(`${time} ${name}`));
    this.touches = [...kept, ...now.touches];
    const recent = { trace: now.trace, events: this.events, touches: this.touches };
    const { helmBy } = this.store.getState();
    if (this.mirrors || appSteers(helmBy, now.step)) {
      this.sent = helmOf(now, this.mostWheel);
      this.set({ helm: this.sent });
    }
    this.mirrors = false;
    this.set({ now, recent, problems });
    if (now.finish !== null) void this.finished();
  }

  /** Called at every frame while it runs, with the seconds of the boat's time since the last. */
  onFrame(act: (seconds: number) => void): () => void {
    this.perFrame.add(act);
    return () => this.perFrame.delete(act);
  }

  run(): void {
    if (!mayFollow(this.status, 'running')) return;
    if (!this.keeper) this.begin();
    // Looked back at: it goes on from where it stood.
    this.turn('running', { soFar: null });
    this.shown = this.store.getState().now!.time;
    this.last = performance.now();
    this.frame = requestAnimationFrame(this.tick);
  }

  private begin(): void {
    const run = {
      id: crypto.randomUUID(),
      manoeuvreId: this.manoeuvreId,
      manoeuvre: this.file,
      startedAt: Date.now(),
    };
    this.keeper = new RunKeeper(run, (saved) => this.set({ saved }));
    this.set({ runId: run.id });
  }

  private readonly tick = (at: number): void => {
    if (this.closed || this.status !== 'running') return;
    const { rate, now } = this.store.getState();
    const seconds = Math.min(LONGEST_FRAME_S, Math.max(0, (at - this.last) / 1000)) * rate;
    this.last = at;
    for (const act of this.perFrame) act(seconds);
    this.shown = Math.min(now!.time, this.shown + seconds);
    this.showTime();
    const ahead = this.shown + LEAD_S * rate - now!.time;
    if (ahead > 0 && !this.asking)
      void this.ask(Math.min(MOST_STEPS_AT_ONCE, 1 + Math.floor(ahead / TIMESTEP_S)));
    this.lookAhead();
    this.frame = requestAnimationFrame(this.tick);
  };

  private showTime(): void {
    usePlayhead.setState({ time: Math.max(0, this.shown) });
  }

  /** Sends what the hands have done since, and asks for the steps that follow. */
  private async ask(timesteps: number): Promise<void> {
    this.asking = true;
    const { helm } = this.store.getState();
    const orders = [...ordersBetween(this.sent!, helm!, this.file.boat), ...this.spoken];
    this.sent = helm;
    this.spoken = [];
    const answer = await this.client.advance(orders, timesteps);
    // Opened anew meanwhile: this answer is of a drive that is no more.
    if (this.closed || !this.asking) return;
    this.asking = false;
    if (!answer.ok) return void this.turn('refused', { problems: answer.problems });
    this.accept(answer.value);
    const { time, finish } = answer.value.now;
    if (finish === null && time - this.savedAt >= SAVE_EVERY_S) {
      this.savedAt = time;
      await this.save(false);
    }
  }

  private lookAhead(): void {
    const { now } = this.store.getState();
    if (!now || this.looking || Math.abs(now.time - this.lookedAt) < LOOK_AHEAD_EVERY_S) return;
    this.looking = true;
    this.lookedAt = now.time;
    void this.client.ahead().then((ahead) => {
      this.looking = false;
      if (ahead.ok) this.set({ ahead: ahead.value });
    });
  }

  private async save(last: boolean): Promise<void> {
    const recording = await this.client.recording();
    if (!recording.ok) return;
    this.recorded = recording.value;
    this.keeper?.save(recording.value, last);
  }

  /** Stands still; the run so far can be looked back over. */
  async pause(): Promise<void> {
    if (this.status !== 'running' || !this.turn('paused')) return;
    this.shown = this.store.getState().now!.time;
    this.showTime();
    await this.save(false);
    await this.look();
  }

  private async look(): Promise<void> {
    const soFar = await this.client.soFar();
    if (this.closed || !soFar.ok) return;
    this.set({ soFar: soFar.value });
    const { duration, steps } = soFar.value;
    usePlayhead.getState().setRun(duration, steps);
  }

  /** Over by itself, or because the helm said so. */
  private async finished(): Promise<void> {
    if (!this.turn('over', { ahead: null })) return;
    this.shown = this.store.getState().now!.time;
    this.showTime();
    await this.save(true);
    await this.look();
  }

  async end(how: 'done' | 'broke off'): Promise<void> {
    if (!isUnderWay(this.status)) return;
    cancelAnimationFrame(this.frame);
    const answer = await this.client.end(how);
    if (answer.ok && !this.closed) this.accept(answer.value);
  }

  /**
   * Begins again as the boat stood at a moment: what was done before it stands, as a run of its own. From nought it is
   * a new try.
   */
  async retry(time: number): Promise<void> {
    const kept = await this.client.recording();
    if (!kept.ok || this.closed) return;
    // What was driven stays as it was; the new one is kept beside it once it goes on.
    if (isUnderWay(this.status)) this.keeper?.save(kept.value, true);
    this.keeper = null;
    this.savedAt = 0;
    const step = Math.min(kept.value.timesteps, Math.max(0, Math.round(time / TIMESTEP_S)));
    this.turn('opening', { runId: null, saved: null, ahead: null });
    await this.open({ ...cutAt(kept.value, step), timesteps: step });
  }

  /** Begins anew with other surprises. */
  async surprise(surprises: RecordingDocument['surprises']): Promise<void> {
    this.keeper = null;
    this.turn('opening', { runId: null, saved: null, ahead: null });
    await this.open({ ...BEGIN, surprises });
  }

  /** Lets an earlier run go along as a ghost, or the plan again. False if it cannot be played. */
  async ghostOf(kept: { readonly id: string; readonly file: DrivenFile } | null): Promise<boolean> {
    if (!kept) {
      this.set({ ghost: null });
      return true;
    }
    const run = await this.client.replay(kept.file.manoeuvre, kept.file.recording);
    if (run.ok) this.set({ ghost: { id: kept.id, run: run.value } });
    return run.ok;
  }

  setRate(rate: number): void {
    this.set({ rate });
  }

  /** Puts the controls otherwise; it is drawn at once and ordered with the next step. */
  move(change: (helm: HelmAt) => HelmAt): void {
    const { helm, status } = this.store.getState();
    if (!helm || status === 'over' || status === 'opening') return;
    if (this.isSteered) {
      // Whoever takes hold of a control has the helm.
      this.set({ helmBy: 'you' });
      this.releaseHelm();
    }
    this.set({ helm: change(helm) });
  }

  private get isSteered(): boolean {
    const { helmBy, now } = this.store.getState();
    return now !== null && appSteers(helmBy, now.step);
  }

  setHelmBy(helmBy: HelmBy): void {
    this.set({ helmBy, handedOver: null });
  }

  /** Every control is ordered anew as it stands: whoever steered by the plan steers no more. */
  releaseHelm(): void {
    const { helm } = this.store.getState();
    if (helm) this.sent = unknownFrom(helm, this.mostWheel > 0);
  }

  /** The app gives the helm back, with a last few orders. */
  handOver(why: HandedOver, orders: readonly OrderDocument[]): void {
    this.set({ helmBy: 'you', handedOver: why });
    this.releaseHelm();
    this.spoken.push(...orders);
    this.mirrors = orders.length > 0;
  }

  turnWheel(to: number): void {
    const wheel = Math.max(-this.mostWheel, Math.min(this.mostWheel, to));
    this.move((helm) => ({ ...helm, wheel }));
  }

  /** On to the next step of the plan, its cue come or not. */
  async passOn(): Promise<void> {
    if (!isUnderWay(this.status)) return;
    const answer = await this.client.passOn();
    if (answer.ok && !this.closed) this.accept(answer.value);
  }

  /** Takes two things in line from here; asked again, the next best pair, and after the last none. */
  takeTransit(): void {
    const { now, transit } = this.store.getState();
    if (!now) return;
    const found = [...markedFrom(this.marked, now.eye), ...transitsFrom(this.fixed, now.eye)];
    const same = ({ near, far }: Transit) =>
      transit && near === transit.near && far === transit.far;
    const next = found[found.findIndex(same) + 1];
    this.set({ transit: next ?? (found.length === 0 ? false : null) });
  }

  /** Calls an order to the crew, or to anybody. */
  say(order: OrderDocument): void {
    this.spoken.push(order);
    this.set({ problems: [] });
  }

  close(): void {
    if (this.status === 'running') void this.save(false);
    cancelAnimationFrame(this.frame);
    this.closed = true;
    this.client.close();
  }
}
