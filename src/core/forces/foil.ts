import { FOIL } from '../boat';

/**
 * Working row of forces on one part: foil force out (0, 1) and its flow in (2, 3); the part's velocity through the
 * water (or the air), the sine and cosine of its angle, the fluid's density, revolutions, rate of turn, a
 * thruster's power. Handed over in a row because numbers passed to a function that is not inlined are boxed.
 */
export const WORK = {
  CHORD: 0,
  NORMAL: 1,
  ALONG: 2,
  ACROSS: 3,
  SURGE: 4,
  SWAY: 5,
  SIN: 6,
  COS: 7,
  DENSITY: 8,
  RPS: 9,
  YAW: 10,
  POWER: 11,
  /** A force along the hull, N. */
  FORCE: 12,
  /** Rudder angle of a ship by derivatives, rad. */
  ANGLE: 13,
  /** Flow along the hull at a blade, slowed by the wake, m/s. */
  AXIAL: 14,
  /** How much of the flow at a blade is a race, 0 to 1: by so much it stalls later. */
  RACED: 15,
} as const;
export const WORK_COLUMNS = 16;

/** Normal force of a plate with free streamlines, 2π sin α/(4 + π sin α), over that broadside. */
const PLATE = 4 + Math.PI;

/**
 * Force of a lifting surface over the full circle of incidence.
 *
 * Blade axes: a along the chord towards the leading edge, b to its right hand. With the blade's own
 * velocity (a, b) through the water, V² = a² + b², sin α = b/V, cos α = a/V:
 *
 *   attached  C_L = k·sin α·cos α,  C_D = C_D0 + C_L²/(π A e),  and C_N = C_B/(1 + A)·sin α·|sin α| round its edges
 *   separated C_N = C_B·sin α·(4 + π)/(4 + π|sin α|)  normal to the chord, C_B the broadside coefficient
 *
 * The first fades out and the second in across stall, so lift is never counted on top of fully separated flow. Past stall
 * the force goes nearly as sin α, as behind a plate with free streamlines (Kirchhoff 1869, Rayleigh 1876): 0.85 at 35° for
 * 1.2 broadside. In a race a blade stalls later, by as much as the flow is race.
 * Trailing edge first (a < 0) slope and stall angle are cut by the foil's reversed share. Lift is normal
 * to the flow and drag against it, so the surface never does work on the water's account.
 *
 * Source: low-aspect-ratio wing practice (Helmbold slope, drag round the edges after Hoerner 1965 and
 * Whicker & Fehlner 1958; recalled, not looked up). Weak within ±10° beyond stall: ±20 % there.
 *
 * @param w working row: chord and normal force over density, m⁴/s², left at CHORD and NORMAL; a, b at ALONG and ACROSS, RACED
 * @param f rows of figures, the foil's starting at `at` (columns FOIL)
 */
export function foilForce(w: Float64Array, f: Float64Array, at: number): void {
  const a = w[WORK.ALONG]!;
  const b = w[WORK.ACROSS]!;
  const v2 = a * a + b * b;
  if (v2 === 0) {
    w[WORK.CHORD] = 0;
    w[WORK.NORMAL] = 0;
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
    const raced = w[WORK.RACED]!;
    from = f[at + FOIL.STALL_FROM]! + raced * f[at + FOIL.LATER_FROM]!;
    width = f[at + FOIL.STALL_OVER]! + raced * f[at + FOIL.LATER_OVER]!;
  } else {
    from = f[at + FOIL.REVERSED_FROM]!;
    width = f[at + FOIL.REVERSED_OVER]!;
    slope *= f[at + FOIL.REVERSED]!;
  }
  let t = (sine2 - from) * width;
  t = t < 0 ? 0 : t > 1 ? 1 : t;
  const parted = t * t * (3 - 2 * t);
  const size = sine < 0 ? -sine : sine;
  const lift = (1 - parted) * slope * sine * cosine;
  const drag = f[at + FOIL.PROFILE]! + f[at + FOIL.INDUCED]! * lift * lift;
  const half = f[at + FOIL.HALF_AREA]! * v2;
  // Lift turned into blade axes: positive lift pushes against b and, by leading-edge suction, along a.
  w[WORK.CHORD] = half * (lift * sine - drag * cosine);
  w[WORK.NORMAL] =
    -half *
    (lift * cosine +
      drag * sine +
      sine *
        ((1 - parted) * f[at + FOIL.EDGES]! * size +
          (parted * f[at + FOIL.BROADSIDE]! * PLATE) / (4 + Math.PI * size)));
}

/** Adds a fixed fin's surge, sway and yaw to `force` (N, N, N·m); SURGE, SWAY and DENSITY stand in the working row. */
export function addFoil(force: Float64Array, w: Float64Array, f: Float64Array, at: number): void {
  const share = f[at + FOIL.SPEED]!;
  w[WORK.ALONG] = w[WORK.SURGE]! * share;
  w[WORK.ACROSS] = w[WORK.SWAY]! * share;
  foilForce(w, f, at);
  const fx = w[WORK.DENSITY]! * w[WORK.CHORD]!;
  const fy = w[WORK.DENSITY]! * w[WORK.NORMAL]!;
  force[0]! += fx;
  force[1]! += fy;
  force[2]! += f[at + FOIL.X]! * fy - f[at + FOIL.Y]! * fx;
}
