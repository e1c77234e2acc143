import type { ShipDerivatives } from '../boat';
import { atan2, cos, exp, sin } from '../math';
import { WORK } from './foil';

/**
 * Hull, propeller and rudder of a ship by published derivatives (MMG standard method, Yasukawa &
 * Yoshimura 2015; recalled, not looked up), about midships:
 *
 *   X_H' = −R0' + Xvv' v'² + Xvr' v'r' + Xrr' r'² + Xvvvv' v'⁴, Y_H' and N_H' cubic in v', r'
 *   X_P = (1 − t_P) ρ n² D⁴ K_T(J),  w_P = 1 − (1 − w_P0)(1 + (1 − e^(−C1|β_P|))(C2 − 1))
 *   X_R = −(1 − t_R) F_N sin δ, Y_R = −(1 + a_H) F_N cos δ, N_R = −(x_R + a_H x_H) F_N cos δ
 *
 * The published yaw derivatives hold the Munk moment, and the surge ones none of it; what the mass
 * matrix adds of it, (m_y − m_x) u v, is given back here. Ahead only: for U near nought or astern the
 * method has no data, and hull values fade as U² while the propeller keeps bollard thrust.
 *
 * @param munk (a22 − a11), kg
 * @param w working row: SURGE, SWAY, YAW, DENSITY, RPS of the propeller, ANGLE of the rudder (positive turning to starboard)
 */
export function addShipDerivatives(
  force: Float64Array,
  ship: ShipDerivatives,
  munk: number,
  w: Float64Array,
): void {
  const density = w[WORK.DENSITY]!;
  const u = w[WORK.SURGE]!;
  const v = w[WORK.SWAY]!;
  const r = w[WORK.YAW]!;
  const rps = w[WORK.RPS]!;
  const delta = w[WORK.ANGLE]!;
  const { length: L, draught: d, hull: h, propeller: p, rudder: k } = ship;
  const U2 = u * u + v * v;
  const U = Math.sqrt(U2);
  if (U > 0) {
    const s = v / U;
    const q = (r * L) / U;
    const surge = h.Xvv * s * s + h.Xvr * s * q + h.Xrr * q * q + h.Xvvvv * s * s * s * s - h.R0;
    const sway =
      h.Yv * s +
      h.Yr * q +
      h.Yvvv * s * s * s +
      h.Yvvr * s * s * q +
      h.Yvrr * s * q * q +
      h.Yrrr * q * q * q;
    const yaw =
      h.Nv * s +
      h.Nr * q +
      h.Nvvv * s * s * s +
      h.Nvvr * s * s * q +
      h.Nvrr * s * q * q +
      h.Nrrr * q * q * q;
    const pressure = 0.5 * density * L * d * U2;
    force[0]! += pressure * surge;
    force[1]! += pressure * sway;
    force[2]! += pressure * L * yaw;
  }
  force[2]! += munk * u * v;
  const beta = U > 0 ? atan2(-v, u) : 0;
  const turn = U > 0 ? (r * L) / U : 0;
  const betaP = beta - p.x * turn;
  const C2 = betaP >= 0 ? p.C2[0] : p.C2[1];
  const wake = 1 - (1 - p.wake) * (1 + (1 - exp(-p.C1 * Math.abs(betaP))) * (C2 - 1));
  const inflow = u * (1 - wake);
  const J = rps !== 0 ? inflow / (rps * p.diameter) : 0;
  const KT = p.k0 + p.k1 * J + p.k2 * J * J;
  const D2 = p.diameter * p.diameter;
  force[0]! += (1 - p.deduction) * density * rps * Math.abs(rps) * D2 * D2 * KT;
  const eta = p.diameter / k.span;
  const gain = J > 1e-6 ? Math.sqrt(1 + (8 * Math.max(0, KT)) / (Math.PI * J * J)) - 1 : 0;
  const accelerated = 1 + k.kappa * gain;
  const uR =
    J > 1e-6
      ? k.epsilon * inflow * Math.sqrt(eta * accelerated * accelerated + 1 - eta)
      : k.epsilon * k.kappa * Math.sqrt((eta * 8 * Math.max(0, KT) * rps * rps * D2) / Math.PI);
  const betaR = beta - k.arm * turn;
  const vR = U * k.straightening[betaR < 0 ? 0 : 1] * betaR;
  const alpha = delta - atan2(vR, uR);
  const normal = 0.5 * density * k.area * (uR * uR + vR * vR) * k.slope * sin(alpha);
  // Their δ and force are positive to port helm; here δ > 0 turns to starboard, which is the same sign.
  force[0]! -= (1 - k.dragDeduction) * normal * sin(delta);
  force[1]! -= (1 + k.hullShare) * normal * cos(delta);
  force[2]! -= (k.x + k.hullShare * k.hullShareX * L) * normal * cos(delta);
}
