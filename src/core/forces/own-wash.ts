import { DRIVE } from '../boat';
import { FLOW } from './flow';

/** Gaps a boat's own wash is felt in: from its quarters to a wall or hull abeam, and from its screws to what stands astern, m: a row. */
export const WASHED = { PORT: 0, STARBOARD: 1, ASTERN: 2 } as const;

/** Walls further off than so many beams are not felt. */
export const WASH_REACH = 2;

/** Share of the thrust astern that a closed gap gives back as a push off, were all the wash to go that way. */
const OFF_SIDE = 0.4;
/** Gap at which half of that is left, beams. */
const HALF_GAP = 0.35;
/** How far forward of the screw it pushes, lengths: over the run, where hull and wall stand nearest to it. */
const PUSHES_AT = 0.12;
/** How much more of the wash goes up one side by its swirl, as a share, for a walk of a usual shaft. */
const SWIRL = 0.25;
const USUAL_WALK = 0.15;
const LEAST_SHARE = 0.1;

/** Share of the thrust ahead that a wall close behind adds, and the distance at which half is left, diameters. */
const OFF_BEHIND = 0.12;
const HALF_BEHIND = 5;

/** What of its push a gap of `gap` m keeps: 1/(1 + (g/0.35 B)²), faded out at two beams. */
function closed(gap: number, beam: number): number {
  const g = Math.max(0, gap) / beam;
  if (!(g < WASH_REACH)) return 0;
  const ratio = g / HALF_GAP;
  return (1 - g / WASH_REACH) / (1 + ratio * ratio);
}

/**
 * Adds what a propeller's own wash does off walls and hulls near by.
 *
 * Astern it goes forward along the run: between hull and wall it is held up, and its pressure sets the quarter off, by
 *
 *   Y = ∓0.4 T σ c(g),   c(g) = (1 − g/2B)/(1 + (g/0.35B)²),   σ the share of the wash that goes up that side
 *
 * with σ a half, more on the side its swirl lifts it to (that of the propeller's hand) and on its own side of the boat. Ahead, what
 * stands astern turns the wash back under the stern: X = 0.12 T/(1 + (d/5D)²).
 *
 * The sense is seamanship's; sizes are order of size, from the momentum a jet can give up to a wall it is turned by (no more than T):
 * **±60 %**. With the screw still there is none. Symmetric: mirrored boat and walls, mirrored push.
 *
 * @param washed gaps, columns WASHED
 * @param times how strong it is taken to be, 1 for as told
 */
export function addOwnWash(
  force: Float64Array,
  hull: { readonly length: number; readonly beam: number },
  flows: Float64Array,
  flow: number,
  d: Float64Array,
  at: number,
  washed: Float64Array,
  times: number,
): void {
  const driven = flows[flow + FLOW.DRIVEN]!;
  const y = d[at + DRIVE.Y]!;
  if (driven < 0) {
    const port = closed(washed[WASHED.PORT]!, hull.beam);
    const starboard = closed(washed[WASHED.STARBOARD]!, hull.beam);
    if (port === 0 && starboard === 0) return;
    const walks = Math.min(1, d[at + DRIVE.WALK_ASTERN]! / USUAL_WALK);
    const swirl = SWIRL * d[at + DRIVE.HAND]! * walks;
    const toStarboard = Math.max(
      LEAST_SHARE,
      Math.min(1 - LEAST_SHARE, 0.5 + swirl + y / hull.beam),
    );
    const held = (1 - toStarboard) * port - toStarboard * starboard;
    const side = -times * OFF_SIDE * driven * held;
    force[1]! += side;
    force[2]! += (d[at + DRIVE.X]! + PUSHES_AT * hull.length) * side;
  } else if (driven > 0) {
    const diameter = Math.sqrt((4 / Math.PI) * d[at + DRIVE.DISC]!);
    const ratio = washed[WASHED.ASTERN]! / (HALF_BEHIND * diameter);
    const push = (times * OFF_BEHIND * driven) / (1 + ratio * ratio);
    force[0]! += push;
    force[2]! -= y * push;
  }
}
