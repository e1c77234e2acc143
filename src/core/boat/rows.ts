/**
 * Rows of figures the step reads. A boat is turned once into flat arrays (docs/decisions/0009), as
 * numbers held in objects cost the step two to three times as much. The constants name the columns.
 */

/** A fin (see forces/foil.ts). */
export const FOIL = {
  X: 0,
  Y: 1,
  HALF_AREA: 2,
  SLOPE: 3,
  REVERSED: 4,
  INDUCED: 5,
  PROFILE: 6,
  BROADSIDE: 7,
  SPEED: 8,
  STALL_FROM: 9,
  STALL_OVER: 10,
  REVERSED_FROM: 11,
  REVERSED_OVER: 12,
  /** Hull strip whose water it stands in. */
  STRIP: 13,
  /** What is added to STALL_FROM and STALL_OVER in a race that is all of the flow. */
  LATER_FROM: 14,
  LATER_OVER: 15,
  /** Cross-flow drag that acts on the blade while flow is attached: the lower its aspect, the more. */
  EDGES: 16,
} as const;
export const FOIL_COLUMNS = 17;

/** A blade that steers: a foil, with channel and race behind it (forces/rudder.ts, forces/race.ts). */
export const BLADE = {
  ...FOIL,
  CHANNEL: 17,
  /** Drive whose race it stands in, −1 for none. */
  RACE_OF: 18,
  GROWTH_AFT: 19,
  GROWTH_FORWARD: 20,
  SPAN: 21,
  RADIUS: 22,
  EFFECT: 23,
  STRAIGHTENING: 24,
  DRAG_KEPT: 25,
  SIDE_GAIN: 26,
  HULL_LEVER: 27,
  /** Share of its force left where the flow comes from astern. */
  ASTERN: 28,
} as const;
export const BLADE_COLUMNS = 29;

/** A propeller (forces/propeller.ts, forces/prop-walk.ts). */
export const DRIVE = {
  X: 0,
  Y: 1,
  /** Steering channel its axis follows; the last one never turns. */
  CHANNEL: 2,
  HAND: 3,
  AHEAD_SQUARED: 4,
  ASTERN_SQUARED: 5,
  CROSSED: 6,
  TRAILING: 7,
  WAKE: 8,
  DEDUCTION: 9,
  WALK_ASTERN: 10,
  WALK_AHEAD: 11,
  PITCH: 12,
  DISC: 13,
  STRIP: 14,
} as const;
export const DRIVE_COLUMNS = 15;

/** The bare hull (forces/hull-resistance.ts, forces/hull-lift.ts). */
export const HULL = {
  ASTERN: 0,
  /** Residuary resistance over u² and over u⁶, N s²/m² and N s⁶/m⁶. */
  QUADRATIC: 1,
  SEXTIC: 2,
  /** ½ × lateral area × share of drag lengthwise in oblique flow, m². */
  OBLIQUE: 3,
  LIFT: 4,
  LIFT_CENTRE: 5,
  LIFT_ARM: 6,
  LIFT_SPREAD2: 7,
  OFFSET: 8,
  /** Square of the speed beyond which the sextic part grows no more, m²/s². */
  HUMP2: 9,
} as const;
export const HULL_COLUMNS = 10;

/** Windage (forces/wind.ts): ½ area × drag for wind from ahead, astern and the side, m²; centre, m; shift, m. */
export const WINDAGE = { FRONT: 0, STERN: 1, SIDE: 2, CENTRE: 3, SHIFT: 4, LENGTH: 5 } as const;
export const WINDAGE_COLUMNS = 6;

/** A tunnel thruster (forces/thruster.ts). */
/** MIDDLE is that of the hull: what is lost of a thruster's push and of its turning is not the same, as seen from there. */
export const THRUSTER = { X: 0, THRUST: 1, JET: 2, MIDDLE: 3 } as const;
export const THRUSTER_COLUMNS = 4;

/** A row table: `count` rows of equal width one after another. */
export interface Rows {
  readonly count: number;
  readonly values: Float64Array;
}

export function rowsOf(columns: number, rows: readonly Float64Array[]): Rows {
  const values = new Float64Array(columns * rows.length);
  rows.forEach((row, i) => values.set(row, i * columns));
  return { count: rows.length, values };
}
