import { MASS } from '../boat';
import { SHALLOW } from '../forces';
import { STICK } from '../holding';
import { R, U, V } from './state';
import { NOW } from './scratch';

/**
 * M ν̇ + C(ν)ν = force, solved for ν̇ into rates[U…R]. Rigid mass moves over the reference current with
 * (u, v, r); added mass with (ur, vr, r), the velocity through the water where the boat is:
 *   m1 u̇ = X + r Q,  m2 v̇ + m23 ṙ = Y − r P,  I ṙ + m23 v̇ = N − ur Q_A + vr P_A − u m x_G r
 *   Q = m(v + x_G r) + a22 vr + a23 r,  P = m u + a11 ur,  Q_A = a22 vr + a23 r,  P_A = a11 ur
 *
 * @param now columns NOW
 * @param stick what friction holds it back by (columns STICK), null if nothing does
 */
export function accelerate(
  rates: Float64Array,
  mass: Float64Array,
  shallow: Float64Array,
  force: Float64Array,
  now: Float64Array,
  stick: Float64Array | null,
): void {
  const u = now[NOW.U]!;
  const v = now[NOW.V]!;
  const r = now[NOW.R]!;
  const ur = now[NOW.UR]!;
  const vr = now[NOW.VR]!;
  const growth = shallow[SHALLOW.SWAY_MASS]!;
  const rigid = mass[MASS.RIGID]!;
  const moment = mass[MASS.RIGID_MOMENT]! * r;
  const surgeAdded = mass[MASS.A11]! * shallow[SHALLOW.SURGE_MASS]! * ur;
  const swayAdded = mass[MASS.A22]! * growth * vr + mass[MASS.A23]! * r;
  const x = force[0]! + r * (rigid * v + moment + swayAdded);
  const y = force[1]! - r * (rigid * u + surgeAdded);
  const n = force[2]! - ur * swayAdded + vr * surgeAdded - u * moment;
  const m23 = mass[MASS.M23]!;
  let m11 = mass[MASS.M11]!;
  let m22 = mass[MASS.M22]!;
  let m33 = mass[MASS.M33]!;
  let determinant = mass[MASS.DETERMINANT]!;
  if (growth !== 1) {
    m11 = rigid + (m11 - rigid) * shallow[SHALLOW.SURGE_MASS]!;
    m22 = rigid + (m22 - rigid) * growth;
    // Added yaw inertia is not kept apart: it is three eighths of the whole for most hulls.
    m33 *= 1 + ADDED_YAW_SHARE * (shallow[SHALLOW.YAW_MASS]! - 1);
    determinant = m22 * m33 - m23 * m23;
  }
  if (stick) {
    // The full symmetric matrix, surge eliminated first.
    const pivot = 1 / (m11 + stick[STICK.UU]!);
    const uv = stick[STICK.UV]! * pivot;
    const turn = stick[STICK.UR]! * pivot;
    const a = m22 + stick[STICK.VV]! - stick[STICK.UV]! * uv;
    const b = m23 + stick[STICK.VR]! - stick[STICK.UV]! * turn;
    const c = m33 + stick[STICK.RR]! - stick[STICK.UR]! * turn;
    const across = y - uv * x;
    const round = n - turn * x;
    const left = a * c - b * b;
    rates[V] = (c * across - b * round) / left;
    rates[R] = (a * round - b * across) / left;
    rates[U] = x * pivot - uv * rates[V]! - turn * rates[R]!;
    return;
  }
  rates[U] = x / m11;
  rates[V] = (m33 * y - m23 * n) / determinant;
  rates[R] = (m22 * n - m23 * y) / determinant;
}

const ADDED_YAW_SHARE = 0.375;
