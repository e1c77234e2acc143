/**
 * Published manoeuvring derivatives of a single-screw ship by the MMG standard method, as an optional
 * hull element: hull polynomial, propeller and rudder together, since each is fitted to the others.
 *
 * Hull values are non-dimensional with ½ρ L d U² and ½ρ L² d U², v' = v/U, r' = r L/U.
 * Source of method: Yasukawa & Yoshimura 2015, J. Mar. Sci. Technol. 20, 37–52 (recalled, not looked up).
 */
export interface ShipDerivatives {
  /** Length between perpendiculars and draught, m. */
  readonly length: number;
  readonly draught: number;
  readonly hull: {
    readonly R0: number;
    readonly Xvv: number;
    readonly Xvr: number;
    readonly Xrr: number;
    readonly Xvvvv: number;
    readonly Yv: number;
    readonly Yr: number;
    readonly Yvvv: number;
    readonly Yvvr: number;
    readonly Yvrr: number;
    readonly Yrrr: number;
    readonly Nv: number;
    readonly Nr: number;
    readonly Nvvv: number;
    readonly Nvvr: number;
    readonly Nvrr: number;
    readonly Nrrr: number;
  };
  readonly propeller: {
    readonly diameter: number;
    /** K_T = k0 + k1 J + k2 J². */
    readonly k0: number;
    readonly k1: number;
    readonly k2: number;
    readonly deduction: number;
    readonly wake: number;
    /** x_P/L, for the drift angle at the propeller. */
    readonly x: number;
    readonly C1: number;
    /** C2 for β_P ≥ 0 and < 0. */
    readonly C2: readonly [number, number];
  };
  readonly rudder: {
    readonly area: number;
    readonly span: number;
    /** Place, m. */
    readonly x: number;
    readonly slope: number;
    readonly dragDeduction: number;
    readonly hullShare: number;
    /** x_H/L of that share. */
    readonly hullShareX: number;
    /** γ_R for β_R < 0 and > 0. */
    readonly straightening: readonly [number, number];
    /** l_R/L. */
    readonly arm: number;
    readonly epsilon: number;
    readonly kappa: number;
  };
}
