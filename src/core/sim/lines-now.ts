import {
  GROUND_COLUMNS,
  LINE,
  LINE_COLUMNS,
  MADE,
  setSeen,
  SPAN,
  SPAN_COLUMNS,
  spanOf,
  tensionIn,
} from '../holding';
import { groundOf } from './readings';
import type { SimState } from './state';
import { othersOf, type LineAt, type Scratch, type World } from './world';

/** How many lines there are, hers and those of the other boats. */
export function lineCount(world: World): number {
  return world.where?.length ?? world.lines.count;
}

/** The boat a line of the score leads from, and its place among that boat's lines. */
export function lineAt(world: World, line: number): LineAt {
  return world.where?.[line] ?? { boat: 0, row: line };
}

/** One of the boats of a world: 0 is she, then the others in their order. */
export function boatOf(
  state: SimState,
  world: World,
  boat: number,
): { readonly state: SimState; readonly world: World } {
  if (boat === 0) return { state, world };
  return { state: state.others[boat - 1]!, world: othersOf(world)[boat - 1]!.world };
}

/** What stands in a column (LINE) of a line of the score. */
export function lineColumn(state: SimState, world: World, line: number, column: number): number {
  const { boat, row } = lineAt(world, line);
  return boatOf(state, world, boat).state.lines[row * LINE_COLUMNS + column]!;
}

export function setLineColumn(
  state: SimState,
  world: World,
  line: number,
  column: number,
  value: number,
): void {
  const { boat, row } = lineAt(world, line);
  boatOf(state, world, boat).state.lines[row * LINE_COLUMNS + column] = value;
}

/** The same without a line of the score: taken off and aboard again. */
export function takeLineOff(state: SimState, world: World, line: number): void {
  setLineColumn(state, world, line, LINE.HOLD, 0);
  setLineColumn(state, world, line, LINE.MADE, MADE.ABOARD);
}

/** Load each line parts at, N, and all there is of it, m. */
export function lineLimits(
  world: World,
  line: number,
): { readonly breaks: number; readonly total: number } {
  const { boat, row } = lineAt(world, line);
  const { lines } = boat === 0 ? world : othersOf(world)[boat - 1]!.world;
  return { breaks: lines.breaks[row]!, total: lines.total[row]! };
}

/** Tension of a line as the last evaluation left it, N. */
export function tensionOf(world: World, scratch: Scratch, line: number): number {
  const { boat, row } = lineAt(world, line);
  const own = boat === 0 ? scratch : scratch.company?.parties[boat]?.scratch;
  return own?.tension[row] ?? 0;
}

/** The boat that `on` means to the lines of `boat`: the others are counted in the order of all. */
export function boatOn(boat: number, on: number): number {
  return on - 1 < boat ? on - 1 : on;
}

/** Tension of a line at this moment, N, and the distance between its ends, m. */
export function lineNow(
  state: SimState,
  world: World,
  line: number,
): { readonly tension: number; readonly span: number } {
  const { boat, row } = lineAt(world, line);
  const own = boatOf(state, world, boat);
  const rows = own.state.lines;
  const on = rows[row * LINE_COLUMNS + LINE.ON]!;
  let view = groundOf(own.state, own.world);
  if (on > 0) {
    const other = boatOf(state, world, boatOn(boat, on));
    const seen = new Float64Array(GROUND_COLUMNS);
    setSeen(seen, view, groundOf(other.state, other.world));
    view = seen;
  }
  const span = new Float64Array(SPAN_COLUMNS);
  spanOf(span, own.world.lines, rows, row, view);
  const held = rows[row * LINE_COLUMNS + LINE.HOLD]! > 0;
  const tension = held ? tensionIn(own.world.lines, rows, row, span) : 0;
  return { tension, span: span[SPAN.LENGTH]! };
}
