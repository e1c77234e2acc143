import { WORK } from './foil';

/** Gaps between hull and the nearest wall to port and starboard, square to the keel, m: a row. */
export const GAPS = { PORT: 0, STARBOARD: 1 } as const;

/** Banks further off than this many beams are not felt. */
export const BANK_REACH = 4;

/** Strength of the pull at a gap of g beams, on ½ρV²LT: 0.05 at a quarter of the beam, 0.017 at one. */
function pull(gap: number, beam: number): number {
  const g = gap / beam;
  if (!(g < BANK_REACH)) return 0;
  const held = g > 0.05 ? g : 0.05;
  const fade = 1 - held / BANK_REACH;
  return (0.02 / (held + 0.15)) * fade;
}

/** Lever of the moment, share of length: the bow is pushed away from the near bank. */
const BOW_OUT = 0.25;

/**
 * Bank effect: pulled towards the nearer bank, bow pushed out, both with V² and rising steeply as the
 * gap closes:
 *
 *   Y = ½ρ u² L T (c(g_s) − c(g_p)),  c(g) = 0.02/(g + 0.15)·(1 − g/4),  N = −0.25 L Y sgn u
 *
 * g is the gap in beams to starboard and port. Order of size after Norrbin 1974 and Ch'ng, Doctors &
 * Renilson 1993 (recalled, not looked up); ±60 %. The push off a steep bank with hardly any water under
 * the keel is left out.
 *
 * @param w working row: SURGE through the water, DENSITY
 */
export function addBankEffect(
  force: Float64Array,
  hull: { readonly length: number; readonly beam: number; readonly draught: number },
  w: Float64Array,
  gaps: Float64Array,
): void {
  const { length, beam, draught } = hull;
  const u = w[WORK.SURGE]!;
  const pressure = 0.5 * w[WORK.DENSITY]! * u * u * length * draught;
  const side = pressure * (pull(gaps[GAPS.STARBOARD]!, beam) - pull(gaps[GAPS.PORT]!, beam));
  force[1]! += side;
  force[2]! -= BOW_OUT * length * side * (u >= 0 ? 1 : -1);
}
