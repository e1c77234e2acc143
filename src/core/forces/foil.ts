import type { Foil } from '../craft';

/**
 * Force of a lifting surface over the full circle of incidence.
 *
 * Blade axes: a along the chord towards the leading edge, b to its right hand. With the blade's own
 * velocity (a, b) through the water, V² = a² + b², sin α = b/V, cos α = a/V:
 *
 *   attached  C_L = s(α)·k·sin α·cos α,      C_D = C_D0 + C_L²/(π A e)
 *   separated C_N = C_B·sin α·|sin α|  normal to the chord, C_B the broadside coefficient
 *
 * s fades from 1 to 0 across stall, so lift is never counted on top of fully separated flow.
 * Trailing edge first (a < 0) slope and stall angle are cut by reversedShare. Lift is normal to the
 * flow and drag against it, so the surface never does work on the water's account.
 *
 * Source: low-aspect-ratio wing practice (Helmbold slope, cross-flow drag after Hoerner 1965 and
 * Whicker & Fehlner 1958; recalled, not looked up). Weak within ±10° beyond stall.
 *
 * @param out chord force and normal force over density, m⁴/s², at [0] and [1]
 */
export function foilForce(out: Float64Array, foil: Foil, a: number, b: number): void {
  const v2 = a * a + b * b;
  if (v2 === 0) {
    out[0] = 0;
    out[1] = 0;
    return;
  }
  const v = Math.sqrt(v2);
  const sine = b / v;
  const cosine = a / v;
  const sine2 = sine * sine;
  const ahead = a >= 0;
  const from = ahead ? foil.stallFrom : foil.reversedStallFrom;
  const over = ahead ? foil.stallOver : foil.reversedStallOver;
  let t = (sine2 - from) * over;
  t = t < 0 ? 0 : t > 1 ? 1 : t;
  const attached = 1 - t * t * (3 - 2 * t);
  const slope = ahead ? foil.slope : foil.slope * foil.reversedShare;
  const lift = attached * slope * sine * cosine;
  const drag = foil.profileDrag + foil.induced * lift * lift;
  const halfAreaSpeed2 = 0.5 * foil.area * v2;
  // Lift turned into blade axes: positive lift pushes against b and, by leading-edge suction, along a.
  out[0] = halfAreaSpeed2 * (lift * sine - drag * cosine);
  out[1] =
    -halfAreaSpeed2 * (lift * cosine + drag * sine + foil.broadsideDrag * sine * Math.abs(sine));
}

/** Adds a fixed fin's surge, sway and yaw to `force` (N, N, N·m). */
export function addFoil(
  force: Float64Array,
  blade: Float64Array,
  foil: Foil,
  density: number,
  u: number,
  v: number,
  r: number,
): void {
  foilForce(blade, foil, (u - r * foil.y) * foil.speedShare, (v + r * foil.x) * foil.speedShare);
  const fx = density * blade[0]!;
  const fy = density * blade[1]!;
  force[0]! += fx;
  force[1]! += fy;
  force[2]! += foil.x * fy - foil.y * fx;
}
