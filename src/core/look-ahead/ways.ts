import { NEAR_WEIGHT, TOUCHING_WAYS } from '../policy';
import type { Feel } from './feel';
import { distanceAt, roomOf, type Field } from './field';
import { spreadOut } from './front';
import { BACK_SPM, gridOver, NO_WAY_S, secondsAt, type Frame, type Grid, type Reach } from './grid';
import type { Weathering } from './guess';
import { movesOn, turnedBy } from './moves';

/**
 * How long it takes from anywhere to the goal by short moves ahead and astern, s: from every place of a grid, on every heading, going
 * ahead or astern. Found by value iteration (Bellman 1957) over moves the boat itself makes in that wind and current, from what it
 * has to keep clear of.
 */
export interface Ways extends Toward {
  readonly grid: Grid;
}

/** How somebody gets somewhere: where that is, and how long it takes from a pose, s, going ahead (`astern` 0) or astern (1); NO_WAY_S where no way leads. */
export interface Toward {
  readonly frame: Frame;
  seconds(x: number, y: number, heading: number, astern: number): number;
}

/** What the goal asks of a pose: nought where it is met, and by how much it is not, in what is allowed. */
export type Missed = (x: number, y: number, heading: number) => number;

export interface Ground {
  readonly field: Field;
  /** Places round the boat's deck. */
  readonly deck: Float64Array;
  readonly reach: Reach;
  /** Room that is liked, m. */
  readonly spare: number;
  /** Room round midships within which the ends meet nothing, m. */
  readonly clear: number;
}

/** Headings the way to go is known at, over a turn. */
const HEADINGS = 36;

/** What time counts for at the places of a grid, the more the nearer anything is than is liked; −1 where the boat can not be. */
function pricesOf(grid: Grid, frame: Frame, ground: Ground, missed: Missed): Float32Array {
  const { cell, headings, left, back, columns, rows, seconds } = grid;
  const { field, deck, spare, clear } = ground;
  const prices = new Float32Array(columns * rows * headings);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const across = (i + left) * cell;
      const along = (j + back) * cell;
      const x = frame.x + across * frame.cos + along * frame.sin;
      const y = frame.y - across * frame.sin + along * frame.cos;
      const open = distanceAt(field, x, y);
      for (let h = 0; h < headings; h++) {
        const at = (j * columns + i) * headings + h;
        const heading = frame.heading + (h * 2 * Math.PI) / headings;
        const room = open < 0 ? open : open > clear ? spare : roomOf(field, deck, x, y, heading);
        const touching = room < 0 ? TOUCHING_WAYS.more : 0;
        prices[at] =
          room < -TOUCHING_WAYS.deep ? -1 : 1 + NEAR_WEIGHT * Math.max(0, spare - room) + touching;
        if (room >= 0 && missed(x, y, heading) <= 1) {
          seconds[2 * at] = 0;
          seconds[2 * at + 1] = 0;
        }
      }
    }
  return prices;
}

/** What moves from the edge would leave the grid by is not known: from there it is first to come back to the nearest place further in. */
function comeBack(grid: Grid, places: number): void {
  const { cell, headings, columns, rows, seconds } = grid;
  const size = 2 * headings;
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const a = Math.max(places, Math.min(columns - 1 - places, i));
      const b = Math.max(places, Math.min(rows - 1 - places, j));
      if (a === i && b === j) continue;
      const back = BACK_SPM * cell * (Math.abs(a - i) + Math.abs(b - j));
      const from = (b * columns + a) * size;
      const to = (j * columns + i) * size;
      for (let n = 0; n < size; n++)
        seconds[to + n] = Math.min(seconds[to + n]!, seconds[from + n]! + back, NO_WAY_S);
    }
}

export function waysOf(
  feel: Feel,
  weather: Weathering,
  frame: Frame,
  ground: Ground,
  cell: number,
  missed: Missed,
): Ways {
  const weathering = turnedBy(weather, frame);
  const grid = gridOver(ground.reach, cell, HEADINGS);
  const moves = movesOn(grid, feel, weathering);
  spreadOut(grid, moves, pricesOf(grid, frame, ground, missed));
  comeBack(grid, moves.furthest);
  return {
    frame,
    grid,
    seconds: (x, y, heading, astern) => {
      const dx = x - frame.x;
      const dy = y - frame.y;
      const across = dx * frame.cos - dy * frame.sin;
      const along = dx * frame.sin + dy * frame.cos;
      return secondsAt(grid, across, along, heading - frame.heading, astern);
    },
  };
}
