import { DRIVE, DRIVE_COLUMNS, type Craft } from '../boat';
import { NO_LINES, obstacleSetOf } from '../holding';
import { cos, sin } from '../math';
import {
  environmentFor,
  forkOf,
  orderEngine,
  orderRudder,
  orderThruster,
  PSI,
  R,
  Simulation,
  TIMESTEP_S,
  U,
  V,
  X,
  Y,
  type Gear,
  type SimState,
  type Weather,
  type World,
} from '../simulation';
import { GRAVITY_MPS2, SEA_WATER_KGPM3 } from '../units';

export const CALM: Weather = {
  windFrom: 0,
  windSpeed: 0,
  currentSet: 0,
  currentSpeed: 0,
  waterDensity: SEA_WATER_KGPM3,
};

/** A boat alone on open water, handled by orders and watched; starts heading north at the origin. SI, radians. */
export class OpenWater {
  private constructor(
    readonly craft: Craft,
    private readonly simulation: Simulation,
  ) {}

  /** The boat at the origin, heading north, with so much speed ahead. */
  static of(
    craft: Craft,
    { weather, speed = 0 }: { readonly weather?: Partial<Weather>; readonly speed?: number } = {},
  ): OpenWater {
    const world = {
      craft,
      obstacles: [],
      environment: environmentFor(craft, { ...CALM, ...weather }),
      lines: NO_LINES,
      shore: obstacleSetOf([]),
    };
    return new OpenWater(craft, Simulation.at(world, { x: 0, y: 0, heading: 0, speed }));
  }

  /** The boat in some water of a place, as it is in `state`, which is not changed. */
  static over(world: World, state: SimState): OpenWater {
    return new OpenWater(world.craft, forkOf(world, state));
  }

  get world(): World {
    return this.simulation.world;
  }
  get state(): SimState {
    return this.simulation.state;
  }

  /** Every engine, or one by its index. */
  engine(gear: Gear, throttle = 0, which: number | null = null): void {
    this.state.engines.forEach((engine, i) => {
      if (which === null || which === i)
        orderEngine(engine, this.craft.spec.drives[i]!, gear, throttle);
    });
  }

  /** Share of the lock, starboard positive. */
  wheel(share: number): void {
    orderRudder(this.state, this.craft, share * this.craft.limits[0]!);
  }

  /** Wheel already there, for trials that begin with the helm over. */
  wheelSet(share: number): void {
    this.wheel(share);
    this.state.angles.set(this.state.ordered);
  }

  thruster(which: number, power: number): void {
    const thruster = this.state.thrusters[which];
    if (thruster) orderThruster(thruster, this.craft.spec.thrusters[which]!, power);
  }

  /** Runs on until `done` says so, or for `most` seconds; tells whether it was done. */
  until(done: () => boolean, most: number): boolean {
    const end = this.state.time + most;
    while (this.state.time < end - 1e-9) {
      this.simulation.advance(TIMESTEP_S);
      if (done()) return true;
    }
    return false;
  }

  run(seconds: number): void {
    this.until(() => false, seconds);
  }

  /** A second boat in the same water, as this one is now. */
  fork(): OpenWater {
    return new OpenWater(this.craft, this.simulation.fork());
  }

  get x(): number {
    return this.state.motion[X]!;
  }
  get y(): number {
    return this.state.motion[Y]!;
  }
  get heading(): number {
    return this.state.motion[PSI]!;
  }
  get ahead(): number {
    return this.state.motion[U]!;
  }
  /** Speed over ground along the boat's heading, m/s. */
  get along(): number {
    const { environment } = this.world;
    const s = sin(this.heading);
    const c = cos(this.heading);
    return this.ahead + environment.currentEast * s + environment.currentNorth * c;
  }
  get sideways(): number {
    return this.state.motion[V]!;
  }
  get rate(): number {
    return this.state.motion[R]!;
  }
  get time(): number {
    return this.state.time;
  }
  get length(): number {
    return this.craft.spec.hull.length;
  }
}

/** Share of the range above idle a handler calls half. */
export const HALF = 0.5;
const FIRM_THROTTLE = 0.6;
/** Pushing with more of the boat's weight than this is not firm but hard. */
const FIRM_SHARE = 0.02;

/**
 * Throttle of a firm burst: 60 %, or what pushes with a fiftieth of the boat's weight astern if that is less, as
 * nobody stops a strong light boat with 60 %.
 */
export function firmThrottle(craft: Craft): number {
  const { drives, hull } = craft.spec;
  const unit = drives.reduce((sum, _, i) => {
    const at = i * DRIVE_COLUMNS;
    return sum + SEA_WATER_KGPM3 * craft.drives.values[at + DRIVE.ASTERN_SQUARED]!;
  }, 0);
  const first = drives[0];
  if (!first || unit === 0) return 0;
  const rps = Math.sqrt((FIRM_SHARE * hull.mass * GRAVITY_MPS2) / unit);
  const throttle = (rps - first.idleRps) / (first.fullRps - first.idleRps);
  return Math.max(0, Math.min(FIRM_THROTTLE, throttle));
}

/** Seconds of a burst: what a small boat's handler gives, or four times what a slow engine needs to answer. */
export function burst(craft: Craft, seconds: number): number {
  const response = craft.spec.drives[0]?.response ?? 0;
  return response > 2 ? 4 * response : seconds;
}

/** Can the boat be driven, and steered? */
export function hasDrive(craft: Craft): boolean {
  return craft.spec.drives.length > 0;
}

export function canSteer(craft: Craft): boolean {
  return craft.limits[0]! > 0;
}
