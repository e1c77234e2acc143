/** Where no way leads from, s. */
export const NO_WAY_S = 400;
/** A place that is shut off counts as so much worse than one beside it, s. */
const SHUT_S = 20;
/** Coming back from beyond what was looked at takes so long a metre, s. */
export const BACK_SPM = 4;

/** Where a grid has its nought and which way it lies, so that a line into a berth lies along it. */
export interface Frame {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
  readonly sin: number;
  readonly cos: number;
}

/** Seconds to a goal at places of a grid, on headings off its frame's, going ahead or astern. */
export interface Grid {
  /** From place to place, m, and how many headings there are over a turn. */
  readonly cell: number;
  readonly headings: number;
  /** Number of the first column and row, counted from the frame's nought. */
  readonly left: number;
  readonly back: number;
  readonly columns: number;
  readonly rows: number;
  /** At ((row · columns + column) · headings + heading) · 2 + astern. */
  readonly seconds: Float32Array;
}

/** Water a grid is laid over: so far to port and starboard, astern and ahead of the frame's nought, m. */
export interface Reach {
  readonly port: number;
  readonly starboard: number;
  readonly astern: number;
  readonly ahead: number;
}

export function gridOver(reach: Reach, cell: number, headings: number): Grid {
  const left = -Math.ceil(reach.port / cell);
  const back = -Math.ceil(reach.astern / cell);
  const columns = Math.ceil(reach.starboard / cell) - left + 1;
  const rows = Math.ceil(reach.ahead / cell) - back + 1;
  const seconds = new Float32Array(columns * rows * headings * 2).fill(NO_WAY_S);
  return { cell, headings, left, back, columns, rows, seconds };
}

const around = new Float64Array(8);
const shares = new Float64Array(8);

/**
 * Between eight places round one: beside what is shut off it is not as bad as that, but no better than what is near.
 *
 * @param by shares of them, from `base` on
 * @param low,high the least and the most of them
 */
export function between(
  at: Float64Array,
  by: Float64Array,
  base: number,
  low: number,
  high: number,
): number {
  let sum = 0;
  if (high < NO_WAY_S) {
    for (let n = 0; n < 8; n++) sum += by[base + n]! * at[n]!;
    return sum;
  }
  const shut = low + SHUT_S;
  if (shut >= NO_WAY_S) return NO_WAY_S;
  for (let n = 0; n < 8; n++) sum += by[base + n]! * (at[n]! > shut ? shut : at[n]!);
  return sum;
}

/** Shares of the eight places round one, by how far it is from the first of them in column, row and heading. */
export function sharesInto(by: Float64Array, a: number, b: number, c: number): void {
  by[0] = (1 - a) * (1 - b) * (1 - c);
  by[1] = (1 - a) * (1 - b) * c;
  by[2] = a * (1 - b) * (1 - c);
  by[3] = a * (1 - b) * c;
  by[4] = (1 - a) * b * (1 - c);
  by[5] = (1 - a) * b * c;
  by[6] = a * b * (1 - c);
  by[7] = a * b * c;
}

/**
 * Seconds from a pose in the frame of a grid, between the places they are known at; NO_WAY_S where no way leads from.
 *
 * @param x,y to starboard and ahead of its nought, m
 * @param heading off the frame's, rad
 * @param astern 1 going astern
 */
export function secondsAt(
  grid: Grid,
  x: number,
  y: number,
  heading: number,
  astern: number,
): number {
  const { cell, columns, rows, headings, seconds } = grid;
  let fx = x / cell - grid.left;
  let fy = y / cell - grid.back;
  // Beyond what was looked at it is first to come back.
  let back = 0;
  if (fx < 0 || fx > columns - 1) {
    const edge = fx < 0 ? 0 : columns - 1;
    back += Math.abs(fx - edge);
    fx = edge;
  }
  if (fy < 0 || fy > rows - 1) {
    const edge = fy < 0 ? 0 : rows - 1;
    back += Math.abs(fy - edge);
    fy = edge;
  }
  const i = Math.min(columns - 2, Math.floor(fx));
  const j = Math.min(rows - 2, Math.floor(fy));
  let fh = (heading * headings) / (2 * Math.PI);
  fh -= headings * Math.floor(fh / headings);
  const h0 = Math.min(headings - 1, Math.floor(fh));
  const h1 = h0 === headings - 1 ? 0 : h0 + 1;
  sharesInto(shares, fx - i, fy - j, fh - h0);
  const e = 2 * headings;
  const sw = e * (j * columns + i) + astern;
  const nw = sw + e * columns;
  around[0] = seconds[sw + 2 * h0]!;
  around[1] = seconds[sw + 2 * h1]!;
  around[2] = seconds[sw + e + 2 * h0]!;
  around[3] = seconds[sw + e + 2 * h1]!;
  around[4] = seconds[nw + 2 * h0]!;
  around[5] = seconds[nw + 2 * h1]!;
  around[6] = seconds[nw + e + 2 * h0]!;
  around[7] = seconds[nw + e + 2 * h1]!;
  const low = Math.min(...around);
  const high = Math.max(...around);
  return between(around, shares, 0, low, high) + BACK_SPM * back * cell;
}
