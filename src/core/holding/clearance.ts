import type { TouchElements } from '../boat';
import { NEAREST, nearestOnRing } from '../math';
import { toPile, toSolid } from './clearance-about';
import { FOUND, knowsSolid, PAST, type ClearanceMemory } from './clearance-memory';
import { GROUND } from './ground';
import { boxDistance, type ObstacleSet } from './obstacle-set';

/** Least distance between a boat's outline and an obstacle, and where on the boat. */
export interface Clearance {
  /** m; negative when they overlap. */
  distance: number;
  /** Index of the obstacle, −1 if there is none. */
  obstacle: number;
  /** Body coordinates of the nearest place on the boat, m. */
  x: number;
  y: number;
}

export function noClearance(): Clearance {
  return { distance: Infinity, obstacle: -1, x: 0, y: 0 };
}

/** As near as the nearest and this much more is kept an eye on, m. */
const ABOUT_M = 1;

/**
 * Least clearance of a boat from the obstacles not skipped, each met by its side at its own height. Written
 * into `out`; what was nearest there before is tried first.
 *
 * @param boat columns GROUND
 */
export function leastClearance(
  out: Clearance,
  memory: ClearanceMemory,
  touch: TouchElements,
  shore: ObstacleSet,
  skip: ReadonlySet<number>,
  boat: Float64Array,
): void {
  const { past, found, distance, odometer } = memory;
  const x = boat[GROUND.X]!;
  const y = boat[GROUND.Y]!;
  const heading = boat[GROUND.HEADING]!;
  const mx = x - past[PAST.X]!;
  const my = y - past[PAST.Y]!;
  const turned = touch.reach * Math.abs(heading - past[PAST.HEADING]!);
  const swung = shore.moved[0]! - past[PAST.MOVED]!;
  const travelled = past[PAST.TRAVELLED]! + Math.sqrt(mx * mx + my * my) + turned + swung + 1e-9;
  past[PAST.MOVED] = shore.moved[0]!;
  past[PAST.TRAVELLED] = travelled;
  past[PAST.X] = x;
  past[PAST.Y] = y;
  past[PAST.HEADING] = heading;
  past[PAST.SIN] = boat[GROUND.SIN]!;
  past[PAST.COS] = boat[GROUND.COS]!;
  const first = out.obstacle;
  const { left, near } = memory;
  const safe = memory.skipped === skip && travelled < past[PAST.SAFE]!;
  if (memory.skipped !== skip) {
    memory.skipped = skip;
    for (const about of memory.about) about.of = -1;
    for (let i = 0; i < shore.count; i++) left[i] = skip.has(i) ? 1 : 0;
  }
  let nearest = -1;
  found[FOUND.DISTANCE] = Infinity;
  if (first >= 0 && first < shore.count && left[first] === 0) {
    distance[first] = measure(memory, touch, shore, first);
    odometer[first] = travelled;
    if (found[FOUND.DISTANCE]! < Infinity) nearest = first;
  }
  // None of the others can have come as near as the one that was nearest: most often so.
  const still = safe && first === past[PAST.NEAREST] && nearest === first;
  const alone = still && past[PAST.OTHERS]! - travelled >= found[FOUND.DISTANCE]!;
  const count = alone ? 0 : safe ? memory.nearCount : shore.count;
  for (let k = 0; k < count; k++) {
    const i = safe ? near[k]! : k;
    if (i === first || left[i] === 1) continue;
    const before = found[FOUND.DISTANCE]!;
    if (distance[i]! - (travelled - odometer[i]!) >= before) continue;
    distance[i] = measure(memory, touch, shore, i);
    odometer[i] = travelled;
    if (found[FOUND.DISTANCE]! < before) nearest = i;
  }
  out.distance = found[FOUND.DISTANCE]!;
  out.obstacle = nearest;
  out.x = found[FOUND.X]!;
  out.y = found[FOUND.Y]!;
  if (!safe) listNear(memory, out.distance);
  if (!alone) noteOthers(memory, nearest);
}

/** Lists what is about as near as the nearest; the rest need not be looked at until the boat has gone half its lead. */
function listNear(memory: ClearanceMemory, least: number): void {
  const { past, distance, odometer, left, near } = memory;
  const travelled = past[PAST.TRAVELLED]!;
  let rest = Infinity;
  let count = 0;
  for (let i = 0; i < distance.length; i++) {
    if (left[i] === 1) continue;
    const bound = distance[i]! - (travelled - odometer[i]!);
    if (bound < least + ABOUT_M) near[count++] = i;
    else if (bound < rest) rest = bound;
  }
  memory.nearCount = count;
  // The nearest may have gone as far off as another has come near.
  past[PAST.SAFE] = travelled + (rest - least) / 2;
}

/** How near the others that are near can be at the least, with what has been travelled added. */
function noteOthers(
  { past, distance, odometer, near, nearCount }: ClearanceMemory,
  nearest: number,
) {
  let least = Infinity;
  for (let k = 0; k < nearCount; k++) {
    const i = near[k]!;
    if (i !== nearest) least = Math.min(least, distance[i]! + odometer[i]!);
  }
  past[PAST.OTHERS] = least;
  past[PAST.NEAREST] = nearest;
}

/** One obstacle: its distance, or a bound that it cannot be under. Nearer than what was found is written there. */
function measure(
  memory: ClearanceMemory,
  touch: TouchElements,
  shore: ObstacleSet,
  i: number,
): number {
  const { found, nearest, past } = memory;
  const x = past[PAST.X]!;
  const y = past[PAST.Y]!;
  const bound = boxDistance(shore.box, i, x, y) - touch.reach;
  if (bound >= found[FOUND.DISTANCE]!) return bound;
  if (shore.solid[i] !== 1) return toPile(memory, touch, shore, i);
  if (!knowsSolid(memory, i)) {
    const from = shore.start[i]!;
    const count = shore.start[i + 1]! - from;
    nearest[NEAREST.FROM_X] = x;
    nearest[NEAREST.FROM_Y] = y;
    nearestOnRing(
      nearest,
      shore.corners,
      from,
      from + count,
      shore.turn[i]!,
      shore.edges,
      from,
      count,
    );
    const fromMiddle = nearest[NEAREST.DISTANCE]! - touch.reach;
    if (fromMiddle >= found[FOUND.DISTANCE]!) return fromMiddle;
  }
  return toSolid(memory, touch, shore, i);
}
