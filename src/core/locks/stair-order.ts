import { OVER_CILL_KEPT_M, UNDER_COPING_KEPT_M } from '../policy';
import { chamberArea } from './lock';
import type { SitedLock } from './sited';

/** Where the waters of two chambers of a staircase come to one level. m. */
export interface Meeting {
  readonly level: number;
  /** Water over the cill between them. */
  readonly overCill: number;
  /** Over the coping of the lower one; it runs over where that is above nought. */
  readonly overCoping: number;
}

/**
 * Which chamber has to be seen to before a boat is locked from one into the other: going up the lower one is filled from the
 * one above, which must be full; going down the upper one empties into the one below, which must be empty.
 */
export interface StairOrder {
  readonly going: 'up' | 'down';
  readonly upper: number;
  readonly lower: number;
  /** As the other chamber stands now, and once it is made ready. */
  readonly now: Meeting;
  readonly ready: Meeting;
  /** What has to be done to it first; null where it may stay as it is; 'never' where even that does not do. */
  readonly first: 'fill' | 'empty' | 'never' | null;
}

/**
 * @param lock the one the boat comes to: the lower of the two going up, the upper going down
 * @param draught the boat's, m
 * @returns null where it is no part of a staircase that way
 */
export function stairOrder(
  locks: readonly SitedLock[],
  lock: number,
  going: 'up' | 'down',
  draught: number,
): StairOrder | null {
  const here = locks[lock]!;
  const beside = going === 'up' ? here.above : here.below;
  if (beside === undefined) return null;
  const [upper, lower] = going === 'up' ? [beside, lock] : [lock, beside];
  const [u, l] = [locks[upper]!, locks[lower]!];
  const areas = [chamberArea(u.lock), chamberArea(l.lock)] as const;
  const cill = Math.max(u.lock.lowerCill, l.lock.upperCill);
  const meet = (above: number, below: number): Meeting => {
    // No water is lost between them, and none runs up.
    const level =
      above > below
        ? (areas[0] * above + areas[1] * below) / (areas[0] + areas[1])
        : Math.min(above, below);
    return { level, overCill: level - cill, overCoping: level - l.coping };
  };
  const [full, empty] = [u.begins.upper, l.begins.lower];
  const now = going === 'up' ? meet(u.begins.chamber, empty) : meet(full, l.begins.chamber);
  const ready = meet(full, empty);
  const does = ({ overCill, overCoping }: Meeting) =>
    overCill >= draught + OVER_CILL_KEPT_M && overCoping <= -UNDER_COPING_KEPT_M;
  const made = going === 'up' ? 'fill' : 'empty';
  return {
    going,
    upper,
    lower,
    now,
    ready,
    first: does(now) ? null : does(ready) ? made : 'never',
  };
}
