import { timeToActuatorEvent } from './actuators';
import { soundKeel } from './aground';
import { derivative, lookAround, placeOnGround } from './derivative';
import { lineAt } from './lines-now';
import { advanceLocks, setLeaves } from './locks-now';
import { CLOCK } from './scratch';
import { copyState, type SimState, type StartPose } from './state';
import { senseSurroundings } from './surroundings';
import { timestep } from './timestep';
import { actAll, companyOf, lookAll, stepTogether, type Company, type Pair } from './company';
import { vesselOf, type Vessel, type Watching } from './vessel';
import { beginning, copyOf, othersOf, type World } from './world';

const NOBODY: readonly Pair[] = [];

/**
 * A boat in its water, and the other boats and locks of it, as they move: the only place that composes what acts. Whoever
 * wants to know how something moves makes one, lets it come to the present moment (`warmUp`), and takes it on step by step.
 * A step may be taken back to the moment last marked. SI, radians.
 */
export class Simulation {
  /** The boat itself. */
  readonly vessel: Vessel;
  /** The boat and the other boats of its world; null where it is alone. */
  private readonly company: Company | null;
  private mark: SimState | null = null;

  /** @param state where everything stands; it is moved on in place */
  constructor(
    readonly world: World,
    readonly state: SimState,
    watching: Watching = {},
  ) {
    this.vessel = vesselOf(world, state, watching);
    const others = othersOf(world).map((other, i) => vesselOf(other.world, state.others[i]!));
    this.company = others.length > 0 ? companyOf([this.vessel, ...others]) : null;
  }

  /** As it begins: the boat at a pose, everything else where the world has it. */
  static at(world: World, pose: StartPose, watching: Watching = {}): Simulation {
    return new Simulation(world, beginning(world, pose), watching);
  }

  /** Works out what acts at this moment, without moving anything: what the boat lies against and hangs on stands in the readings. */
  warmUp(): void {
    const { vessel, company, state, world } = this;
    const { clock, slopes } = vessel.scratch;
    setLeaves(world, state.locks);
    clock[CLOCK.TIME] = state.time;
    clock[CLOCK.STAGE] = state.time;
    senseSurroundings(state.motion, vessel);
    lookAround(state.motion, vessel);
    if (company) {
      lookAll(company, clock[CLOCK.STEP]!);
      actAll(company);
    }
    derivative(slopes[0], state.motion, vessel, 0);
  }

  /** One step of `dt` seconds, at most TIMESTEP_S and not past the next actuator event where that matters (`timeToEvent`). */
  advance(dt: number): void {
    const { company, state, world } = this;
    advanceLocks(state, world, dt);
    if (company) stepTogether(company, dt);
    else timestep(this.vessel, dt);
  }

  /** Until a gear, wheel or thruster that is on its way comes to where it was ordered, s. */
  timeToEvent(): number {
    return timeToActuatorEvent(this.state, this.world.craft);
  }

  /** The moment that `rewind` comes back to is the present one. */
  markHere(): void {
    const { watch, ledger } = this.vessel;
    if (this.mark) copyState(this.mark, this.state);
    else this.mark = copyOf(this.world, this.state);
    watch?.save?.();
    ledger?.save();
  }

  /** As it stood at the moment last marked; nobody may change it. */
  get marked(): SimState {
    if (!this.mark) throw new Error('no moment of this simulation was marked');
    return this.mark;
  }

  /** Back to the moment last marked. */
  rewind(): void {
    const { watch, ledger } = this.vessel;
    copyState(this.state, this.marked);
    watch?.restore?.();
    ledger?.restore();
  }

  /** Another that goes on from this moment by itself, in the same world; watched by nobody unless somebody is named. */
  fork(watching: Watching = {}): Simulation {
    return forkOf(this.world, this.state, watching);
  }

  /** The boat's place and velocity over the ground now, columns GROUND. */
  place(): Float64Array {
    placeOnGround(this.state.motion, this.vessel);
    return this.vessel.scratch.ground;
  }

  /** The same as the last step or `place` left it. */
  get ground(): Float64Array {
    return this.vessel.scratch.ground;
  }

  /** Water under the boat now, columns UNDER. */
  sound(): Float64Array {
    const { scratch } = this.vessel;
    scratch.clock[CLOCK.TIME] = this.state.time;
    soundKeel(this.state.motion, this.vessel);
    return scratch.under;
  }

  /** The same as the last step or `sound` left it; infinite where no depth is known. */
  get under(): Float64Array {
    return this.vessel.scratch.under;
  }

  /** What acts on the boat at the last look: surge, sway, yaw, N, N, N·m. */
  get force(): Float64Array {
    return this.vessel.scratch.force;
  }

  /** What boats do to one another, two by two; the boat itself is number 0. */
  get pairs(): readonly Pair[] {
    return this.company?.pairs ?? NOBODY;
  }

  /** Tension of a line of the plan as the last look left it, N. */
  tensionOf(line: number): number {
    const { boat, row } = lineAt(this.world, line);
    const vessel = boat === 0 ? this.vessel : this.company?.vessels[boat];
    return vessel?.scratch.tension[row] ?? 0;
  }
}

/** A simulation that goes on from a state by itself; the state is left as it is. */
export const forkOf = (world: World, from: SimState, watching: Watching = {}): Simulation =>
  new Simulation(world, copyOf(world, from), watching);
