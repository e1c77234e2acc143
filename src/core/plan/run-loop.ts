import { STOPPED_MPS } from '../policy';
import {
  ClearanceMonitor,
  marginsOf,
  SoundingMonitor,
  TouchLog,
  type LeastClearance,
  type Touch,
} from '../monitors';
import { rootBetween } from '../math';
import {
  groundSpeed,
  lineLimits,
  othersOf,
  PSI,
  SAMPLE_S,
  Simulation,
  TIMESTEP_S,
  TraceWriter,
  X,
  Y,
  type Ledger,
  type SimState,
  type Trace,
  type World,
} from '../simulation';
import type { IsAboard } from './cues';
import { checkGoal } from './goal';
import { NO_RIGGING } from './rigging';
import { worldOf, type RunInput } from './input';
import type { Controller, Finish } from './controller';
import { LockMonitor } from './lock-monitor';
import { PlanController } from './plan-controller';
import type { StepMark, Outcome, Run } from './run';

const STEPS_PER_SAMPLE = Math.round(SAMPLE_S / TIMESTEP_S);
// Moments nearer than this to the present have come.
const INSTANT_S = 1e-9;
const SEEKING = { rounds: 12, close: INSTANT_S, instant: INSTANT_S };

/** Is shown the boat, and who is aboard, at every sample of a run; what is to be kept has to be copied. */
export type RunWatch = (state: SimState, world: World, aboard: IsAboard) => void;

/**
 * Plays a manoeuvre from start to finish. Deterministic: the same input gives the same run, bit for bit.
 *
 * @param ledger books the work of every force, if given
 */
export function runPlan(
  input: RunInput,
  watch: RunWatch | null = null,
  ledger: Ledger | null = null,
): Run {
  return new RunLoop(input, planned(input), { watch, ledger }).play();
}

/** The same, given up at the first hard touch: for trying many, where what comes after one tells nothing. */
export function runTillHard(input: RunInput): Run {
  return new RunLoop(input, planned(input), { tillHard: true }).play();
}

/** What a run is conducted by: given once the boat lies there, at the start. */
export type MakeController = (state: SimState, world: World) => Controller;

const planned =
  ({ plan, rigging }: RunInput): MakeController =>
  (state, world) =>
    new PlanController(plan, state, world, rigging);

/** How a run is looked at: shown every sample, its work booked, given up at the first hard touch. */
export interface Looking {
  readonly watch?: RunWatch | null;
  readonly ledger?: Ledger | null;
  readonly tillHard?: boolean;
}

/** One run of a manoeuvre: the water, the boat on it, and what it did, conducted by a plan or by a hand at the helm. */
export class RunLoop {
  readonly world: World;
  readonly state: SimState;
  readonly simulation: Simulation;
  private readonly controller: Controller;
  private readonly log: TouchLog;
  private readonly trace: TraceWriter;
  private readonly steps: StepMark[] = [];
  private readonly clearance: ClearanceMonitor;
  private readonly soundings: SoundingMonitor;
  private readonly locks: LockMonitor;
  private readonly tended: boolean;
  private readonly watch: RunWatch | null;
  private readonly tillHard: boolean;
  /** Steps of the grid that lie behind. */
  private gridStep = 0;
  private seen = 0;

  constructor(
    private readonly input: RunInput,
    conducted: MakeController,
    { watch = null, ledger = null, tillHard = false }: Looking = {},
  ) {
    this.watch = watch;
    this.tillHard = tillHard;
    const world = worldOf(input, input.limit);
    this.world = world;
    this.log = new TouchLog(world);
    this.simulation = Simulation.at(world, input.start, { watch: this.log, ledger });
    this.state = this.simulation.state;
    this.clearance = new ClearanceMonitor(world, input.berth);
    this.soundings = new SoundingMonitor(world);
    this.trace = new TraceWriter(Math.floor(input.limit / SAMPLE_S + 1e-9) + 2, world);
    this.tended = [world, ...othersOf(world).map((other) => other.world)].some(
      ({ lines }) => lines.tended,
    );
    this.controller = conducted(this.state, world);
    const { crew, events } = this.controller;
    this.locks = new LockMonitor(world, crew, events);
  }

  /** From start to finish. */
  play(): Run {
    this.begin();
    while (this.controller.finish === null) this.goOn();
    this.lastSample();
    return this.run(this.trace.handOver());
  }

  /** The boat lies there, and whatever it lies against is not a touch; the first steps begin. */
  begin(): void {
    const { simulation } = this;
    simulation.warmUp();
    this.log.settle(simulation.vessel, simulation.pairs);
    this.controller.crew.tellStart();
    this.sample();
    this.beginSteps();
  }

  /** To the next point of the grid, or to the end if that comes before. */
  stepOn(): void {
    const from = this.gridStep;
    while (this.gridStep === from && this.controller.finish === null) this.goOn();
  }

  /** What the boat shows by now that it is over; nothing can follow. */
  end(): Run {
    this.lastSample();
    return this.run(this.trace.finish());
  }

  private lastSample(): void {
    if (this.gridStep % STEPS_PER_SAMPLE !== 0 || this.offGrid() > INSTANT_S) this.sample();
  }

  /** The boat's last samples, the newest last. */
  recent(samples: number): Trace {
    return this.trace.finish(samples);
  }

  /** What the boat is nearest to at the last sample, its own berth left out; null with nothing about. */
  get nearest(): LeastClearance | null {
    return this.clearance.nearest(this.simulation);
  }

  get touches(): readonly Touch[] {
    return this.log.touches();
  }
  get touchCount(): number {
    return this.log.count;
  }

  private goOn(): void {
    if (this.state.time >= this.input.limit - INSTANT_S || this.givenUp())
      this.controller.stopForTime();
    else this.advance();
  }

  private givenUp(): boolean {
    if (!this.tillHard || this.log.count === this.seen) return false;
    this.seen = this.log.count;
    return this.log.touches().some((touch) => touch.grade === 'hard');
  }

  private offGrid(): number {
    return Math.abs(this.state.time - this.gridStep * TIMESTEP_S);
  }

  /** One piece of the way: to the next grid point, moment, actuator event or cue, whichever is first. */
  private advance(): void {
    const { state, controller, simulation } = this;
    const toGrid = (this.gridStep + 1) * TIMESTEP_S - state.time;
    const toMoment = Math.max(controller.nextMoment() - state.time, INSTANT_S);
    const dt = Math.min(toGrid, toMoment, simulation.timeToEvent());
    simulation.markHere();
    simulation.advance(dt);
    // A state that is not finite would never get anywhere: a fault of the core, not of the input.
    if (!Number.isFinite(state.motion[X]!)) throw new Error('the motion is not finite');
    // Before the step no cue stood reached: those that did have begun their steps.
    const level = controller.level(state);
    if (level >= 0) this.findCue(dt, controller.level(simulation.marked), level);
    if (this.state.time >= (this.gridStep + 1) * TIMESTEP_S - INSTANT_S) this.reachGrid();
    if (this.tended) this.lookAtLines();
    if (controller.takeMoments() || level >= 0) this.beginSteps();
    if (controller.brokenOff && controller.finish === null && this.lyingStopped())
      controller.finish = 'broke off';
  }

  /** A line in the propeller ends it: nothing of what was planned can follow. */
  private lookAtLines(): void {
    const { crew } = this.controller;
    crew.look(this.simulation.marked);
    if (crew.fouled && this.controller.finish === null) this.controller.finish = 'fouled';
  }

  private retake(dt: number): number {
    this.simulation.rewind();
    this.simulation.advance(dt);
    return this.controller.level(this.state);
  }

  /**
   * The cue came somewhere inside the step just made: takes the step again, shorter, until its end is
   * the cue's own moment (Illinois method), so that outcomes do not jump by a step's worth.
   */
  private findCue(dt: number, levelBefore: number, levelAfter: number): void {
    let at = dt;
    const tried = (guess: number) => {
      at = guess;
      return this.retake(guess);
    };
    const b = rootBetween(tried, 0, levelBefore, dt, levelAfter, SEEKING);
    if (at !== b) this.retake(b);
  }

  private reachGrid(): void {
    this.gridStep += 1;
    this.state.time = this.gridStep * TIMESTEP_S;
    if (this.gridStep % STEPS_PER_SAMPLE === 0) this.sample();
  }

  private beginSteps(): void {
    const { events } = this.controller;
    const from = events.length;
    this.controller.takeCues();
    const { motion, time } = this.state;
    // A plan that goes round again begins a step more than once.
    for (let i = from; i < events.length; i++) {
      const event = events[i]!;
      if (event.is !== 'step') continue;
      const { step } = event;
      this.steps.push({ step, time, x: motion[X]!, y: motion[Y]!, heading: motion[PSI]! });
    }
  }

  private lyingStopped(): boolean {
    const { time, engines } = this.state;
    const began = this.controller.events.findLast((event) => event.is === 'way out');
    const idle = engines.every((engine) => engine.orderedGear === 0);
    return (
      began !== undefined &&
      time - began.time > 5 &&
      idle &&
      groundSpeed(this.state, this.world) < STOPPED_MPS
    );
  }

  private sample(): void {
    const { simulation, state, world, clearance, soundings, controller } = this;
    clearance.observe(simulation);
    soundings.observe(simulation);
    this.locks.observe(simulation, soundings.now);
    this.trace.write(simulation, clearance.distance, soundings.now);
    if (soundings.isCaught && controller.finish === null) controller.finish = 'caught overhead';
    controller.noteClearance(clearance.distance);
    this.watch?.(state, world, controller.crew.isAboard);
  }

  private run(trace: Trace): Run {
    const { controller, world, state, input, simulation } = this;
    const touches = this.log.touches();
    const goal = checkGoal(
      input.goal,
      state,
      world,
      this.clearance.fromAll(simulation),
      input.rigging ?? NO_RIGGING,
    );
    const outcome = judge(
      controller.finish,
      controller.crew.inDanger,
      this.locks.hung,
      touches.some((t) => t.grade === 'hard'),
      this.soundings.tookGround,
      goal.every((c) => c.met),
    );
    const lines = input.rigging?.lines ?? [];
    const breaks = lines.map((_, i) => lineLimits(world, i).breaks);
    const margins = marginsOf(
      trace,
      touches,
      this.clearance.result(),
      this.soundings.result(),
      breaks,
    );
    return {
      outcome,
      duration: state.time,
      trace,
      steps: this.steps,
      events: controller.events,
      touches,
      margins,
      goal,
      clearance: margins.clearance,
    };
  }
}

function judge(
  finish: Finish | null,
  inDanger: boolean,
  hung: boolean,
  hard: boolean,
  aground: boolean,
  goalMet: boolean,
): Outcome {
  if (inDanger) return 'unsafe';
  if (hung) return 'hung up';
  if (hard) return 'hard touch';
  if (finish === 'caught overhead') return finish;
  if (aground) return 'aground';
  if (finish === 'ended' || finish === null) return goalMet ? 'reached' : 'missed';
  return finish;
}
