import type { Craft } from '../boat';
import { NO_LINES, obstacleSetOf } from '../holding';
import {
  environmentFor,
  PSI,
  R,
  Simulation,
  TIMESTEP_S,
  U,
  V,
  X,
  Y,
  type Weather,
} from '../simulation';
import { Random } from '../math';
import { putLevers, type Levers } from './levers';

/** Terms of what the boat is made to do by one setting of levers and wheel, in u, v and r. */
export const TERMS = 11;
/** Settings of the wheel that are felt for: hard to port, amidships, hard to starboard. */
export const WHEELS = 3;
/** Directions the wind is felt from, over a turn. */
export const WINDS = 36;

/**
 * How a boat answers, as a person who knows it feels it: surge, sway and yaw accelerations by levers, wheel and way, and by the wind from
 * any side. Fitted to the model itself (least squares over ways up to a knot or three), and quick to reckon with.
 */
export interface Feel {
  readonly levers: readonly Levers[];
  /** Row (3 levers + wheel), three by TERMS: surge, sway, yaw. */
  readonly by: Float64Array;
  /** What the wind adds at rest, coming from each of WINDS directions off the bow: three each. */
  readonly wind: Float64Array;
  /** Seconds until a gear takes hold from neutral, and from the other gear; time constants of thrust coming and going, s. */
  readonly delay: number;
  readonly pause: number;
  readonly comes: number;
  readonly goes: number;
  /** Wheel from amidships to hard over, s. */
  readonly over: number;
}

export function terms(row: Float64Array, u: number, v: number, r: number): void {
  row[0] = 1;
  row[1] = u;
  row[2] = v;
  row[3] = r;
  row[4] = u * Math.abs(u);
  row[5] = v * Math.abs(v);
  row[6] = r * Math.abs(r);
  row[7] = u * v;
  row[8] = u * r;
  row[9] = Math.abs(u) * v;
  row[10] = Math.abs(u) * r;
}

/** Solves the normal equations a·x = b for three right sides at once, in place. */
function solve(a: Float64Array, b: Float64Array, n: number): void {
  for (let i = 0; i < n; i++) {
    let pivot = i;
    for (let k = i + 1; k < n; k++)
      if (Math.abs(a[k * n + i]!) > Math.abs(a[pivot * n + i]!)) pivot = k;
    for (let j = 0; j < n; j++) {
      const t = a[i * n + j]!;
      a[i * n + j] = a[pivot * n + j]!;
      a[pivot * n + j] = t;
    }
    for (let j = 0; j < 3; j++) {
      const t = b[3 * i + j]!;
      b[3 * i + j] = b[3 * pivot + j]!;
      b[3 * pivot + j] = t;
    }
    const d = a[i * n + i]!;
    for (let k = 0; k < n; k++) {
      if (k === i) continue;
      const f = a[k * n + i]! / d;
      for (let j = i; j < n; j++) a[k * n + j]! -= f * a[i * n + j]!;
      for (let j = 0; j < 3; j++) b[3 * k + j]! -= f * b[3 * i + j]!;
    }
  }
  for (let i = 0; i < n; i++) for (let j = 0; j < 3; j++) b[3 * i + j]! /= a[i * n + i]!;
}

/** Ways the boat is felt at. */
const SAMPLES = 48;
const SETTLES_S = 6;
const SEED = 7;

/** Feels a boat in water of a density, the wind as a weather has it. */
export function feelOf(craft: Craft, weather: Weather, levers: readonly Levers[]): Feel {
  const { length } = craft.spec.hull;
  const calm: Weather = {
    windFrom: 0,
    windSpeed: 0,
    currentSet: 0,
    currentSpeed: 0,
    waterDensity: weather.waterDensity,
  };
  const at = (blowing: Weather) =>
    Simulation.at(
      {
        craft,
        obstacles: [],
        environment: environmentFor(craft, blowing),
        lines: NO_LINES,
        shore: obstacleSetOf([]),
      },
      { x: 0, y: 0, heading: 0, speed: 0 },
    );
  const random = new Random(SEED);
  const ways = Array.from(
    { length: SAMPLES },
    () =>
      [
        -1 + 2.6 * random.uniform(),
        0.9 * (random.uniform() - 0.5),
        (5 / length) * (random.uniform() - 0.5),
      ] as const,
  );
  const by = new Float64Array(levers.length * WHEELS * 3 * TERMS);
  const row = new Float64Array(TERMS);
  for (let k = 0; k < levers.length; k++)
    for (let wheel = 0; wheel < WHEELS; wheel++) {
      const simulation = at(calm);
      const { state, vessel } = simulation;
      putLevers(state, simulation.world, levers[k]!, wheel - 1);
      for (let t = 0; t < SETTLES_S; t += TIMESTEP_S) {
        for (const i of [X, Y, PSI, U, V, R]) state.motion[i] = 0;
        simulation.advance(TIMESTEP_S);
      }
      const a = new Float64Array(TERMS * TERMS);
      const b = new Float64Array(TERMS * 3);
      for (const [u, v, r] of ways) {
        for (const i of [X, Y, PSI]) state.motion[i] = 0;
        state.motion[U] = u;
        state.motion[V] = v;
        state.motion[R] = r;
        simulation.warmUp();
        const slope = vessel.scratch.slopes[0];
        terms(row, u, v, r);
        for (let i = 0; i < TERMS; i++) {
          for (let j = 0; j < TERMS; j++) a[i * TERMS + j]! += row[i]! * row[j]!;
          b[3 * i]! += row[i]! * slope[U]!;
          b[3 * i + 1]! += row[i]! * slope[V]!;
          b[3 * i + 2]! += row[i]! * slope[R]!;
        }
      }
      for (let i = 0; i < TERMS; i++) a[i * TERMS + i]! += 1e-6;
      solve(a, b, TERMS);
      const base = (k * WHEELS + wheel) * 3 * TERMS;
      for (let i = 0; i < TERMS; i++)
        for (let j = 0; j < 3; j++) by[base + j * TERMS + i] = b[3 * i + j]!;
    }
  const wind = new Float64Array(3 * WINDS);
  const { gusts: _gusts, ...steady } = weather;
  for (let i = 0; i < WINDS; i++) {
    const simulation = at({
      ...calm,
      windSpeed: steady.windSpeed,
      windFrom: (2 * Math.PI * i) / WINDS,
    });
    simulation.warmUp();
    const slope = simulation.vessel.scratch.slopes[0];
    for (let j = 0; j < 3; j++) wind[3 * i + j] = slope[U + j]!;
  }
  const [drive] = craft.spec.drives;
  return {
    levers,
    by,
    wind,
    delay: drive?.shiftDelay ?? 0,
    pause: drive?.neutralPause ?? 0,
    comes: Math.max(0.2, drive?.response ?? 0),
    goes: 0.4,
    over: craft.limits[0]! / craft.spec.steering.rate,
  };
}
