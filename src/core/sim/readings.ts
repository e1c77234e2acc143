import { cos, sin } from '../math';
import type { World } from './world';
import { PSI, U, V, X, Y, type SimState } from './state';

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
  const east = motion[U]! * s + motion[V]! * c + world.environment.streamEast;
  const north = motion[U]! * c - motion[V]! * s + world.environment.streamNorth;
  return Math.sqrt(east * east + north * north);
}

/** Where a point of the boat (body axes, m) is on the place, m east and north. */
export function pointOnWater(state: SimState, bx: number, by: number): { x: number; y: number } {
  const { motion } = state;
  const s = sin(motion[PSI]!);
  const c = cos(motion[PSI]!);
  return { x: motion[X]! + bx * s + by * c, y: motion[Y]! + bx * c - by * s };
}
