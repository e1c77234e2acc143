import { distanceAt, roomOf, type Field } from './field';
import { G, GUESS_SIZE, GUESS_STEP_S, goOn, type Weathering } from './guess';
import { NEAR_WEIGHT, SHUNT_S } from '../policy';
import type { Feel } from './feel';

/** Headings the way to go is known at, over a turn. */
const HEADINGS = 36;
const BIN = (2 * Math.PI) / HEADINGS;
/** Where no way leads from, s. */
export const NO_WAY_S = 400;

/**
 * How long it takes from anywhere to the goal by short moves ahead and astern, s: from every place of a grid, on every heading, going
 * ahead or astern. Found by value iteration (Bellman 1957) over moves the boat itself makes in that wind and current, from what it
 * has to keep clear of.
 */
export interface Ways {
  /** The grid's own frame: where its nought is and which way it lies, so that a line into a berth lies along it. */
  readonly frame: Frame;
  readonly cell: number;
  /** Number of the first column and row, counted from the frame's nought. */
  readonly left: number;
  readonly back: number;
  readonly columns: number;
  readonly rows: number;
  /** At ((row · columns + column) · HEADINGS + heading) · 2 + astern; headings off the frame's. */
  readonly seconds: Float32Array;
}

export interface Frame {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
  readonly sin: number;
  readonly cos: number;
}

/** What the goal asks of a pose: nought where it is met, and by how much it is not, in what is allowed. */
export type Missed = (x: number, y: number, heading: number) => number;

interface Move {
  readonly dx: number;
  readonly dy: number;
  readonly dpsi: number;
  readonly seconds: number;
}

/** Way a move is felt from, m/s; how long it is felt before it counts, s; and how long it lasts at the most, s. */
const GOING_MPS = 0.5;
const FELT_S = 3;
const LONGEST_S = 5;
/** Moves that end nearer together than this, m, and on nearly the same heading are the same. */
const ALIKE_M = 0.5;
/** A place that is shut off counts as so much worse than one beside it, s. */
const SHUT_S = 20;
/** Coming back from beyond what was looked at takes so long a metre, s. */
const BACK_SPM = 4;
/** Places round one that its moves may reach. */
const REACH = 3;

/** Wind and current as they stand in a frame. */
function turnedBy({ windFrom, east, north, besides }: Weathering, frame: Frame): Weathering {
  return {
    windFrom: windFrom - frame.heading,
    east: east * frame.cos - north * frame.sin,
    north: east * frame.sin + north * frame.cos,
    besides,
  };
}

/** Moves from every heading, ahead (0) and astern (1). */
function movesOf(feel: Feel, weathering: Weathering, cell: number): Float64Array[][] {
  const s = new Float64Array(GUESS_SIZE);
  const many: Float64Array[][] = [];
  for (let h = 0; h < HEADINGS; h++) {
    const both: Float64Array[] = [];
    for (const astern of [0, 1]) {
      const way = astern ? -1 : 1;
      const moves: Move[] = [];
      feel.levers.forEach((levers, k) => {
        if (levers.way === -way || k === 0) return;
        for (const wheel of [-1, 0, 1]) {
          s.fill(0);
          s[G.PSI] = h * BIN;
          s[G.U] = levers.way === 0 ? 0 : way * GOING_MPS;
          s[G.WHEEL] = wheel;
          s[G.THRUST] = 1;
          s[G.LEVERS] = k;
          s[G.NEXT] = k;
          goOn(s, feel, weathering, wheel, FELT_S / GUESS_STEP_S);
          // What it has turned and drifted so far is how it gets there: what counts begins on the heading.
          const turned = s[G.PSI]! - h * BIN;
          const u = s[G.U]!;
          const v = s[G.V]!;
          const r = s[G.R]!;
          s.fill(0);
          s[G.PSI] = h * BIN;
          s[G.U] = u;
          s[G.V] = v;
          s[G.R] = r;
          s[G.WHEEL] = wheel;
          s[G.THRUST] = 1;
          s[G.LEVERS] = k;
          s[G.NEXT] = k;
          void turned;
          let t = 0;
          while (t < LONGEST_S) {
            goOn(s, feel, weathering, wheel, 1);
            t += GUESS_STEP_S;
            const far = Math.sqrt(s[G.X]! * s[G.X]! + s[G.Y]! * s[G.Y]!);
            if (far > 1.3 * cell || Math.abs(s[G.PSI]! - h * BIN) > BIN) break;
          }
          const dpsi = s[G.PSI]! - h * BIN;
          const far = Math.sqrt(s[G.X]! * s[G.X]! + s[G.Y]! * s[G.Y]!);
          // Hardly a move, in either: not worth looking along.
          if (far < 0.3 * cell && Math.abs(dpsi) < 0.3 * BIN) return;
          moves.push({ dx: s[G.X]!, dy: s[G.Y]!, dpsi, seconds: t });
        }
      });
      both.push(flat(fewer(moves)));
    }
    many.push(both);
  }
  return many;
}

/** As a row: four figures a move. */
const flat = (moves: readonly Move[]) =>
  Float64Array.from(moves.flatMap(({ dx, dy, dpsi, seconds }) => [dx, dy, dpsi, seconds]));

/** Without those that another does nearly alike, in no more time. */
function fewer(moves: readonly Move[]): Move[] {
  const found: Move[] = [];
  for (const one of moves.toSorted((a, b) => a.seconds - b.seconds)) {
    const alike = found.some(
      ({ dx, dy, dpsi }) =>
        Math.abs(dpsi - one.dpsi) < 0.35 * BIN &&
        Math.sqrt((dx - one.dx) * (dx - one.dx) + (dy - one.dy) * (dy - one.dy)) < ALIKE_M,
    );
    if (!alike) found.push(one);
  }
  return found;
}

/** How the boat drifts, left alone for as long as a shunt takes, on every heading. */
function driftsOf(feel: Feel, weathering: Weathering): Float64Array {
  const s = new Float64Array(GUESS_SIZE);
  const found = Array.from({ length: HEADINGS }, (_, h) => {
    s.fill(0);
    s[G.PSI] = h * BIN;
    goOn(s, feel, weathering, 0, SHUNT_S / GUESS_STEP_S);
    return { dx: s[G.X]!, dy: s[G.Y]!, dpsi: s[G.PSI]! - h * BIN, seconds: SHUNT_S };
  });
  return flat(found);
}

export interface Ground {
  readonly field: Field;
  /** Places round the boat's deck. */
  readonly deck: Float64Array;
  /** Water looked at: so far to port and starboard, astern and ahead of the frame's nought, m. */
  readonly reach: {
    readonly port: number;
    readonly starboard: number;
    readonly astern: number;
    readonly ahead: number;
  };
  /** Room that is liked, m. */
  readonly spare: number;
  /** Room round midships within which the ends meet nothing, m. */
  readonly clear: number;
}

export function waysOf(
  feel: Feel,
  weather: Weathering,
  frame: Frame,
  { field, deck, reach, spare, clear }: Ground,
  cell: number,
  missed: Missed,
  sweeps = 40,
): Ways {
  const left = -Math.ceil(reach.port / cell);
  const back = -Math.ceil(reach.astern / cell);
  const columns = Math.ceil(reach.starboard / cell) - left + 1;
  const rows = Math.ceil(reach.ahead / cell) - back + 1;
  const seconds = new Float32Array(columns * rows * HEADINGS * 2).fill(NO_WAY_S);
  const price = new Float32Array(columns * rows * HEADINGS);
  const ways: Ways = { frame, cell, left, back, columns, rows, seconds };
  const weathering = turnedBy(weather, frame);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const across = (i + left) * cell;
      const along = (j + back) * cell;
      const x = frame.x + across * frame.cos + along * frame.sin;
      const y = frame.y - across * frame.sin + along * frame.cos;
      const open = distanceAt(field, x, y);
      for (let h = 0; h < HEADINGS; h++) {
        const at = (j * columns + i) * HEADINGS + h;
        const heading = frame.heading + h * BIN;
        const room = open < 0 ? open : open > clear ? spare : roomOf(field, deck, x, y, heading);
        price[at] = room < 0 ? -1 : 1 + NEAR_WEIGHT * Math.max(0, spare - room);
        if (room >= 0 && missed(x, y, heading) <= 1) {
          seconds[2 * at] = 0;
          seconds[2 * at + 1] = 0;
        }
      }
    }
  const moves = movesOf(feel, weathering, cell);
  const drifts = driftsOf(feel, weathering);
  // Sweep in which a place last changed; what lies further from it than a move reaches is not looked at again.
  const changed = new Int16Array(columns * rows).fill(-9);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const at = (j * columns + i) * HEADINGS;
      for (let h = 0; h < HEADINGS; h++)
        if (seconds[2 * (at + h)] === 0) changed[j * columns + i] = 0;
    }
  const stirred = (i: number, j: number, sweep: number): boolean => {
    const j1 = Math.min(rows - 1, j + REACH);
    const i1 = Math.min(columns - 1, i + REACH);
    for (let b = Math.max(0, j - REACH); b <= j1; b++)
      for (let a = Math.max(0, i - REACH); a <= i1; a++)
        if (changed[b * columns + a]! >= sweep - 1) return true;
    return false;
  };
  for (let sweep = 1; sweep <= sweeps; sweep++) {
    let change = 0;
    const right = sweep % 2 === 0;
    const up = (sweep >> 1) % 2 === 0;
    for (let jj = 0; jj < rows; jj++) {
      const j = up ? jj : rows - 1 - jj;
      for (let ii = 0; ii < columns; ii++) {
        const i = right ? ii : columns - 1 - ii;
        if (!stirred(i, j, sweep)) continue;
        const x = (i + left) * cell;
        const y = (j + back) * cell;
        let most = 0;
        for (let h = 0; h < HEADINGS; h++) {
          const at = (j * columns + i) * HEADINGS + h;
          const times = price[at]!;
          if (times < 0) continue;
          for (let astern = 0; astern < 2; astern++) {
            const before = seconds[2 * at + astern]!;
            if (before === 0) continue;
            let least = before;
            const list = moves[h]![astern]!;
            for (let m = 0; m < list.length; m += 4) {
              const cost = times * list[m + 3]!;
              if (cost >= least) continue;
              const one =
                cost + wayIn(ways, x + list[m]!, y + list[m + 1]!, h * BIN + list[m + 2]!, astern);
              if (one < least) least = one;
            }
            if (times * SHUNT_S < least) {
              const one =
                times * SHUNT_S +
                wayIn(
                  ways,
                  x + drifts[4 * h]!,
                  y + drifts[4 * h + 1]!,
                  h * BIN + drifts[4 * h + 2]!,
                  1 - astern,
                );
              if (one < least) least = one;
            }
            if (least < before - 0.3) {
              seconds[2 * at + astern] = least;
              most = Math.max(most, before - least);
            }
          }
        }
        if (most > 0) changed[j * columns + i] = sweep;
        if (most > change) change = most;
      }
    }
    if (change === 0) break;
  }
  return ways;
}

/** Seconds to go from a pose, between the places it is known at; NO_WAY_S where no way leads from. @param astern 1 going astern */
export function wayAt(ways: Ways, x: number, y: number, heading: number, astern: number): number {
  const { frame } = ways;
  const dx = x - frame.x;
  const dy = y - frame.y;
  return wayIn(
    ways,
    dx * frame.cos - dy * frame.sin,
    dx * frame.sin + dy * frame.cos,
    heading - frame.heading,
    astern,
  );
}

/** The same of a pose in the grid's own frame: to starboard and ahead of the goal's heading, m, rad. */
function wayIn(ways: Ways, x: number, y: number, heading: number, astern: number): number {
  const { cell, columns, rows, seconds } = ways;
  let fx = x / cell - ways.left;
  let fy = y / cell - ways.back;
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
  const beyond = BACK_SPM * back * cell;
  const i = Math.min(columns - 2, Math.floor(fx));
  const j = Math.min(rows - 2, Math.floor(fy));
  const a = fx - i;
  const b = fy - j;
  let fh = heading / BIN;
  fh -= HEADINGS * Math.floor(fh / HEADINGS);
  const h0 = Math.min(HEADINGS - 1, Math.floor(fh));
  const h1 = h0 === HEADINGS - 1 ? 0 : h0 + 1;
  const c = fh - h0;
  const sw = 2 * HEADINGS * (j * columns + i) + astern;
  const nw = sw + 2 * HEADINGS * columns;
  const e = 2 * HEADINGS;
  const l = 2 * h0;
  const m = 2 * h1;
  let v0 = seconds[sw + l]!;
  let v1 = seconds[sw + m]!;
  let v2 = seconds[sw + e + l]!;
  let v3 = seconds[sw + e + m]!;
  let v4 = seconds[nw + l]!;
  let v5 = seconds[nw + m]!;
  let v6 = seconds[nw + e + l]!;
  let v7 = seconds[nw + e + m]!;
  const most = Math.max(v0, v1, v2, v3, v4, v5, v6, v7);
  if (most >= NO_WAY_S) {
    // Beside what is shut off it is not as bad as that, but no better than what is near.
    const shut = Math.min(v0, v1, v2, v3, v4, v5, v6, v7) + SHUT_S;
    if (shut >= NO_WAY_S) return NO_WAY_S + beyond;
    if (v0 > shut) v0 = shut;
    if (v1 > shut) v1 = shut;
    if (v2 > shut) v2 = shut;
    if (v3 > shut) v3 = shut;
    if (v4 > shut) v4 = shut;
    if (v5 > shut) v5 = shut;
    if (v6 > shut) v6 = shut;
    if (v7 > shut) v7 = shut;
  }
  const south = (v0 * (1 - c) + v1 * c) * (1 - a) + (v2 * (1 - c) + v3 * c) * a;
  const north = (v4 * (1 - c) + v5 * c) * (1 - a) + (v6 * (1 - c) + v7 * c) * a;
  return south * (1 - b) + north * b + beyond;
}
