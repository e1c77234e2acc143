import type { Craft } from '../boat';
import { GROUND, GROUND_COLUMNS } from '../holding';
import { cos, sin } from '../math';
import { setGround } from './derivative';
import type { World } from './world';
import { PSI, R, U, V, X, Y, type SimState } from './state';

/** Speed through the water at midships, m/s. */
export function waterSpeed(state: SimState): number {
  const { motion } = state;
  return Math.sqrt(motion[U]! * motion[U]! + motion[V]! * motion[V]!);
}

/** Speed over ground at midships, m/s. */
export function groundSpeed(state: SimState, world: World): number {
  const { motion } = state;
  const s = sin(motion[PSI]!);
  const c = cos(motion[PSI]!);
  const east = motion[U]! * s + motion[V]! * c + world.environment.currentEast;
  const north = motion[U]! * c - motion[V]! * s + world.environment.currentNorth;
  return Math.sqrt(east * east + north * north);
}

/** Where a point of the boat (body axes, m) is on the place, m east and north. */
export function pointOnWater(state: SimState, bx: number, by: number): { x: number; y: number } {
  const { motion } = state;
  const s = sin(motion[PSI]!);
  const c = cos(motion[PSI]!);
  return { x: motion[X]! + bx * s + by * c, y: motion[Y]! + bx * c - by * s };
}

/** Where a place (m east and north) is aboard: ahead of the boat's midships and to starboard, m. */
export function pointAboard(state: SimState, x: number, y: number): { x: number; y: number } {
  const { motion } = state;
  const s = sin(motion[PSI]!);
  const c = cos(motion[PSI]!);
  const east = x - motion[X]!;
  const north = y - motion[Y]!;
  return { x: east * s + north * c, y: east * c - north * s };
}

/** Kinetic energy through the reference current, added mass counted, J. */
export function kineticEnergy({ motion }: SimState, { mass }: Craft): number {
  const u = motion[U]!;
  const v = motion[V]!;
  const r = motion[R]!;
  return 0.5 * (mass.m11 * u * u + mass.m22 * v * v + mass.m33 * r * r) + mass.m23 * v * r;
}

/** Writes the boat's place and velocity over the ground into a row of columns GROUND. */
export function setRow(ground: Float64Array, { motion }: SimState, { environment }: World): void {
  ground[GROUND.SIN] = sin(motion[PSI]!);
  ground[GROUND.COS] = cos(motion[PSI]!);
  setGround(ground, motion, environment.row);
}

/** The boat's place and velocity over the ground as a row of columns GROUND. */
export function groundOf(state: SimState, world: World): Float64Array {
  const ground = new Float64Array(GROUND_COLUMNS);
  setRow(ground, state, world);
  return ground;
}
