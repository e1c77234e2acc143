/** Room left of the time axis for names and scales, px. */
export const GUTTER = 132;

/** The end of the plan, selected like a step. */
export const END = 'end-of-plan';

/** Narrower than this a plan is read as a list, px. */
export const NARROW_PX = 560;

const LEAST_HEIGHT = 318;
const MOST_HEIGHT = 396;

/** Height of the plan for what it shows, px: all of it if that leaves the water enough; else it scrolls. */
export function planHeight(wanted: number): number {
  return Math.min(MOST_HEIGHT, Math.max(LEAST_HEIGHT, wanted + 2));
}

/** Where the heads of steps stand along the plan. */
export interface HeadPlace {
  /** Left edge and width of the head, px. */
  readonly x: number;
  readonly width: number;
  /** Where its moment is on the time axis, px. */
  readonly moment: number;
}

/**
 * Gives each step's head a place at its moment, or as near as the heads before and after leave room.
 * @param moments px along the axis, rising
 */
export function placeHeads(
  moments: readonly number[],
  left: number,
  right: number,
  wished: number,
): HeadPlace[] {
  const count = moments.length;
  if (count === 0) return [];
  const least = Math.min(wished, (right - left) / count);
  const x = moments.slice();
  for (let i = 0; i < count; i++) {
    x[i] = Math.max(left, i === 0 ? x[0]! : Math.max(x[i]!, x[i - 1]! + least));
  }
  for (let i = count - 1; i >= 0; i--) {
    x[i] = Math.min(x[i]!, (i === count - 1 ? right : x[i + 1]!) - least);
  }
  return x.map((at, i) => ({
    x: at,
    width: (i === count - 1 ? right : x[i + 1]!) - at,
    moment: moments[i]!,
  }));
}
