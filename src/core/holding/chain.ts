import { exp, log, rootBetween } from '../math';
import { SPAN } from './span';

/*
 * Chain from the bow down to an anchor, lying on the bottom as far as it is not lifted. With a = H/w, H its level pull
 * and w its weight in water, and h the height of the bow over the bottom, a chain of length s reaches in plan
 *
 *   X(a) = s − √(h² + 2ha) + a·arcosh(1 + h/a)     while some of it lies there,
 *   X(a) = 2a·arsinh(√(s² − h²)/2a)                once it is lifted to the anchor,
 *
 * s longer by its own stretch, s(1 + H/EA). Both are the catenary (any text on statics).
 */

/**
 * Anchor chain from the bow to the first link on the bottom, without the chain lying there, m:
 * s = √(d² + 2dH/w) long, spanning H/w·arcosh(1 + wd/H). H horizontal pull, N; w weight in water, N/m.
 */
export function catenary(
  pull: number,
  weight: number,
  depth: number,
): { readonly length: number; readonly span: number } {
  const a = pull / weight;
  return { length: Math.sqrt(depth * depth + 2 * depth * a), span: hangs(a, depth) };
}

/** a·arcosh(1 + h/a), m. */
function hangs(a: number, height: number): number {
  const c = height / a;
  return a * log(1 + c + Math.sqrt(c * (2 + c)));
}

/** How far a chain reaches in plan under a level pull of `a` times its weight a metre, m. */
export function chainReach(
  a: number,
  length: number,
  height: number,
  weight: number,
  stiffness: number,
): number {
  const stretched = length * (1 + (a * weight) / stiffness);
  if (stretched <= height) return 0;
  const lifted2 = height * height + 2 * height * a;
  if (lifted2 < stretched * stretched) return stretched - Math.sqrt(lifted2) + hangs(a, height);
  const z = Math.sqrt(stretched * stretched - height * height) / (2 * a);
  return 2 * a * log(z + Math.sqrt(z * z + 1));
}

/** Length of a chain that pulls with H = a·w over `reach` metres in plan, m; its stretch left out. */
export function chainLength(a: number, reach: number, height: number): number {
  const lifted = Math.sqrt(height * height + 2 * height * a);
  const length = reach + lifted - hangs(a, height);
  if (length >= lifted) return length;
  // None of it lies on the bottom: √(s² − h²) = 2a·sinh(X/2a).
  const e = exp(Math.min(300, reach / (2 * a)));
  const wide = a * (e - 1 / e);
  return Math.sqrt(height * height + wide * wide);
}

const ROUNDS = 100;
const CLOSE = 1e-12;

/** The shortest chain over `reach` metres in plan that does not lift its anchor, m: it meets the bottom there, level. */
export function lyingLength(reach: number, height: number): number {
  if (reach <= 0) return height;
  const short = (a: number) => hangs(a, height) - reach;
  // Over so much it spans reach at least: a·arcosh(1 + h/a) ≥ √(2ah) (1 − h/12a).
  const high = (reach * reach) / (2 * height) + height;
  const seeking = { rounds: ROUNDS, close: CLOSE * high, instant: 0 };
  const a = rootBetween(short, 0, -reach, high, short(high), seeking);
  return Math.sqrt(height * height + 2 * height * a);
}

/** The level pull over its weight a metre, m, under which a chain reaches so far, m; nought while it hangs straight down. */
function pullOver(
  reach: number,
  length: number,
  height: number,
  weight: number,
  stiffness: number,
): number {
  if (reach <= length - height) return 0;
  const short = (a: number) => chainReach(a, length, height, weight, stiffness) - reach;
  // From the pull that lifts the last link, doubled until it reaches too far: most chains are asked for less.
  let high = Math.max(1e-6, (length * length - height * height) / (2 * height));
  let low = 0;
  let atHigh = short(high);
  while (atHigh < 0) {
    low = high;
    high *= 2;
    atHigh = short(high);
  }
  const atLow = low > 0 ? short(low) : length - height - reach;
  const seeking = { rounds: ROUNDS, close: CLOSE * high, instant: 0 };
  return rootBetween(short, low, atLow, high, atHigh, seeking);
}

/**
 * Tension of a chain at the bow, N, into whose row `span` go its level pull and what it lifts its anchor by, N.
 *
 * @param span columns SPAN, with its LENGTH in plan
 * @param height of the bow over the bottom, m
 * @param weight in water, N/m
 * @param stiffness EA, N
 */
export function chainTension(
  span: Float64Array,
  length: number,
  height: number,
  weight: number,
  stiffness: number,
): number {
  const a = pullOver(span[SPAN.LENGTH]!, length, height, weight, stiffness);
  const level = a * weight;
  span[SPAN.LEVEL] = level;
  span[SPAN.LIFT] = 0;
  // Level pull and the weight of all that hangs: T = H + wh while some lies on the bottom.
  const stretched = length * (1 + level / stiffness);
  if (height * height + 2 * height * a < stretched * stretched) {
    return level + weight * Math.min(height, length);
  }
  const half = span[SPAN.LENGTH]! / (2 * a);
  const e = exp(Math.min(300, 2 * half));
  const down = 0.5 * weight * (height * ((e + 1) / (e - 1)) - stretched);
  span[SPAN.LIFT] = Math.max(0, down);
  const up = down + weight * stretched;
  return Math.sqrt(level * level + up * up);
}

/** What an anchor still holds of its best, lifted by an angle, rad: three quarters at 5°, half at 15° (recalled; ± a fifth). */
const HALVED_BY_RAD = 0.25;
/** A freshly dropped anchor holds so much of its best, and all of it once dragged so far, m. Judgement. */
const UNSET = 0.3;
const SETS_IN_M = 1.5;

/**
 * What an anchor holds as it lies, N.
 *
 * @param best dug in and pulled level, N
 * @param dragged since it fell, m
 * @param level pull on it, N, and what lifts it, N
 */
export function anchorHolds(best: number, dragged: number, level: number, lift: number): number {
  const set = UNSET + (1 - UNSET) * Math.min(1, dragged / SETS_IN_M);
  const angle = level > 0 ? lift / level : 0;
  return (best * set) / (1 + angle / HALVED_BY_RAD);
}
