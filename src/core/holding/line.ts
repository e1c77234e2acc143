import { exp } from '../math';
import { anchorHolds, chainTension } from './chain';
import { GROUND } from './ground';
import { SPAN } from './span';

/** What is made of a line, as it stands in its row. */
export const MADE = {
  /** Aboard, in nobody's way. */
  ABOARD: 0,
  /** On its way to the shore. */
  PASSING: 1,
  /** On ashore and held in a hand; held on turns; made fast. */
  HELD: 2,
  TURNED: 3,
  FAST: 4,
  /** Let go or missed: in the water, coming home. */
  TRAILING: 5,
  PARTED: 6,
} as const;

/**
 * What may change about a line while the boat moves, a row each: its length without load (m); the tension it gives way
 * at, N, Infinity when fast and 0 when it is on nothing; its end ashore and that end's height over the boat's, m; what
 * is made of it (MADE); the speed it is hauled in with (m/s, eased when negative), the pull it is hauled with, N, and
 * the length it is hauled or eased to, m; what its end is on: 0 the place, k the kth of the other boats, and then EAST
 * and NORTH are that boat's starboard and ahead; how far an anchor has been dragged since it fell, m.
 */
export const LINE = {
  LENGTH: 0,
  HOLD: 1,
  EAST: 2,
  NORTH: 3,
  RISE: 4,
  MADE: 5,
  HAUL: 6,
  PULL: 7,
  UNTIL: 8,
  ON: 9,
  DRAGGED: 10,
} as const;
export const LINE_COLUMNS = 11;

/** Lines between boat and shore, as flat arrays so that the step reads them fast. Boat ends in body axes, m. */
export interface Lines {
  readonly count: number;
  readonly boatX: Float64Array;
  readonly boatY: Float64Array;
  /** Stiffness EA, N, what it grows by with stretch, N, and damping, N s/m. */
  readonly stiffness: Float64Array;
  readonly stiffening: Float64Array;
  readonly damping: Float64Array;
  /** Load it parts at, N, and all there is of it, m. */
  readonly breaks: Float64Array;
  readonly total: Float64Array;
  /** Of a chain on an anchor: its weight in water, N/m, and what the anchor holds when dug in, N; nought of a rope. */
  readonly weight: Float64Array;
  readonly anchor: Float64Array;
  /** Columns LINE as they are at the start. */
  readonly rows: Float64Array;
  /** Whether anything about them may change: else they are fast and never part. */
  readonly tended: boolean;
}

export interface LineSpec {
  readonly boatX: number;
  readonly boatY: number;
  readonly shoreX: number;
  readonly shoreY: number;
  readonly rise: number;
  readonly length: number;
  readonly stiffness: number;
  readonly damping: number;
  readonly stiffening?: number;
  /** Load it parts at, N; never if not given. */
  readonly breaks?: number;
  /** All there is of it, m; no more than is out if not given. */
  readonly total?: number;
  /** What is made of it; fast if not given. */
  readonly made?: number;
  /** Which of the other boats it is on, from 1: then `shoreX` is to starboard of its midships, `shoreY` ahead. */
  readonly on?: number;
  /** Chain on an anchor: weight in water, N/m, and what the anchor holds, N. */
  readonly weight?: number;
  readonly anchor?: number;
}

/** @param tended whether anything about them may change during a run */
export function linesOf(specs: readonly LineSpec[], tended = false): Lines {
  const column = (pick: (spec: LineSpec) => number) => Float64Array.from(specs, pick);
  const rows = new Float64Array(LINE_COLUMNS * specs.length);
  specs.forEach((spec, i) => {
    const at = i * LINE_COLUMNS;
    const made = spec.made ?? MADE.FAST;
    rows[at + LINE.LENGTH] = spec.length;
    rows[at + LINE.HOLD] = made === MADE.FAST ? Infinity : 0;
    rows[at + LINE.EAST] = spec.shoreX;
    rows[at + LINE.NORTH] = spec.shoreY;
    rows[at + LINE.RISE] = spec.rise;
    rows[at + LINE.MADE] = made;
    rows[at + LINE.ON] = spec.on ?? 0;
    // What lies there when it begins has been dug in.
    rows[at + LINE.DRAGGED] = made === MADE.FAST ? Infinity : 0;
  });
  return {
    count: specs.length,
    boatX: column((l) => l.boatX),
    boatY: column((l) => l.boatY),
    stiffness: column((l) => l.stiffness),
    stiffening: column((l) => l.stiffening ?? 0),
    damping: column((l) => l.damping),
    breaks: column((l) => l.breaks ?? Infinity),
    total: column((l) => l.total ?? l.length),
    weight: column((l) => l.weight ?? 0),
    anchor: column((l) => l.anchor ?? 0),
    rows,
    tended,
  };
}

export const NO_LINES: Lines = linesOf([]);

/**
 * Tension of a line, N: T = max(0, EA·ε + EA₂·ε² + c·ℓ̇), ε = (ℓ − ℓ₀)/ℓ₀; nothing while slack, never a push.
 *
 * @param stretched its length now, and how fast that grows, m and m/s
 */
export function lineTension(
  stiffness: number,
  length: number,
  damping: number,
  stretched: number,
  growing: number,
  stiffening = 0,
): number {
  if (stretched <= length) return 0;
  const strain = (stretched - length) / length;
  const tension = (stiffness + stiffening * strain) * strain + damping * growing;
  return tension > 0 ? tension : 0;
}

/** How far a tension stretches a line, as a share of its length: the law above at rest, turned round. */
export function strainUnder(tension: number, stiffness: number, stiffening: number): number {
  if (stiffening === 0) return tension / stiffness;
  const root = Math.sqrt(stiffness * stiffness + 4 * stiffening * tension);
  return (root - stiffness) / (2 * stiffening);
}

/** How line `i` lies between its ends at this moment, into `span`. */
export function spanOf(
  span: Float64Array,
  lines: Lines,
  rows: Float64Array,
  i: number,
  boat: Float64Array,
): void {
  const at = i * LINE_COLUMNS;
  const bx = lines.boatX[i]!;
  const by = lines.boatY[i]!;
  const east = rows[at + LINE.EAST]! - boat[GROUND.X]!;
  const north = rows[at + LINE.NORTH]! - boat[GROUND.Y]!;
  const ax = east * boat[GROUND.SIN]! + north * boat[GROUND.COS]! - bx;
  const ay = east * boat[GROUND.COS]! - north * boat[GROUND.SIN]! - by;
  // A chain goes down to its anchor in a curve of its own: what counts is how far that is in plan.
  const rise = lines.weight[i]! > 0 ? 0 : rows[at + LINE.RISE]!;
  const stretched = Math.sqrt(ax * ax + ay * ay + rise * rise);
  const over = stretched > 0 ? 1 / stretched : 0;
  const vx = boat[GROUND.SURGE]! - boat[GROUND.YAW]! * by;
  const vy = boat[GROUND.SWAY]! + boat[GROUND.YAW]! * bx;
  span[SPAN.LENGTH] = stretched;
  span[SPAN.GROWING] = -(ax * vx + ay * vy) * over;
  span[SPAN.X] = ax * over;
  span[SPAN.Y] = ay * over;
}

/** No line is hauled shorter than this between its ends, m. */
const SHORTEST_M = 0.3;

/** The length a line is hauled to, m. */
export function hauledTo(rows: Float64Array, i: number): number {
  return Math.max(SHORTEST_M, rows[i * LINE_COLUMNS + LINE.UNTIL]!);
}

/** The length a line that is eased has gone out to after so many seconds, m: no more than asked for, nor than there is. */
export function easedLength(lines: Lines, rows: Float64Array, i: number, seconds: number): number {
  const at = i * LINE_COLUMNS;
  const length = rows[at + LINE.LENGTH]!;
  const most = Math.min(rows[at + LINE.UNTIL]!, lines.total[i]!);
  return Math.max(length, Math.min(length - rows[at + LINE.HAUL]! * seconds, most));
}

/**
 * Tension of line `i` while it is hauled in, its damping left out, N. Hands and winches take in dℓ₀/dt = −w (1 − T/P), w the speed of slack and
 * P their pull, and pay nothing out; the line's stiffness k has T follow that with
 *
 *   dT/dt = k (ℓ̇ + w (1 − T/P)),  towards P (1 + ℓ̇/w) at the rate k w/P,
 *
 * which goes from hundredths of a second (hands) to seconds (a slow winch): solved over the time since its row was written,
 * with how fast it lengthens held, from when it has come taut.
 */
export function hauledTension(
  lines: Lines,
  rows: Float64Array,
  i: number,
  span: Float64Array,
): number {
  const at = i * LINE_COLUMNS;
  const length = rows[at + LINE.LENGTH]!;
  const stretched = span[SPAN.LENGTH]!;
  const growing = span[SPAN.GROWING]!;
  const stiffness = lines.stiffness[i]!;
  const stiffening = lines.stiffening[i]!;
  const elastic = lineTension(stiffness, length, 0, stretched, 0, stiffening);
  const haul = rows[at + LINE.HAUL]!;
  const pull = rows[at + LINE.PULL]!;
  const coming = haul + growing;
  // Pulling harder than they can it is held; to its length it is in; the boat may come faster than they take in.
  if (elastic >= pull || length <= hauledTo(rows, i) || coming <= 0) return elastic;
  let since = span[SPAN.SINCE]!;
  const before = stretched - growing * since;
  if (before < length) since -= (length - before) / coming;
  if (since <= 0) return elastic;
  const began = lineTension(stiffness, length, 0, before, 0, stiffening);
  const slope = (stiffness + 2 * stiffening * Math.max(0, before / length - 1)) / length;
  const towards = (pull * coming) / haul;
  const now = towards + (began - towards) * exp((-slope * haul * since) / pull);
  return Math.max(elastic, Math.min(pull, now));
}

/** Tension of line `i` as it lies, N: what stretches it, or what it is hauled with, and no more than it is held by. */
export function tensionIn(lines: Lines, rows: Float64Array, i: number, span: Float64Array): number {
  const at = i * LINE_COLUMNS;
  if (lines.weight[i]! > 0) return chainIn(lines, rows, i, span);
  const haul = rows[at + LINE.HAUL]!;
  let pull = lineTension(
    lines.stiffness[i]!,
    haul < 0 ? easedLength(lines, rows, i, span[SPAN.SINCE]!) : rows[at + LINE.LENGTH]!,
    lines.damping[i]!,
    span[SPAN.LENGTH]!,
    span[SPAN.GROWING]!,
    lines.stiffening[i]!,
  );
  if (haul > 0) pull = Math.max(pull, hauledTension(lines, rows, i, span));
  const hold = rows[at + LINE.HOLD]!;
  return pull < hold ? pull : hold;
}

/** The lines that may pull within a step: how many, then their numbers; all of them to begin with. */
export function everyLine({ count }: Lines): Int32Array {
  return Int32Array.from({ length: count + 1 }, (_, k) => (k === 0 ? count : k - 1));
}

/**
 * Adds the pull (N, N, N·m, body axes) of every line whose end is `on` one thing, and leaves the tensions in `tension`.
 * The same as `spanOf` and `tensionIn` say, written out: a number handed back by a function that is not inlined costs
 * more than it takes to make.
 *
 * @param pulling the lines that may pull (see everyLine); the rest is not looked at
 * @param boat columns GROUND: how it lies as seen from that
 * @param span working memory, columns SPAN
 */
export function addLines(
  force: Float64Array,
  tension: Float64Array,
  lines: Lines,
  rows: Float64Array,
  pulling: Int32Array,
  boat: Float64Array,
  on: number,
  span: Float64Array,
): void {
  const count = pulling[0]!;
  for (let k = 1; k <= count; k++) {
    const i = pulling[k]!;
    const at = i * LINE_COLUMNS;
    if (rows[at + LINE.ON] !== on) continue;
    tension[i] = 0;
    const hold = rows[at + LINE.HOLD]!;
    if (hold === 0) continue;
    if (lines.weight[i]! > 0 || rows[at + LINE.HAUL] !== 0) {
      addWorked(force, tension, lines, rows, i, boat, span);
      continue;
    }
    const bx = lines.boatX[i]!;
    const by = lines.boatY[i]!;
    const east = rows[at + LINE.EAST]! - boat[GROUND.X]!;
    const north = rows[at + LINE.NORTH]! - boat[GROUND.Y]!;
    const ax = east * boat[GROUND.SIN]! + north * boat[GROUND.COS]! - bx;
    const ay = east * boat[GROUND.COS]! - north * boat[GROUND.SIN]! - by;
    const rise = rows[at + LINE.RISE]!;
    const stretched2 = ax * ax + ay * ay + rise * rise;
    const length = rows[at + LINE.LENGTH]!;
    if (stretched2 <= length * length) continue;
    const stretched = Math.sqrt(stretched2);
    const over = 1 / stretched;
    const vx = boat[GROUND.SURGE]! - boat[GROUND.YAW]! * by;
    const vy = boat[GROUND.SWAY]! + boat[GROUND.YAW]! * bx;
    const growing = -(ax * vx + ay * vy) * over;
    const strain = (stretched - length) / length;
    let pull =
      (lines.stiffness[i]! + lines.stiffening[i]! * strain) * strain + lines.damping[i]! * growing;
    if (pull <= 0) continue;
    if (pull > hold) pull = hold;
    tension[i] = pull;
    const fx = pull * over * ax;
    const fy = pull * over * ay;
    force[0]! += fx;
    force[1]! += fy;
    force[2]! += bx * fy - by * fx;
  }
}

/** Tension of a chain, N, and its level pull into `span`: no more than its anchor holds, and what holds it aboard. */
function chainIn(lines: Lines, rows: Float64Array, i: number, span: Float64Array): number {
  const at = i * LINE_COLUMNS;
  const height = -rows[at + LINE.RISE]!;
  const weight = lines.weight[i]!;
  const length = rows[at + LINE.LENGTH]!;
  const tension = chainTension(span, length, height, weight, lines.stiffness[i]!);
  const level = span[SPAN.LEVEL]!;
  const dragged = rows[at + LINE.DRAGGED]!;
  const most = Math.min(
    rows[at + LINE.HOLD]!,
    anchorHolds(lines.anchor[i]!, dragged, level, span[SPAN.LIFT]!),
  );
  if (level <= most) return tension;
  span[SPAN.LEVEL] = most;
  return Math.min(tension, most + weight * height);
}

/** Adds the pull of a chain on its anchor, or of a line that is hauled or eased. */
function addWorked(
  force: Float64Array,
  tension: Float64Array,
  lines: Lines,
  rows: Float64Array,
  i: number,
  boat: Float64Array,
  span: Float64Array,
): void {
  spanOf(span, lines, rows, i, boat);
  const pull = tensionIn(lines, rows, i, span);
  tension[i] = pull;
  const along = lines.weight[i]! > 0 ? span[SPAN.LEVEL]! : pull;
  const fx = along * span[SPAN.X]!;
  const fy = along * span[SPAN.Y]!;
  force[0]! += fx;
  force[1]! += fy;
  force[2]! += lines.boatX[i]! * fy - lines.boatY[i]! * fx;
}

/** Load that n turns round a post carry with so much held behind them, N: hold·e^(μ2πn) (capstan equation, Euler–Eytelwein). */
export function carriedOnTurns(hold: number, friction: number, turns: number): number {
  return hold * exp(friction * 2 * Math.PI * turns);
}
