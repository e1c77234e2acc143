import { assembleCraft, type BoatSpec } from '../boat';
import { linesOf, obstacleSetOf, type LineSpec, type Obstacle } from '../holding';
import {
  environmentFor,
  initialState,
  R,
  timestep,
  U,
  V,
  vesselOf,
  type Vessel,
  type Weather,
  type World,
} from '../simulation';

/** A boat in water, stepped by hand. */
export type Rig = Vessel;

export const CALM: Weather = {
  windFrom: 0,
  windSpeed: 0,
  currentSet: 0,
  currentSpeed: 0,
  waterDensity: 1025,
};

export interface RigOptions {
  readonly weather?: Partial<Weather>;
  readonly obstacles?: readonly Obstacle[];
  readonly lines?: readonly LineSpec[];
  /** Hands see to them: they surge, part, are hauled and eased. */
  readonly tended?: boolean;
  readonly x?: number;
  readonly y?: number;
  readonly heading?: number;
  readonly u?: number;
  readonly v?: number;
  readonly r?: number;
}

export function rig(boat: BoatSpec, options: RigOptions = {}): Rig {
  const craft = assembleCraft(boat);
  const weather = { ...CALM, ...options.weather };
  const obstacles = options.obstacles ?? [];
  const lines = linesOf(options.lines ?? [], options.tended);
  const world: World = {
    craft,
    obstacles,
    environment: environmentFor(craft, weather),
    lines,
    shore: obstacleSetOf(obstacles),
  };
  const { x = 0, y = 0, heading = 0, u = 0, v = 0, r = 0 } = options;
  const state = initialState(craft, { x, y, heading, speed: u }, lines);
  state.motion[U] = u;
  state.motion[V] = v;
  state.motion[R] = r;
  return vesselOf(world, state);
}

/** Steps of `h` seconds for `seconds`; `each` is called after every one. */
export function run(rig: Rig, seconds: number, each: () => void = () => undefined, h = 0.05): void {
  const steps = Math.round(seconds / h);
  for (let i = 0; i < steps; i++) {
    timestep(rig, h);
    each();
  }
}

/** Kinetic energy relative to the water, J. */
export function energy({ world, state }: Rig): number {
  const { m11, m22, m23, m33 } = world.craft.mass;
  const u = state.motion[U]!;
  const v = state.motion[V]!;
  const r = state.motion[R]!;
  return 0.5 * (m11 * u * u + m22 * v * v + m33 * r * r) + m23 * v * r;
}
