import { LINE, MADE } from '../holding';
import { cos, sin } from '../math';
import { TAUT_N } from '../policy';
import { lineColumn, lineNow, pointOnWater, PSI, type SimState, type World } from '../simulation';
import { markNow } from './marks';
import type { LineState, MarkOnPlace, PointOnBoat } from './references';

/** The boat that is meant: one of the others by its number, from 1, or the boat itself. */
export const boatOf = (s: SimState, { boat }: { readonly boat?: number | undefined }): SimState =>
  boat ? s.others[boat - 1]! : s;

/** Distance from a point of a boat to a mark, m. */
export function distanceToMark(s: SimState, point: PointOnBoat, mark: MarkOnPlace): number {
  const place = pointOnWater(boatOf(s, point), point.x, point.y);
  const there = markNow(s, mark);
  const dx = there.x - place.x;
  const dy = there.y - place.y;
  return Math.sqrt(dx * dx + dy * dy);
}

/** How far ahead of a point of a boat, along that boat's heading, a mark lies, m; 0 when it is abeam. */
export function distanceAhead(s: SimState, point: PointOnBoat, mark: MarkOnPlace): number {
  const boat = boatOf(s, point);
  const place = pointOnWater(boat, point.x, point.y);
  const there = markNow(s, mark);
  const psi = boat.motion[PSI]!;
  return (there.x - place.x) * sin(psi) + (there.y - place.y) * cos(psi);
}

/**
 * How far a line is from a state: its tension over what counts as taut, N; else 1 when it is in that state, −1 when not.
 * People change a line only between timesteps, so that does not jump inside one.
 */
export function lineLevel(state: SimState, world: World, line: number, wanted: LineState): number {
  if (wanted === 'taut') return lineNow(state, world, line).tension - TAUT_N;
  const made = lineColumn(state, world, line, LINE.MADE);
  const on = made === MADE.HELD || made === MADE.TURNED || made === MADE.FAST;
  const there =
    wanted === 'on'
      ? on
      : wanted === 'fast'
        ? made === MADE.FAST
        : made === MADE.ABOARD || made === MADE.PARTED;
  return there ? 1 : -1;
}
