import { cos, sin } from '../math';
import { currentField } from '../water';
import { WATER } from './environment';
import { PSI, U, V, type SimState } from './state';
import { othersOf, type World } from './world';

/**
 * Lets the current set otherwise from this moment on, m/s east and north, for the boat and for the other boats. What moves
 * over the ground goes on as it did: only its way through the water becomes another.
 */
export function setCurrent(state: SimState, world: World, east: number, north: number): void {
  const { environment } = world;
  const { motion } = state;
  const s = sin(motion[PSI]!);
  const c = cos(motion[PSI]!);
  const byEast = east - environment.currentEast;
  const byNorth = north - environment.currentNorth;
  motion[U]! -= byEast * s + byNorth * c;
  motion[V]! -= byEast * c - byNorth * s;
  environment.currentEast = east;
  environment.currentNorth = north;
  environment.row[WATER.EAST] = east;
  environment.row[WATER.NORTH] = north;
  if (environment.pattern) environment.field = currentField(east, north, environment.pattern);
  othersOf(world).forEach((other, i) => setCurrent(state.others[i]!, other.world, east, north));
}
