import { exp, sineCosine, TURN } from '../math';
import { GRAVITY_MPS2 } from '../units';

/** The wash of something that passes, as a short group of waves. SI, radians from north. */
export interface PassingWash {
  /** When the middle of it is there, s, and where it comes from. */
  readonly time: number;
  readonly from: number;
  /** Height of its highest wave from trough to crest, m, and the time from one to the next, s. */
  readonly height: number;
  readonly period: number;
}

/** Waves of a group between where it has risen to, and fallen to, 1/e. */
const WAVES = 2;

/** sin(x)/x, by its series where x is small. */
function mean(x: number, turn: Float64Array): number {
  if (Math.abs(x) < 1e-3) return 1 - (x * x) / 6;
  turn[TURN.ANGLE] = x;
  sineCosine(turn);
  return turn[TURN.SIN]! / x;
}

/**
 * Adds the surge of passing wash: deep-water waves of one period in a group that swells and falls as e^−(t/τ)², two waves either side.
 * The slope of their surface pushes the boat's weight, with the water that goes with it, to and fro along their way:
 *
 *   F = (m + m_a) g k a e^−kT/2 S(½kL cos μ) S(½kB sin μ) cos ω(t − t₀),   ω² = g k,   S(x) = sin x/x
 *
 * a half the height, μ how they meet the keel (Froude & Krylov; linear deep-water waves, Airy). What heave, roll and the drift of
 * waves do is left out; shoaling and what a wall throws back as well: **±50 %**. Over the whole group it gives no lasting push.
 *
 * @param masses the boat's own with the added, ahead and sideways, kg
 * @param turn columns TURN, working memory
 */
export function addPassingWash(
  force: Float64Array,
  hull: { readonly length: number; readonly beam: number; readonly draught: number },
  masses: { readonly m11: number; readonly m22: number },
  washes: readonly PassingWash[],
  time: number,
  heading: { readonly sin: number; readonly cos: number },
  times: number,
  turn: Float64Array,
): void {
  for (let i = 0; i < washes.length; i++) {
    const { time: middle, from, height, period } = washes[i]!;
    const since = time - middle;
    const last = WAVES * period;
    const share = since / last;
    if (share > 3 || share < -3) continue;
    const omega = (2 * Math.PI) / period;
    const k = (omega * omega) / GRAVITY_MPS2;
    turn[TURN.ANGLE] = from;
    sineCosine(turn);
    // The way they go, in the boat's axes.
    const ahead = -(turn[TURN.SIN]! * heading.sin + turn[TURN.COS]! * heading.cos);
    const aside = -(turn[TURN.SIN]! * heading.cos - turn[TURN.COS]! * heading.sin);
    turn[TURN.ANGLE] = omega * since;
    sineCosine(turn);
    const swing = turn[TURN.COS]! * exp(-share * share);
    const over =
      mean(0.5 * k * hull.length * ahead, turn) * mean(0.5 * k * hull.beam * aside, turn);
    const slope = 0.5 * height * k * exp(-0.5 * k * hull.draught);
    const acceleration = times * GRAVITY_MPS2 * slope * over * swing;
    force[0]! += masses.m11 * acceleration * ahead;
    force[1]! += masses.m22 * acceleration * aside;
  }
}
