import { KEEL, KEEL_COLUMNS } from '../boat';
import {
  caughtUnder,
  hullPart,
  Lookout,
  nameOfThing,
  numbersOf,
  TouchLog,
  type HullPart,
  type Touch,
} from '../monitors';
import { GROUND, NO_LINES, noClearance } from '../holding';
import { cos, sin } from '../math';
import { Fouling, worldOf, type RunInput } from '../plan';
import {
  beginning,
  copyAround,
  copyOf,
  forkOf,
  PSI,
  TIMESTEP_S,
  U,
  UNDER,
  V,
  X,
  Y,
  type SimState,
  type Simulation,
  type World,
} from '../simulation';

/** Seconds beyond a run for which its wind is still known. */
const AFTER_S = 150;

/** The water of a run with everything on it, for trying from its moments what the plan does not do. */
export class Surroundings {
  readonly world: World;
  readonly berth: ReadonlySet<number>;
  readonly lookout: Lookout;
  /** The boat's lines that may get into a propeller; null where there are none. */
  readonly fouling: Fouling | null;

  constructor(readonly input: RunInput) {
    this.world = worldOf(input, input.limit + AFTER_S);
    this.berth = numbersOf(this.world, input.berth);
    this.lookout = new Lookout(this.world);
    const { rigging } = input;
    // Lines put on for a trial of their own are not the plan's, and hands do not tend them.
    const tended = rigging && this.world.lines.tended;
    this.fouling = tended ? new Fouling(rigging.lines, this.world) : null;
  }

  /** A boat as another is. */
  copyOf(state: SimState): SimState {
    return copyOf(this.world, state);
  }

  /** A boat lying still over ground at a pose and moment, engines in neutral. */
  stillAt(x: number, y: number, heading: number, time: number): SimState {
    const { environment } = this.world;
    const state = beginning(this.world, { x, y, heading, speed: 0 });
    const east = environment.currentEast;
    const north = environment.currentNorth;
    state.time = time;
    state.motion[U] = -(east * sin(heading) + north * cos(heading));
    state.motion[V] = -(east * cos(heading) - north * sin(heading));
    return state;
  }

  /** The same where a boat is in a run, other boats and locks as they are then. */
  stillAs(from: SimState): SimState {
    const { motion, time } = from;
    const state = this.stillAt(motion[X]!, motion[Y]!, motion[PSI]!, time);
    copyAround(state, from);
    return state;
  }
}

/** The same with every line of the boat's let go. */
export function unmooredOf({ rigging: _rigging, ...input }: RunInput): Surroundings {
  return new Surroundings({ ...input, lines: NO_LINES });
}

/** The same water and weather with nothing on it to touch, blowing as it does on average. */
export function openWaterOf(input: RunInput): Surroundings {
  const {
    craft,
    shore: _shore,
    others: _others,
    where: _where,
    rigging: _rigging,
    locks: _locks,
    ...rest
  } = input;
  const { gusts: _gusts, bottom: _bottom, ...weather } = input.weather;
  return new Surroundings({
    ...rest,
    ...(craft ? { craft } : {}),
    weather,
    obstacles: [],
    bridges: [],
    berth: new Set(),
    lines: NO_LINES,
  });
}

/** What an rollout came nearest to, its own berth left out. */
export interface Nearest {
  /** m; Infinity with nothing about. */
  readonly distance: number;
  readonly name: string | null;
  readonly part: HullPart | null;
}

/** A boat let go from some moment, handled by whoever steps it. Whatever it lies against then is no touch. */
export class Rollout {
  readonly simulation: Simulation;
  readonly state: SimState;
  private readonly log: TouchLog;
  private readonly now = noClearance();
  private least = Infinity;
  private nearestThing = -1;
  private nearestPart: HullPart | null = null;
  private inPropeller = false;
  private tookGround = false;
  private caught: string | null = null;

  constructor(
    private readonly about: Surroundings,
    from: SimState,
  ) {
    const { world } = about;
    this.log = new TouchLog(world);
    this.simulation = forkOf(world, from, { watch: this.log });
    this.state = this.simulation.state;
    this.simulation.warmUp();
    this.log.settle(this.simulation.vessel, this.simulation.pairs);
    this.measure();
  }

  get world(): World {
    return this.about.world;
  }

  /** One step on; the world as it is then. */
  step(): void {
    this.simulation.advance(TIMESTEP_S);
    this.measure();
    if (this.simulation.under[UNDER.LEAST]! < 0) this.tookGround = true;
    this.caught ??= caughtUnder(this.state, this.about.world);
    const { fouling } = this.about;
    if (fouling && !this.inPropeller) this.inPropeller = fouling.caught(this.state) >= 0;
  }

  /** Steps until `done` says so, or for `most` seconds; tells whether it was done. */
  until(done: () => boolean, most: number): boolean {
    const end = this.state.time + most - TIMESTEP_S / 2;
    while (this.state.time < end) {
      this.step();
      if (done()) return true;
    }
    return false;
  }

  private measure(): void {
    const { world, lookout, berth } = this.about;
    const { craft } = world;
    lookout.look(this.now, this.simulation, berth);
    if (this.now.distance >= this.least) return;
    this.least = this.now.distance;
    this.nearestThing = this.now.obstacle;
    const { length, beam } = craft.spec.hull;
    this.nearestPart = hullPart(this.now.x, this.now.y, length, beam);
  }

  /** Has a line got into a propeller? */
  get fouled(): boolean {
    return this.inPropeller;
  }

  /** Has the boat taken the ground? */
  get aground(): boolean {
    return this.tookGround;
  }

  /** The bridge that caught the boat, by name; null while none has. */
  get overhead(): string | null {
    return this.caught;
  }

  /** What of the boat is nearest to the bottom. */
  get deepest(): HullPart {
    const { keel, spec } = this.about.world.craft;
    const k = this.simulation.under[UNDER.AT]! * KEEL_COLUMNS;
    return hullPart(keel[k + KEEL.X]!, keel[k + KEEL.Y]!, spec.hull.length, spec.hull.beam);
  }

  get touches(): readonly Touch[] {
    return this.log.touches();
  }

  get touchCount(): number {
    return this.log.count;
  }

  /** Clearance from all but the berth at this moment, m. */
  get clearance(): number {
    return this.now.distance;
  }

  get leastClearance(): number {
    return this.least;
  }

  get nearest(): Nearest {
    const name = nameOfThing(this.about.world, this.nearestThing);
    return { distance: this.least, name, part: name === null ? null : this.nearestPart };
  }

  get time(): number {
    return this.state.time;
  }
  get heading(): number {
    return this.state.motion[PSI]!;
  }
  /** Speed ahead through the water, m/s. */
  get ahead(): number {
    return this.state.motion[U]!;
  }
  /** Speed over ground along the boat's heading, m/s. */
  get along(): number {
    return this.simulation.ground[GROUND.SURGE]!;
  }
  /** Speed over ground, m/s. */
  get overGround(): number {
    const { ground } = this.simulation;
    const along = ground[GROUND.SURGE]!;
    const across = ground[GROUND.SWAY]!;
    return Math.sqrt(along * along + across * across);
  }
  /** Tension of a line, N. */
  tension(line: number): number {
    return this.simulation.tensionOf(line);
  }
  get x(): number {
    return this.state.motion[X]!;
  }
  get y(): number {
    return this.state.motion[Y]!;
  }
}
