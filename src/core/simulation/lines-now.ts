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
import { groundOf, pointOnWater } from './readings';
import type { SimState } from './state';
import { othersOf, type LineAt, type World } from './world';

/** How many lines there are, the boat's and those of the other boats. */
export function lineCount(world: World): number {
  return world.where?.length ?? world.lines.count;
}

/** The boat a line of the plan leads from, and its place among that boat's lines. */
export function lineAt(world: World, line: number): LineAt {
  return world.where?.[line] ?? { boat: 0, row: line };
}

/** One of the boats of a world: 0 is it, then the others in their order. */
export function boatOf(
  state: SimState,
  world: World,
  boat: number,
): { readonly state: SimState; readonly world: World } {
  if (boat === 0) return { state, world };
  return { state: state.others[boat - 1]!, world: othersOf(world)[boat - 1]!.world };
}

/** The state of one of the boats: 0 is it. */
function stateOf(state: SimState, boat: number): SimState {
  return boat === 0 ? state : state.others[boat - 1]!;
}

/** What stands in a column (LINE) of a line of the plan. */
export function lineColumn(state: SimState, world: World, line: number, column: number): number {
  const { boat, row } = lineAt(world, line);
  return stateOf(state, boat).lines[row * LINE_COLUMNS + column]!;
}

export function setLineColumn(
  state: SimState,
  world: World,
  line: number,
  column: number,
  value: number,
): void {
  const { boat, row } = lineAt(world, line);
  stateOf(state, boat).lines[row * LINE_COLUMNS + column] = value;
}

/** The same without a line of the plan: taken off and aboard again. */
export function takeLineOff(state: SimState, world: World, line: number): void {
  setLineColumn(state, world, line, LINE.HOLD, 0);
  setLineColumn(state, world, line, LINE.MADE, MADE.ABOARD);
}

/** Load a line parts at, N, all there is of it, m, and what a metre of it weighs in water, N (0 for a rope). */
export function lineLimits(
  world: World,
  line: number,
): { readonly breaks: number; readonly total: number; readonly weight: number } {
  const { boat, row } = lineAt(world, line);
  const { lines } = boat === 0 ? world : othersOf(world)[boat - 1]!.world;
  return { breaks: lines.breaks[row]!, total: lines.total[row]!, weight: lines.weight[row]! };
}

/** The boat that `on` means to the lines of `boat`: the others are counted in the order of all. */
export function boatOn(boat: number, on: number): number {
  return on - 1 < boat ? on - 1 : on;
}

/** Where a line's other end is, m east and north; that on another boat goes with it. */
export function lineEnd(
  state: SimState,
  world: World,
  line: number,
): { readonly x: number; readonly y: number } {
  const { boat } = lineAt(world, line);
  const x = lineColumn(state, world, line, LINE.EAST);
  const y = lineColumn(state, world, line, LINE.NORTH);
  const on = lineColumn(state, world, line, LINE.ON);
  if (on === 0) return { x, y };
  return pointOnWater(boatOf(state, world, boatOn(boat, on)).state, y, x);
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
