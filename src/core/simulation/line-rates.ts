import type { Craft } from '../boat';
import {
  chainTension,
  GROUND,
  LINE,
  LINE_COLUMNS,
  RATES,
  SPAN,
  spanOf,
  tensionIn,
  type Lines,
} from '../holding';

/** A boat's lines, and what of its working memory is theirs. */
interface Moored {
  readonly world: { readonly lines: Lines };
  /** Rows of columns LINE of its lines. */
  readonly rows: Float64Array;
  readonly scratch: {
    /** How the boat lies over the place and as the others see it, columns GROUND. */
    readonly views: readonly Float64Array[];
    readonly span: Float64Array;
    readonly lineRates: Float64Array;
    /** What each moves at the boat's end (lineLightness). */
    readonly lightness: Float64Array;
    /** Those that may pull (everyLine), and the tension of each, N. */
    readonly pulling: Int32Array;
    readonly tension: Float64Array;
  };
  /** The boats that ON of the lines counts. */
  readonly others: readonly { readonly world: { readonly craft: Craft } }[];
}

/** A bound on what a unit force at (x, y) of the boat moves there, 1/kg. */
function lightnessAt({ mass }: Craft, x: number, y: number): number {
  return 1 / Math.min(mass.m11, mass.m22) + (x * x + y * y) / mass.m33;
}

/** Stretch a line may still take before the rates are looked at again, as a share; and way a chain may go, m. */
const STRAIN_AHEAD = 0.02;
const CHAIN_AHEAD_M = 0.15;

/** Slope of a chain's pull over the way its end goes, N/m, as steep as it may come to be. */
function chainSlope(lines: Lines, rows: Float64Array, i: number, span: Float64Array): number {
  const at = i * LINE_COLUMNS;
  const length = rows[at + LINE.LENGTH]!;
  const firm = lines.stiffness[i]! / length;
  tensionIn(lines, rows, i, span);
  const now = span[SPAN.LEVEL]!;
  span[SPAN.LENGTH]! += CHAIN_AHEAD_M;
  chainTension(span, length, -rows[at + LINE.RISE]!, lines.weight[i]!, lines.stiffness[i]!);
  return Math.min(firm, Math.max(0, span[SPAN.LEVEL]! - now) / CHAIN_AHEAD_M);
}

/** What may come about a line before it is looked at again besides what it does now: a share of its way, and m. */
const WAY_HAND = 1.2;
const SLACK_HAND_M = 0.1;

/** What a unit force in each line moves at its boat's end, 1/kg: it stays while the boat is the same. */
export function lineLightness(craft: Craft, lines: Lines): Float64Array {
  return Float64Array.from({ length: lines.count }, (_, i) =>
    lightnessAt(craft, lines.boatX[i]!, lines.boatY[i]!),
  );
}

/** Columns of the rates: RATES, as squares until all are added up, and the damping, 1/s. */
const DAMPING = 2;
export const LINE_RATES_COLUMNS = 3;

/** Adds line `i`, stretched to `span`'s length (nought: as long as it is without load). */
function addRate({ world, scratch, others }: Moored, rows: Float64Array, i: number): void {
  const { span, lineRates } = scratch;
  const { lines } = world;
  const at = i * LINE_COLUMNS;
  const on = rows[at + LINE.ON]!;
  let lightness = scratch.lightness[i]!;
  const other = on > 0 ? others[on - 1] : undefined;
  if (other)
    lightness += lightnessAt(other.world.craft, rows[at + LINE.NORTH]!, rows[at + LINE.EAST]!);
  const length = rows[at + LINE.LENGTH]!;
  // The steeper the further it is stretched: as far as it is now, and a little further.
  const strain = STRAIN_AHEAD + Math.max(0, (span[SPAN.LENGTH]! - length) / length);
  const slope =
    lines.weight[i]! > 0
      ? chainSlope(lines, rows, i, span)
      : (lines.stiffness[i]! + 2 * lines.stiffening[i]! * strain) / length;
  const spring = slope * lightness;
  if (spring > lineRates[RATES.FIRMEST]!) lineRates[RATES.FIRMEST] = spring;
  lineRates[RATES.ALL]! += spring;
  lineRates[DAMPING]! += lines.damping[i]! * lightness;
}

/**
 * Looks how line `i` lies, into `span`: can it come to pull within so many seconds? Not where it is slack by more than the boat
 * goes, and is taken in. `spanOf` written out but for what is not asked for.
 */
function mayPull(
  { views, span }: Moored['scratch'],
  lines: Lines,
  rows: Float64Array,
  i: number,
  seconds: number,
): boolean {
  const at = i * LINE_COLUMNS;
  const view = views[rows[at + LINE.ON]!]!;
  const bx = lines.boatX[i]!;
  const by = lines.boatY[i]!;
  const east = rows[at + LINE.EAST]! - view[GROUND.X]!;
  const north = rows[at + LINE.NORTH]! - view[GROUND.Y]!;
  const ax = east * view[GROUND.SIN]! + north * view[GROUND.COS]! - bx;
  const ay = east * view[GROUND.COS]! - north * view[GROUND.SIN]! - by;
  const rise = rows[at + LINE.RISE]!;
  const stretched2 = ax * ax + ay * ay + rise * rise;
  const length = rows[at + LINE.LENGTH]!;
  if (stretched2 > length * length) {
    span[SPAN.LENGTH] = Math.sqrt(stretched2);
    return true;
  }
  const vx = view[GROUND.SURGE]! - view[GROUND.YAW]! * by;
  const vy = view[GROUND.SWAY]! + view[GROUND.YAW]! * bx;
  const haul = rows[at + LINE.HAUL]!;
  const way = Math.sqrt(vx * vx + vy * vy) + (haul > 0 ? haul : 0);
  const slack = length - WAY_HAND * way * seconds - SLACK_HAND_M;
  span[SPAN.LENGTH] = length;
  return slack <= 0 || stretched2 > slack * slack;
}

/**
 * Which of the boat's lines may pull within the coming step, into `pulling`, and how fast they can act, 1/s, into `lineRates`: the
 * firmest one's spring, and all of them with their damping. One that hangs too slack to come taut is left out; one that is
 * on nothing does not count. How it lies over the place, and as the others see it, stands in `views`.
 *
 * @param seconds the step, s; nought while it is not known how it lies: then every line counts
 */
export function setLineRates(vessel: Moored, seconds: number): void {
  const { lines } = vessel.world;
  const { rows } = vessel;
  const { span, views, lineRates, pulling, tension } = vessel.scratch;
  lineRates[RATES.FIRMEST] = 0;
  lineRates[RATES.ALL] = 0;
  lineRates[DAMPING] = 0;
  let count = 0;
  for (let i = 0; i < lines.count; i++) {
    const at = i * LINE_COLUMNS;
    span[SPAN.LENGTH] = 0;
    const on = rows[at + LINE.HOLD] !== 0;
    if (on && seconds > 0) {
      if (lines.weight[i]! > 0) spanOf(span, lines, rows, i, views[rows[at + LINE.ON]!]!);
      else if (!mayPull(vessel.scratch, lines, rows, i, seconds)) {
        tension[i] = 0;
        continue;
      }
    }
    pulling[++count] = i;
    if (on) addRate(vessel, rows, i);
  }
  pulling[0] = count;
  lineRates[RATES.FIRMEST] = Math.sqrt(lineRates[RATES.FIRMEST]!);
  lineRates[RATES.ALL] = Math.sqrt(lineRates[RATES.ALL]!) + lineRates[DAMPING]!;
}
