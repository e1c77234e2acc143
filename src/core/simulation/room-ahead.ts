import type { Obstacle } from '../holding';
import { cos, rayTo, sin } from '../math';
import { PSI, X, Y, type SimState } from './state';
import { othersOf, type World } from './world';

/** Where along the end of the boat it is looked from, as shares of the beam. */
const LOOKED_FROM = [-0.35, 0, 0.35] as const;

/** How far a ray runs, m, until it meets something; Infinity if it does not within `most`. */
function met(one: Obstacle, x: number, y: number, dx: number, dy: number, most: number): number {
  const ex = x + most * dx;
  const ey = y + most * dy;
  if (Math.max(x, ex) < one.minX || Math.min(x, ex) > one.maxX) return Infinity;
  if (Math.max(y, ey) < one.minY || Math.min(y, ey) > one.maxY) return Infinity;
  if (one.outline) return rayTo(one.outline as Float64Array, x, y, dx, dy);
  const ox = one.x - x;
  const oy = one.y - y;
  const along = ox * dx + oy * dy;
  const aside = ox * dy - oy * dx;
  const half = one.radius * one.radius - aside * aside;
  return half < 0 || along < 0 ? Infinity : Math.max(0, along - Math.sqrt(half));
}

/** The same with another boat, by its deck where it lies now. */
function metBoat(
  other: SimState,
  { craft }: World,
  x: number,
  y: number,
  dx: number,
  dy: number,
): number {
  const s = sin(other.motion[PSI]!);
  const c = cos(other.motion[PSI]!);
  const east = x - other.motion[X]!;
  const north = y - other.motion[Y]!;
  const { deck } = craft.spec.hull;
  return rayTo(
    deck as Float64Array,
    east * s + north * c,
    east * c - north * s,
    dx * s + dy * c,
    dx * c - dy * s,
  );
}

/**
 * Room straight ahead of the bow (`way` 1) or astern of the stern (−1) until something stands there or lies there, m.
 *
 * @param most no further is looked than this, m
 */
export function roomAhead(state: SimState, world: World, way: 1 | -1, most: number): number {
  const { motion, others } = state;
  const { deck, beam } = world.craft.spec.hull;
  const s = sin(motion[PSI]!);
  const c = cos(motion[PSI]!);
  let end = 0;
  for (let i = 0; i < deck.length; i += 2) if (way * deck[i]! > way * end) end = deck[i]!;
  let least = most;
  for (const share of LOOKED_FROM) {
    const y = share * beam;
    const px = motion[X]! + end * s + y * c;
    const py = motion[Y]! + end * c - y * s;
    for (const one of world.obstacles) {
      const far = met(one, px, py, way * s, way * c, least);
      if (far < least) least = far;
    }
    others.forEach((other, i) => {
      const far = metBoat(other, othersOf(world)[i]!.world, px, py, way * s, way * c);
      if (far < least) least = far;
    });
  }
  return least;
}
