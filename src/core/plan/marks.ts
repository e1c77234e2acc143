import { cos, sin } from '../math';
import { pointOnWater, type SimState, type StartPose } from '../simulation';
import type { MarkOnPlace } from './references';

interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Where a mark is now, m east and north: one on another boat goes with it. */
export function markNow(s: SimState, mark: MarkOnPlace): Spot {
  if (!mark.boat) return mark;
  return pointOnWater(s.others[mark.boat - 1]!, mark.x, mark.y);
}

/** Where a mark is as the manoeuvre begins: boats that lie on their lines do not go far from there. */
export function markAtStart(
  mark: MarkOnPlace,
  { others = [] }: { readonly others?: readonly { readonly start: StartPose }[] },
): Spot {
  const on = mark.boat ? others[mark.boat - 1]?.start : undefined;
  if (!on) return mark;
  const s = sin(on.heading);
  const c = cos(on.heading);
  return { x: on.x + mark.x * s + mark.y * c, y: on.y + mark.x * c - mark.y * s };
}
