import type { DriveNow } from '@/core/drive';
import type { OrderDocument } from '@/document';
import { isForCrew } from './for-crew';
import { appSteers } from './helm-by';
import type { Live } from './live';
import type { LiveState } from './live-state';
import { OrdersDue, standingOrders } from './orders-due';

const isForHelm = (order: OrderDocument) => !isForCrew(order);

/** What of a drive is gone by and steered. */
type Steered = Pick<Live, 'file' | 'store' | 'say' | 'releaseHelm' | 'handOver' | 'end'>;

/**
 * The helm taken by the plan: at every step of the app's it does what the plan has it do, with nobody's eye and never late; at a step of the user's it lets the controls
 * go as they stand, and takes them again with the next.
 */
export class HelmByPlan {
  private readonly due = new OrdersDue(isForHelm);
  private step: number;
  private since: number;
  private steered = false;

  constructor(private readonly live: Steered) {
    const { now } = live.store.getState();
    this.step = now?.step ?? -1;
    this.since = now?.time ?? 0;
  }

  /** Follows the drive until the answer is called. */
  follow(): () => void {
    return this.live.store.subscribe((state, last) => {
      if (state.now !== last.now || state.helmBy !== last.helmBy) this.look(state, last);
    });
  }

  private look(state: LiveState, last: LiveState): void {
    const { now, status, helmBy } = state;
    if (!now) return;
    if (last.now && now.time < last.now.time) return this.goneBack(state, now);
    const steers = appSteers(helmBy, now.step) && !now.planDone;
    if (steers && !this.steered) this.take(now.step === this.step ? now.step : now.step - 1);
    if (now.step !== this.step) this.begin(now.step, now.time, steers);
    if (!steers && this.steered) this.letGo(now.planDone);
    this.steered = steers;
    if (!steers || status !== 'running') return;
    for (const order of this.due.come(now.time)) this.live.say(order);
    this.lookForTime(now.step, now.time);
  }

  /** What had been ordered by then is done again with the drive itself; what the step had still to order comes in its time. */
  private goneBack({ recent, helmBy }: LiveState, { step, time }: DriveNow): void {
    this.due.forget();
    this.step = step;
    this.steered = appSteers(helmBy, step);
    const begun = recent?.events.findLast((event) => event.is === 'step' && event.step === step);
    this.since = begun?.time ?? time;
    const now = this.live.file.plan.steps[step];
    if (!now || !this.steered) return;
    this.due.begin(now, this.since);
    this.due.come(time);
  }

  private take(upTo: number): void {
    for (const order of standingOrders(this.live.file.plan, upTo, isForHelm)) this.live.say(order);
  }

  /** What an earlier step still had to order is overtaken by the next one, as it is where a plan is played. */
  private begin(step: number, time: number, steers: boolean): void {
    this.due.forget();
    const { steps } = this.live.file.plan;
    if (steers) for (const one of steps.slice(this.step + 1, step + 1)) this.due.begin(one, time);
    this.step = step;
    this.since = time;
  }

  /** The controls stay as they are, and are the user's; with the plan the rehearsal is over. */
  private letGo(isThrough: boolean): void {
    this.due.forget();
    this.live.releaseHelm();
    if (isThrough) void this.live.end('done');
  }

  /** A step that does not come in time: what the plan has for that is done, and the helm handed over. */
  private lookForTime(step: number, time: number): void {
    const { steps, end } = this.live.file.plan;
    const now = steps[step];
    const { within_s } = steps[step + 1] ?? end;
    if (!now || time - this.since < within_s) return;
    const { automatic, orders, note } = now.wayOut;
    this.due.forget();
    this.steered = false;
    const last = automatic ? orders.filter(isForHelm) : [];
    this.live.handOver(
      { after: within_s, note },
      last.map((order) => ({ ...order, after_s: 0 })),
    );
  }
}
