import { between, NO_WAY_S, type Grid } from './grid';
import type { OnGrid, Steps } from './moves';

/** A place that comes so much nearer, s, is told to those that lead to it. */
const STIRS_S = 0.3;
/** The eight places round one differ by no more than so much, s, as a rule. */
const ABOUT_S = 6;
/** Places whose times lie within so much, s, are told of together. */
const BAND_S = 4;
const BANDS = Math.ceil(NO_WAY_S / BAND_S) + 1;

const around = new Float64Array(8);

/** The least time by any of the moves from a place, or what it was. */
export function leastFrom(
  seconds: Float32Array,
  from: number,
  { seconds: takes, along, shares, nearest }: Steps,
  price: number,
  before: number,
): number {
  let least = before;
  for (let m = 0; m < takes.length; m++) {
    const cost = price * takes[m]!;
    if (cost >= least) continue;
    // Where the nearest is far too far, what lies round it is as well; beside what is shut off it may not be.
    const about = seconds[from + nearest[m]!]!;
    if (about < NO_WAY_S && cost + about >= least + ABOUT_S) continue;
    const base = 8 * m;
    let low = NO_WAY_S;
    let high = 0;
    for (let n = 0; n < 8; n++) {
      const one = seconds[from + along[base + n]!]!;
      around[n] = one;
      if (one < low) low = one;
      if (one > high) high = one;
    }
    // Between them it is no less than at the least of them.
    if (cost + low >= least) continue;
    const sum = between(around, shares, base, low, high);
    if (cost + sum < least) least = cost + sum;
  }
  return least;
}

/** Of each heading, ahead and astern: how far back along the row those lie that a move leads from to there, in no order. */
function leadingTo({ steps }: OnGrid, headings: number): readonly Int32Array[] {
  const back = Array.from({ length: 2 * headings }, () => new Set<number>());
  steps.forEach((ways, heading) =>
    ways.forEach(({ along }, astern) => {
      const from = 2 * heading + astern;
      for (const far of along) {
        const to = (((from + far) % (2 * headings)) + 2 * headings) % (2 * headings);
        back[to]!.add(far);
      }
    }),
  );
  return back.map((far) => Int32Array.from(far));
}

/**
 * Finds how long it takes from every place of a grid: from the goal outwards, those first that are nearest to it, each place looked at again only where one it leads
 * to has come nearer. (Dijkstra 1959 in bands of time, as value iteration goes over places between which it is interpolated.)
 *
 * @param grid whose seconds are nought at the goal and NO_WAY_S elsewhere; changed
 * @param prices what time counts for at each place, −1 where the boat can not be
 */
export function spreadOut(grid: Grid, moves: OnGrid, prices: Float32Array): void {
  const { columns, rows, headings, seconds } = grid;
  const { steps, furthest } = moves;
  const back = leadingTo(moves, headings);
  const size = 2 * headings;
  // Places to be found: no further in than a move reaches they stay as they are.
  const open = new Uint8Array(seconds.length);
  const bands: number[][] = Array.from({ length: BANDS }, () => []);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const inside =
        j >= furthest && j < rows - furthest && i >= furthest && i < columns - furthest;
      if (!inside) continue;
      const place = (j * columns + i) * headings;
      for (let h = 0; h < headings; h++)
        for (let astern = 0; astern < 2; astern++) {
          const at = 2 * (place + h) + astern;
          if (seconds[at] === 0) bands[0]!.push(at);
          else if (prices[place + h]! >= 0) open[at] = 1;
        }
    }
  const asked = new Uint8Array(seconds.length);
  const told = new Float32Array(seconds.length).fill(Infinity);
  let stirred: number[] = [];
  for (let band = 0; band < BANDS; band++) {
    while (bands[band]!.length > 0) {
      const changed = bands[band]!;
      bands[band] = [];
      for (const at of changed) {
        const now = seconds[at]!;
        if (now >= told[at]!) continue;
        told[at] = now;
        for (const far of back[at % size]!) {
          const from = at - far;
          if (open[from] === 0 || asked[from] === 1 || seconds[from]! <= now) continue;
          asked[from] = 1;
          stirred.push(from);
        }
      }
      for (const at of stirred) {
        asked[at] = 0;
        const before = seconds[at]!;
        const turned = at % size;
        const steering = steps[turned >> 1]![turned & 1]!;
        const least = leastFrom(seconds, at, steering, prices[at >> 1]!, before);
        if (least >= before - STIRS_S) continue;
        seconds[at] = least;
        bands[Math.max(band, Math.floor(least / BAND_S))]!.push(at);
      }
      stirred = [];
    }
  }
}
