import type { SimState, World } from '../simulation';
import type { Controller, Finish } from './controller';
import { Crew } from './crew';
import type { RunEvent } from './events';
import { lookAt } from './expectations';
import { armTrigger, type Trigger } from './cues';
import { isDoneBy, isWatched } from './orders';
import { applyOrder } from './apply-order';
import { NO_RIGGING, type Rigging } from './rigging';
import type { ControlOrder } from './orders';
import type { Expectation } from './expectations';
import type { Again, Plan, TimedOrder } from './types';

interface Due {
  readonly at: number;
  readonly step: number;
  readonly timed: TimedOrder;
}

interface Watch {
  readonly step: number;
  readonly index: number;
  readonly expectation: Expectation;
  /** Time it is looked at; Infinity for "at the next step". */
  readonly at: number;
}

/** How long the way out is followed before the run is closed, s. */
const WAY_OUT_S = 45;

/**
 * Plays a plan against a moving boat: waits for cues, gives orders when due, looks at what was expected
 * and takes the way out if it was not met. The run loop asks it for the next moment of interest and
 * tells it when that moment has come.
 */
export class PlanController implements Controller {
  readonly events: RunEvent[] = [];
  finish: Finish | null = null;
  /** Step last begun, −1 before the first. */
  current = -1;
  private trigger: Trigger;
  private armedAt: number;
  private due: Due[] = [];
  private watches: Watch[] = [];
  private escapedAt = Infinity;
  /** Where the plan goes on after a way out; null while none is taken, or where it is the end. */
  private round: Again | null = null;
  private rounds = 0;
  private stepClearance = Infinity;
  readonly crew: Crew;
  /** Orders to the controls while nobody is at them. */
  private waiting: ControlOrder[] = [];

  constructor(
    private readonly plan: Plan,
    private readonly state: SimState,
    private readonly world: World,
    rigging: Rigging = NO_RIGGING,
  ) {
    this.crew = new Crew(rigging, state, world, this.events);
    this.armedAt = state.time;
    this.trigger = armTrigger(this.nextCue(), state, world, this.crew.isAboard);
  }

  private nextCue() {
    return (this.plan.steps[this.current + 1] ?? this.plan.end).cue;
  }

  private deadline(): number {
    if (this.escapedAt < Infinity) return this.escapedAt + (this.round?.within ?? WAY_OUT_S);
    return this.armedAt + (this.plan.steps[this.current + 1] ?? this.plan.end).within;
  }

  /** The next moment fixed by the clock: an order, a look, a deadline. s */
  nextMoment(): number {
    let least = Math.min(this.deadline(), this.crew.next());
    for (let i = 0; i < this.due.length; i++) least = Math.min(least, this.due[i]!.at);
    for (let i = 0; i < this.watches.length; i++) least = Math.min(least, this.watches[i]!.at);
    return least;
  }

  /** Level of the cue being waited for, as it stands in `state`; never reached once broken off. */
  level(state: SimState): number {
    if (this.escapedAt < Infinity && !this.round) return -1;
    return this.trigger.level(state, this.world);
  }

  /** Clearance from anything but the berth, now, m. */
  noteClearance(clearance: number): void {
    this.stepClearance = Math.min(this.stepClearance, clearance);
    for (const watch of this.watches) {
      if (watch.expectation.is === 'clear' && clearance < watch.expectation.least) {
        this.look(watch);
        return;
      }
    }
  }

  /** Begins every step whose cue stands reached at this instant. */
  takeCues(): void {
    this.waitForWatched();
    while (this.finish === null && this.level(this.state) >= 0) {
      if (this.round) this.goRound(this.round);
      else this.closeStep();
      if (this.finish !== null || (this.escapedAt < Infinity && !this.round)) return;
      if (this.escapedAt < Infinity) continue;
      this.current += 1;
      const step = this.plan.steps[this.current];
      if (!step) {
        this.events.push({ time: this.state.time, is: 'end' });
        this.finish = 'ended';
        return;
      }
      const { time } = this.state;
      this.events.push({ time, is: 'step', step: this.current });
      // What an earlier step still had to order is overtaken by this one, but for what somebody is only late with: that they do first.
      const owed = this.due.filter(({ at, timed: { late = 0 } }) => at - late <= time + 1e-9);
      const first = owed.reduce((last, { at }) => Math.max(last, at), time);
      this.due = [...owed, ...this.queue(step.orders, first)];
      this.watches = step.expect.map((expectation, index) => ({
        step: this.current,
        index,
        expectation,
        at: expectation.at === 'next' ? Infinity : time + expectation.at.after,
      }));
      this.stepClearance = Infinity;
      this.armedAt = time;
      this.giveDue();
      this.handsAct();
      this.waitForWatched();
      this.trigger = armTrigger(this.nextCue(), this.state, this.world, this.crew.isAboard);
    }
  }

  /** What an earlier order has done says nothing of one that is yet to be given. */
  private waitForWatched(): void {
    if (this.due.some(({ timed }) => isWatched(timed.order))) this.state.hand.done = false;
  }

  /** Does whatever the clock has brought due; tells whether hands did something a cue may have waited for. */
  takeMoments(): boolean {
    if (this.state.time + 1e-9 < this.nextMoment()) return false;
    this.giveDue();
    const acted = this.handsAct();
    const now = this.state.time + 1e-9;
    for (const watch of this.watches.filter(({ at }) => at <= now)) this.look(watch);
    if (this.finish === null && now >= this.deadline()) this.overdue();
    return acted;
  }

  /** Hands go on with what they do; whoever comes back to the helm does what was called meanwhile. */
  private handsAct(): boolean {
    const acted = this.crew.act();
    if (this.waiting.length > 0 && this.crew.helmManned()) {
      for (const order of this.waiting) applyOrder(order, this.state, this.world);
      this.waiting = [];
    }
    return acted;
  }

  stopForTime(): void {
    if (this.finish !== null) return;
    this.events.push({ time: this.state.time, is: 'out of time' });
    this.finish = 'out of time';
  }

  /** Once broken off, the run may close as soon as the boat lies stopped. */
  get brokenOff(): boolean {
    return this.escapedAt < Infinity && !this.round;
  }

  /** Round: the step it goes on with comes next, as if it had not been. */
  private goRound({ step }: Again): void {
    this.round = null;
    this.rounds += 1;
    this.escapedAt = Infinity;
    this.current = step - 1;
    this.events.push({ time: this.state.time, is: 'again', step, round: this.rounds });
  }

  private overdue(): void {
    if (this.escapedAt < Infinity) {
      this.finish = 'broke off';
      return;
    }
    const { time } = this.state;
    const waited = time - this.armedAt;
    this.events.push({ time, is: 'cue never came', step: this.current + 1, waited });
    if (this.plan.steps[this.current]?.wayOut.automatic) this.escape();
    else this.finish = 'cue never came';
  }

  /** Looks at what was expected by the next step. */
  private closeStep(): void {
    for (const watch of this.watches.filter(({ at }) => at === Infinity)) {
      this.look(watch);
    }
  }

  private look(watch: Watch): void {
    this.watches = this.watches.filter((w) => w !== watch);
    const { expectation, step, index } = watch;
    const finding = lookAt(expectation, this.state, this.world, this.stepClearance);
    if (finding.met) return;
    const { time } = this.state;
    const { found } = finding;
    this.events.push({ time, is: 'expectation failed', step, index, expectation, found });
    if (this.plan.steps[step]!.wayOut.automatic && !this.brokenOff) this.escape();
  }

  private escape(): void {
    const { time } = this.state;
    const step = this.plan.steps[this.current]!;
    this.events.push({ time, is: 'way out', step: this.current });
    this.escapedAt = time;
    this.watches = [];
    this.due = this.queue(step.wayOut.orders);
    const { again } = step.wayOut;
    if (again && this.rounds < again.times) {
      this.round = again;
      this.trigger = armTrigger(again.cue, this.state, this.world, this.crew.isAboard);
    }
    this.giveDue();
  }

  /** @param first no sooner than this, s */
  private queue(orders: readonly TimedOrder[], first = -Infinity): Due[] {
    const { time } = this.state;
    return orders.map((timed) => ({
      at: Math.max(first, time + timed.after),
      step: this.current,
      timed,
    }));
  }

  private giveDue(): void {
    const now = this.state.time + 1e-9;
    for (const { at, step, timed } of this.due) {
      if (at <= now) this.give(step, timed);
    }
    this.due = this.due.filter(({ at }) => at > now);
  }

  private give(step: number, { order }: TimedOrder): void {
    this.events.push({ time: this.state.time, is: 'order', step, order });
    if (isDoneBy(order, 'crew')) this.crew.give(order);
    else if (order.do === 'call' || this.crew.helmManned())
      applyOrder(order, this.state, this.world);
    else this.waiting.push(order);
  }
}
