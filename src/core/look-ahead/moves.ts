import type { Feel } from './feel';
import { sharesInto, type Frame, type Grid } from './grid';
import { cos, sin } from '../math';
import { SHUNT } from '../policy';
import { G, goOn, GUESS_SIZE, GUESS_STEP_S, order, settle, type Weathering } from './guess';

interface Move {
  readonly dx: number;
  readonly dy: number;
  readonly dpsi: number;
  readonly seconds: number;
  /** Does the boat go the other way after it? */
  readonly shunts: boolean;
}

/** Way over the ground a move is felt from, m/s; through the water it is no less than so much. */
export const GOING_MPS = 0.5;
const STEERS_MPS = 0.3;
/** Way of a boat that is left to wind and current, m/s. */
const HARDLY_MPS = 0.15;
/** How long it is felt before it counts, s; and how long it lasts at the most, s. */
const FELT_S = 3;
const LONGEST_S = 5;
/** Moves that end nearer together than so much of a cell and of a heading are the same. */
const ALIKE_CELLS = 0.4;
const ALIKE_BINS = 0.35;
/** Shunts are seldom: fewer of them are told apart, by so much. */
const SHUNTS_COARSER = 2;
/** Moves are felt until they have gone so many cells, and are none under so much of one. */
const FAR_CELLS = 1.3;
const LEAST_CELLS = 0.3;
/** Shunts in a current may be set so many cells; what is set further is no move: from the goal itself, and from as far off it as the grid reaches, it would lead beyond it. */
const SET_MOST_CELLS = 12;

/** Wind and current as they stand in a frame. */
export function turnedBy({ windFrom, east, north, besides }: Weathering, frame: Frame): Weathering {
  return {
    windFrom: windFrom - frame.heading,
    east: east * frame.cos - north * frame.sin,
    north: east * frame.sin + north * frame.cos,
    besides,
  };
}

/** Without those that another does nearly alike, in no more time; the quickest first. */
function fewer(moves: readonly Move[], cell: number, bin: number, coarser = 1): Move[] {
  const found: Move[] = [];
  for (const one of moves.toSorted((a, b) => a.seconds - b.seconds)) {
    const alike = found.some(
      ({ dx, dy, dpsi }) =>
        Math.abs(dpsi - one.dpsi) < coarser * ALIKE_BINS * bin &&
        Math.sqrt((dx - one.dx) * (dx - one.dx) + (dy - one.dy) * (dy - one.dy)) <
          coarser * ALIKE_CELLS * cell,
    );
    if (!alike) found.push(one);
  }
  return found;
}

/** What the boat does from a heading by every setting of levers and wheel it keeps going with, ahead or astern. */
function movesFrom(
  feel: Feel,
  weathering: Weathering,
  heading: number,
  astern: number,
  cell: number,
  bin: number,
): Move[] {
  const s = new Float64Array(GUESS_SIZE);
  const way = astern ? -1 : 1;
  const moves: Move[] = [];
  const set = weathering.east * sin(heading) + weathering.north * cos(heading);
  const going = way * Math.max(STEERS_MPS, GOING_MPS - way * set);
  const felt = (k: number, wheel: number, u: number): void => {
    s.fill(0);
    s[G.PSI] = heading;
    s[G.U] = u;
    settle(s, feel, k, wheel);
    goOn(s, feel, weathering, wheel, FELT_S / GUESS_STEP_S);
    // What it has turned and drifted so far is how it gets there: what counts begins on the heading.
    s[G.X] = 0;
    s[G.Y] = 0;
    s[G.PSI] = heading;
    let seconds = 0;
    let far = 0;
    while (seconds < LONGEST_S) {
      goOn(s, feel, weathering, wheel, 1);
      seconds += GUESS_STEP_S;
      far = Math.sqrt(s[G.X]! * s[G.X]! + s[G.Y]! * s[G.Y]!);
      if (far > FAR_CELLS * cell || Math.abs(s[G.PSI]! - heading) > bin) break;
    }
    const dpsi = s[G.PSI]! - heading;
    // Hardly a move, in either: not worth looking along.
    if (far < LEAST_CELLS * cell && Math.abs(dpsi) < LEAST_CELLS * bin) return;
    moves.push({ dx: s[G.X]!, dy: s[G.Y]!, dpsi, seconds, shunts: false });
  };
  feel.levers.forEach((levers, k) => {
    if (levers.way === -way) return;
    for (const wheel of [-1, 0, 1])
      if (k > 0) felt(k, wheel, levers.way === 0 ? 0 : going);
      // Left to drift.
      else felt(k, wheel, way * HARDLY_MPS);
  });
  return fewer(moves, cell, bin);
}

/** What becomes of the boat until it goes the other way, from a heading, by every setting that drives it there. */
function shuntsFrom(
  feel: Feel,
  weathering: Weathering,
  heading: number,
  astern: number,
  cell: number,
  bin: number,
): Move[] {
  const s = new Float64Array(GUESS_SIZE);
  const way = astern ? -1 : 1;
  const moves: Move[] = [];
  feel.levers.forEach((levers, k) => {
    if (levers.way !== -way) return;
    for (const wheel of [-1, 0, 1]) {
      s.fill(0);
      s[G.PSI] = heading;
      s[G.U] = way * SHUNT.way;
      settle(s, feel, 0, wheel);
      order(s, feel, k);
      let seconds = 0;
      while (seconds < SHUNT.longest && -way * s[G.U]! < SHUNT.way) {
        goOn(s, feel, weathering, wheel, 1);
        seconds += GUESS_STEP_S;
      }
      const far = Math.max(Math.abs(s[G.X]!), Math.abs(s[G.Y]!));
      if (far > SET_MOST_CELLS * cell) continue;
      moves.push({
        dx: s[G.X]!,
        dy: s[G.Y]!,
        dpsi: s[G.PSI]! - heading,
        seconds: seconds + SHUNT.least,
        shunts: true,
      });
    }
  });
  return fewer(moves, cell, bin, SHUNTS_COARSER);
}

/**
 * Moves of one heading and way as they lie on a grid: from any place to the eight round where they end, always as far along the row of figures and with the same
 * shares.
 */
export interface Steps {
  readonly seconds: Float64Array;
  /** Eight a move: how far along the row of seconds, heading and way included. */
  readonly along: Int32Array;
  readonly shares: Float64Array;
  /** One a move: how far along the nearest of the eight is. */
  readonly nearest: Int32Array;
}

export interface OnGrid {
  /** Of each heading, ahead and astern. */
  readonly steps: readonly (readonly [Steps, Steps])[];
  /** How many columns or rows off the furthest move ends. */
  readonly furthest: number;
}

function laidOn(grid: Grid, heading: number, astern: number, moves: readonly Move[]) {
  const { cell, columns, headings } = grid;
  const along = new Int32Array(8 * moves.length);
  const shares = new Float64Array(8 * moves.length);
  const nearest = new Int32Array(moves.length);
  let furthest = 0;
  moves.forEach(({ dx, dy, dpsi, shunts }, m) => {
    const fx = dx / cell;
    const fy = dy / cell;
    const i = Math.floor(fx);
    const j = Math.floor(fy);
    const fh = heading + (dpsi * headings) / (2 * Math.PI);
    const h = Math.floor(fh);
    furthest = Math.max(furthest, -i, i + 1, -j, j + 1);
    sharesInto(shares.subarray(8 * m, 8 * m + 8), fx - i, fy - j, fh - h);
    const way = shunts ? 1 - astern : astern;
    let most = 0;
    for (let n = 0; n < 8; n++) {
      const row = j + ((n >> 2) & 1);
      const column = i + ((n >> 1) & 1);
      const turned = (((h + (n & 1)) % headings) + headings) % headings;
      along[8 * m + n] =
        2 * ((row * columns + column) * headings + turned - heading) + way - astern;
      if (shares[8 * m + n]! <= most) continue;
      most = shares[8 * m + n]!;
      nearest[m] = along[8 * m + n]!;
    }
  });
  const steps = {
    seconds: Float64Array.from(moves, ({ seconds }) => seconds),
    along,
    shares,
    nearest,
  };
  return { steps, furthest };
}

/** The moves of a boat in its weather, on a grid. */
export function movesOn(grid: Grid, feel: Feel, weathering: Weathering): OnGrid {
  const { cell, headings } = grid;
  const bin = (2 * Math.PI) / headings;
  let furthest = 0;
  const steps = Array.from({ length: headings }, (_, h) => {
    const way = (astern: number): Steps => {
      const moves = [
        ...movesFrom(feel, weathering, h * bin, astern, cell, bin),
        ...shuntsFrom(feel, weathering, h * bin, astern, cell, bin),
      ];
      const laid = laidOn(grid, h, astern, moves);
      furthest = Math.max(furthest, laid.furthest);
      return laid.steps;
    };
    return [way(0), way(1)] as const;
  });
  return { steps, furthest };
}
