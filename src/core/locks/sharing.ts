import { atan2, wrapHalfTurn } from '../math';
import { COMES_WITHIN, HEADS_FOR_LOCK, AS_NEAR, LOCK_FENDER_M } from '../policy';
import { intoLock, IN_LOCK, standsAlong, type SitedLock } from './sited';
import type { End, LockSide } from './lock';

/** A boat that goes through a lock, as it lies now. m, kg, radians. */
export interface Goer {
  readonly pose: { readonly x: number; readonly y: number; readonly heading: number };
  readonly hull: {
    readonly length: number;
    readonly beam: number;
    readonly draught: number;
    readonly mass: number;
  };
}

/** How two boats share a chamber. */
export interface Sharing {
  /** Breadth left over with both abreast and fenders between, and length left with one ahead of the other, m; negative where they do not fit so. */
  readonly beside: number;
  readonly lengthways: number;
  /** Who goes in first, and by what that is chosen. */
  readonly first: 'she' | 'other';
  readonly because: 'lies there' | 'nearer' | 'heavier';
  /** The wall the other lies to already, looking up-stream; null where the boat is not in it yet. */
  readonly wall: LockSide | null;
}

/** How far a boat's foremost end is from the gates it comes to, m; negative once it is between them. */
function before(sited: SitedLock, { pose, hull }: Goer, from: End): number {
  const { fromUpper } = standsAlong(sited, pose, hull);
  return from === 'lower' ? fromUpper - sited.lock.length : -(fromUpper + hull.length);
}

/**
 * Who goes first where two boats go through a lock the same way, and whether they lie side by side in it; null where the other
 * one does not come this way. A boat in the chamber already is first. Of two outside it is the one nearer to the gates, as
 * nobody has to pass in the narrows; where neither is, the heavier: the second one's water sets the first about on its lines.
 *
 * @param from the gates both come to
 */
export function sharing(sited: SitedLock, from: End, she: Goer, other: Goer): Sharing | null {
  const { lock } = sited;
  const sign = from === 'lower' ? -1 : 1;
  const along = atan2(sign * sited.east, sign * sited.north);
  if (Math.abs(wrapHalfTurn(other.pose.heading - along)) > HEADS_FOR_LOCK) return null;
  const stands = standsAlong(sited, other.pose, other.hull);
  const fits = {
    beside: lock.width - she.hull.beam - other.hull.beam - 3 * LOCK_FENDER_M,
    lengthways: lock.length - she.hull.length - other.hull.length,
  };
  if (stands.inside) {
    const where = new Float64Array(2);
    intoLock(where, sited, other.pose.x, other.pose.y);
    const wall: LockSide = where[IN_LOCK.T]! > 0 ? 'left' : 'right';
    return { ...fits, first: 'other', because: 'lies there', wall };
  }
  const [hers, others] = [before(sited, she, from), before(sited, other, from)];
  if (others < 0 || others > COMES_WITHIN * lock.length) return null;
  const near = AS_NEAR * Math.min(she.hull.length, other.hull.length);
  if (Math.abs(hers - others) > near)
    return { ...fits, first: hers < others ? 'she' : 'other', because: 'nearer', wall: null };
  const first = she.hull.mass >= other.hull.mass ? 'she' : 'other';
  return { ...fits, first, because: 'heavier', wall: null };
}
