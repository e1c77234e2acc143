import {
  armTrigger,
  Crew,
  isDoneBy,
  NO_RIGGING,
  applyOrder,
  type Controller,
  type ControlOrder,
  type Cue,
  type Finish,
  type Order,
  type RunInput,
  type RunEvent,
} from '../plan';
import { releaseJoystick, type SimState, type World } from '../simulation';

/** So much further off than a cue asks for is gone by, not somewhere else, m. */
const PASSED_AT = 5;

/** A hand at the helm: orders come when they are given, and the plan is only looked at, to know how far one is. */
export class ManualController implements Controller {
  readonly events: RunEvent[] = [];
  readonly crew: Crew;
  readonly brokenOff = false;
  finish: Finish | null = null;
  current = -1;
  private trigger;
  /** Nearest the boat has been to the cue, in its own measure. */
  private nearestCue = -Infinity;
  /** Orders to the controls while nobody is at them. */
  private waiting: ControlOrder[] = [];
  /** What does not answer the helm any more. */
  readonly dead = { joystick: false, thrusters: new Set<number>() };

  constructor(
    private readonly input: RunInput,
    private readonly state: SimState,
    private readonly world: World,
  ) {
    this.crew = new Crew(input.rigging ?? NO_RIGGING, state, world, this.events);
    this.trigger = armTrigger(this.nextCue(), state, world, this.crew.isAboard);
  }

  /** The cue of the plan that comes next; that of its end behind the last step. */
  nextCue(): Cue {
    const { steps, end } = this.input.plan;
    return (steps[this.current + 1] ?? end).cue;
  }

  /** Have all cues of the plan come, its end too? */
  get planDone(): boolean {
    return this.current >= this.input.plan.steps.length;
  }

  /** How far that cue is from being reached, in its own measure: below nought while it is not. */
  toCue(): number {
    return this.planDone ? 0 : this.trigger.level(this.state, this.world);
  }

  give(order: Order): void {
    this.events.push({ time: this.state.time, is: 'order', step: this.current, order });
    if (isDoneBy(order, 'crew')) this.crew.give(order);
    else if (order.do === 'call' || this.crew.helmManned()) this.control(order);
    else this.waiting.push(order);
    this.handsAct();
  }

  private control(order: ControlOrder): void {
    if (order.do === 'joystick' && this.dead.joystick) return;
    if (order.do === 'thruster' && this.dead.thrusters.has(order.thruster)) return;
    applyOrder(order, this.state, this.world);
  }

  /** The joystick's computer is gone: what it ordered is let go, and it does not answer again. */
  loseJoystick(): void {
    this.dead.joystick = true;
    if (this.state.joystick.active) releaseJoystick(this.state, this.world.craft);
  }

  nextMoment(): number {
    return this.crew.next();
  }

  /** What is only looked at needs no moment inside a step. */
  level(): number {
    return -1;
  }

  noteClearance(): void {}

  takeMoments(): boolean {
    if (this.state.time + 1e-9 >= this.nextMoment()) this.handsAct();
    return true;
  }

  takeCues(): void {
    while (!this.planDone && this.toCue() >= 0) this.passOn();
    this.seeIfPassed();
  }

  /** On to the next step, its cue come or not. */
  passOn(): void {
    if (this.planDone) return;
    this.current += 1;
    this.nearestCue = -Infinity;
    if (this.planDone) return;
    this.events.push({ time: this.state.time, is: 'step', step: this.current });
    this.trigger = armTrigger(this.nextCue(), this.state, this.world, this.crew.isAboard);
  }

  /** A place the boat has gone by too far off does not come any more: the plan goes on without it. */
  private seeIfPassed(): void {
    if (this.planDone) return;
    const cue = this.nextCue();
    if (cue.is !== 'within') return;
    const level = this.toCue();
    this.nearestCue = Math.max(this.nearestCue, level);
    const { length } = this.world.craft.spec.hull;
    if (this.nearestCue > -PASSED_AT - cue.distance && level < this.nearestCue - length / 2)
      this.passOn();
  }

  private handsAct(): void {
    this.crew.act();
    if (this.waiting.length === 0 || !this.crew.helmManned()) return;
    for (const order of this.waiting) this.control(order);
    this.waiting = [];
  }

  stopForTime(): void {
    if (this.finish !== null) return;
    this.events.push({ time: this.state.time, is: 'out of time' });
    this.finish = 'out of time';
  }

  /** Somebody else under way was run into. */
  strike(name: string, speed: number): void {
    if (this.finish !== null) return;
    this.events.push({ time: this.state.time, is: 'struck', name, speed });
    this.finish = 'struck';
  }

  /** The helm says it is over. */
  close(finish: Extract<Finish, 'ended' | 'broke off'>): void {
    if (this.finish !== null) return;
    if (finish === 'ended') this.events.push({ time: this.state.time, is: 'end' });
    this.finish = finish;
  }
}
