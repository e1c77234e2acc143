import { FOIL } from '../craft';

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
 * Trailing edge first (a < 0) slope and stall angle are cut by the foil's reversed share. Lift is normal
 * to the flow and drag against it, so the surface never does work on the water's account.
 *
 * Source: low-aspect-ratio wing practice (Helmbold slope, cross-flow drag after Hoerner 1965 and
 * Whicker & Fehlner 1958; recalled, not looked up). Weak within ±10° beyond stall.
 *
 * @param w a row of four: chord force and normal force over density, m⁴/s², are left at [0] and [1]; a and b are
 *   read from [2] and [3], as numbers passed to a function that is not inlined are boxed
 * @param f rows of figures, the foil's starting at `at` (columns FOIL)
 */
export function foilForce(w: Float64Array, f: Float64Array, at: number): void {
  const a = w[2]!;
  const b = w[3]!;
  const v2 = a * a + b * b;
  if (v2 === 0) {
    w[0] = 0;
    w[1] = 0;
    return;
  }
  const over = 1 / Math.sqrt(v2);
  const sine = b * over;
  const cosine = a * over;
  const sine2 = sine * sine;
  let from: number;
  let width: number;
  let slope = f[at + FOIL.SLOPE]!;
  if (a >= 0) {
    from = f[at + FOIL.STALL_FROM]!;
    width = f[at + FOIL.STALL_OVER]!;
  } else {
    from = f[at + FOIL.REVERSED_FROM]!;
    width = f[at + FOIL.REVERSED_OVER]!;
    slope *= f[at + FOIL.REVERSED]!;
  }
  let t = (sine2 - from) * width;
  t = t < 0 ? 0 : t > 1 ? 1 : t;
  const lift = (1 - t * t * (3 - 2 * t)) * slope * sine * cosine;
  const drag = f[at + FOIL.PROFILE]! + f[at + FOIL.INDUCED]! * lift * lift;
  const half = f[at + FOIL.HALF_AREA]! * v2;
  // Lift turned into blade axes: positive lift pushes against b and, by leading-edge suction, along a.
  w[0] = half * (lift * sine - drag * cosine);
  w[1] = -half * (lift * cosine + drag * sine + f[at + FOIL.BROADSIDE]! * sine * Math.abs(sine));
}

/**
 * Adds a fixed fin's surge, sway and yaw to `force` (N, N, N·m); (u, v, r) of the boat, stream
 * (streamU, streamV) over the reference stream where the fin stands, m/s.
 */
export function addFoil(
  force: Float64Array,
  blade: Float64Array,
  f: Float64Array,
  at: number,
  density: number,
  u: number,
  v: number,
  r: number,
  streamU: number,
  streamV: number,
): void {
  const x = f[at + FOIL.X]!;
  const y = f[at + FOIL.Y]!;
  const share = f[at + FOIL.SPEED]!;
  blade[2] = (u - r * y - streamU) * share;
  blade[3] = (v + r * x - streamV) * share;
  foilForce(blade, f, at);
  const fx = density * blade[0]!;
  const fy = density * blade[1]!;
  force[0]! += fx;
  force[1]! += fy;
  force[2]! += x * fy - y * fx;
}
