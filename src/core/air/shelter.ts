import { exp, type FlatPoints } from '../math';

/** Something that keeps the wind off what lies behind it. */
export interface Windbreak {
  readonly outline: FlatPoints;
  /** m above the water. */
  readonly height: number;
  /** Share of the wind that goes through: 0 a wall, about 0.5 trees and rigging. */
  readonly porosity: number;
}

/** Deepest loss of speed close behind a solid wall, as a share. */
const DEEPEST = 0.8;
/** Heights over which the wake recovers by a factor of e, and spread of its edges per metre. */
const RECOVERY = 6;
const SPREAD = 0.1;
const LONGEST = 20;

/**
 * Share of the wind's speed left at (x, y), for wind blowing along (east, north), a unit vector, on
 * something `height` m above the water:
 *
 *   share = Π (1 − 0.8 (1 − p) e^(−d/6H) · edge · min(1, H/h)),  d downwind of the windbreak, 0 ≤ d ≤ 20 H
 *
 * with edges that blur by a tenth of d. Order of size of wakes behind fences and buildings (Counihan,
 * Hunt & Jackson 1974; recalled, not looked up). **Weakly known, ±50 % of the loss**: roofs, gaps and
 * eddies are not in it.
 */
export function shelterShare(
  breaks: readonly Windbreak[],
  x: number,
  y: number,
  east: number,
  north: number,
  height: number,
): number {
  let share = 1;
  for (let k = 0; k < breaks.length; k++) {
    const { outline, height: tall, porosity } = breaks[k]!;
    let nearest = -Infinity;
    let left = Infinity;
    let right = -Infinity;
    let first = Infinity;
    for (let i = 0; i < outline.length; i += 2) {
      const dx = outline[i]! - x;
      const dy = outline[i + 1]! - y;
      const along = dx * east + dy * north;
      const across = dx * north - dy * east;
      nearest = Math.max(nearest, along);
      first = Math.min(first, along);
      left = Math.min(left, across);
      right = Math.max(right, across);
    }
    // Behind its upwind edge counts, close against its lee or alongside.
    if (first > 0 || nearest < -LONGEST * tall) continue;
    const distance = Math.max(0, -nearest);
    const blur = 0.5 + SPREAD * distance;
    const edge = Math.min(1, Math.max(0, (-left + blur) / (2 * blur)));
    const other = Math.min(1, Math.max(0, (right + blur) / (2 * blur)));
    const loss = DEEPEST * (1 - porosity) * exp(-distance / (RECOVERY * tall));
    share *= 1 - loss * edge * other * Math.min(1, tall / height);
  }
  return share;
}
