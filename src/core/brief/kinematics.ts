import { atan2, cos, exp, sin } from '../math';

/** Crossing a current on a straight track. */
export interface FerryGlide {
  /** Angle between heading and track, rad, up-stream, and speed made good along the track, m/s. */
  readonly crab: number;
  readonly speed: number;
}

/**
 * Crab angle and speed over ground for a track at `angle` to the current's set (rad):
 * sin crab = U sin a/V, SOG = V cos crab + U cos a. Null when the current is too strong for the boat.
 */
export function ferryGlide(through: number, current: number, angle: number): FerryGlide | null {
  const s = (current * sin(angle)) / through;
  if (s > 1 || s < -1) return null;
  const c = Math.sqrt(1 - s * s);
  return { crab: atan2(s, c), speed: through * c + current * cos(angle) };
}

/** Distance before the corner to put the wheel over: reach + R tan(Δψ/2), m. */
export function wheelOver(radius: number, turn: number, reach: number): number {
  return reach + (radius * sin(turn / 2)) / cos(turn / 2);
}

/** Rate of turn on a circle, rad/s. */
export function rateOnCircle(speed: number, radius: number): number {
  return speed / radius;
}

/** Heading and rate after a step of rudder, first order (Nomoto 1957): ψ = Kδ(t − T(1 − e^(−t/T))). */
export function firstOrderTurn(
  gain: number,
  lag: number,
  rudder: number,
  time: number,
): { readonly heading: number; readonly rate: number } {
  const settled = 1 - exp(-time / lag);
  return { heading: gain * rudder * (time - lag * settled), rate: gain * rudder * settled };
}
