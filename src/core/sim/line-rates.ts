import type { Craft } from '../craft';
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

/** What is known of her lines within a step, as it stands in the step's working memory. */
interface LinesKnown {
  /** Columns LINE. */
  readonly lines: Float64Array;
  /** How she lies over the place and as the others see her, columns GROUND. */
  readonly views: readonly Float64Array[];
  readonly alongside: readonly Craft[];
  readonly span: Float64Array;
  readonly lineRates: Float64Array;
}

/** A bound on what a unit force at (x, y) of her moves there, 1/kg. */
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

/**
 * Can a line come to pull within so many seconds? Not where it is slack by more than she goes, and is taken in.
 * `span` says how it lies.
 */
function mayPull(s: LinesKnown, lines: Lines, i: number, view: Float64Array, seconds: number) {
  const at = i * LINE_COLUMNS;
  const vx = view[GROUND.SURGE]! - view[GROUND.YAW]! * lines.boatY[i]!;
  const vy = view[GROUND.SWAY]! + view[GROUND.YAW]! * lines.boatX[i]!;
  const way = Math.sqrt(vx * vx + vy * vy) + Math.max(0, s.lines[at + LINE.HAUL]!);
  const reach = s.span[SPAN.LENGTH]! + WAY_HAND * way * seconds + SLACK_HAND_M;
  return reach > s.lines[at + LINE.LENGTH]!;
}

/**
 * How fast her lines can act within the coming step, 1/s, into `lineRates`: the firmest one's spring, and all of them
 * with their damping. One that is on nothing, or hangs too slack to come taut, does not count. How she lies over the
 * place, and as the others see her, stands in `views`, her lines in `lines`, who is at their other ends in `alongside`.
 *
 * @param seconds the step, s; nought while it is not known how she lies: then every line counts
 */
export function setLineRates(
  s: LinesKnown,
  { craft, lines }: { readonly craft: Craft; readonly lines: Lines },
  seconds: number,
): void {
  const { span, lines: rows, views, alongside, lineRates } = s;
  const known = seconds > 0;
  let firmest = 0;
  let springs = 0;
  let damping = 0;
  for (let i = 0; i < lines.count; i++) {
    const at = i * LINE_COLUMNS;
    if (rows[at + LINE.HOLD] === 0) continue;
    const on = rows[at + LINE.ON]!;
    const chain = lines.weight[i]! > 0;
    const length = rows[at + LINE.LENGTH]!;
    span[SPAN.LENGTH] = 0;
    if (known) {
      spanOf(span, lines, rows, i, views[on]!);
      if (!chain && !mayPull(s, lines, i, views[on]!, seconds)) continue;
    }
    let lightness = lightnessAt(craft, lines.boatX[i]!, lines.boatY[i]!);
    const other = on > 0 ? alongside[on - 1] : undefined;
    if (other) lightness += lightnessAt(other, rows[at + LINE.NORTH]!, rows[at + LINE.EAST]!);
    // The steeper the further it is stretched: as far as it is now, and a little further.
    const strain = STRAIN_AHEAD + Math.max(0, (span[SPAN.LENGTH]! - length) / length);
    const slope = chain
      ? chainSlope(lines, rows, i, span)
      : (lines.stiffness[i]! + 2 * lines.stiffening[i]! * strain) / length;
    const spring = slope * lightness;
    firmest = Math.max(firmest, Math.sqrt(spring));
    springs += spring;
    damping += lines.damping[i]! * lightness;
  }
  lineRates[RATES.FIRMEST] = firmest;
  lineRates[RATES.ALL] = Math.sqrt(springs) + damping;
}
