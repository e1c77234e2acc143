import { cos } from '../math';

/** Twelfths of the range gone after each sixth of the way between low and high water. */
const TWELFTHS: readonly number[] = [0, 1, 3, 6, 9, 11, 12];

/** Share of the range risen (or fallen) by the rule of twelfths, straight between sixths; t, duration in one unit. */
export function twelfths(t: number, duration: number): number {
  const sixths = Math.max(0, Math.min(6, (6 * t) / duration));
  const i = Math.min(5, Math.floor(sixths));
  return (TWELFTHS[i]! + (sixths - i) * (TWELFTHS[i + 1]! - TWELFTHS[i]!)) / 12;
}

/** Share of the range risen (or fallen) along a cosine: (1 − cos πt/D)/2. Differs from twelfths by up to 2.6 %. */
export function cosineTide(t: number, duration: number): number {
  const share = Math.max(0, Math.min(1, t / duration));
  return (1 - cos(Math.PI * share)) / 2;
}

/**
 * Room under a bridge, m: charted clearance is over `reference` (such as highest tide), level and
 * reference over the same datum.
 */
export function bridgeClearance(
  charted: number,
  reference: number,
  level: number,
  airDraught: number,
): number {
  return charted + reference - level - airDraught;
}

/** Water under the keel, m; a drying height is a negative charted depth. */
export function underKeel(
  charted: number,
  level: number,
  draught: number,
  squat = 0,
  wave = 0,
): number {
  return charted + level - draught - squat - wave;
}
