import { log, type FlatPoints } from '../math';
import { GRAVITY_MPS2, WATER_VISCOSITY_M2PS } from '../units';
import { HULL, HULL_COLUMNS } from './rows';
import type { HullSpec } from './spec';

/** Strips the hull is cut into for cross flow and for the local current. */
export const STRIP_COUNT = 20;

/** Hull strips, from aft forward: middle of each, m, and ½ C_d T dx of each, m². */
export interface Strips {
  readonly x: Float64Array;
  readonly halfDragArea: Float64Array;
  /** Sums of halfDragArea·x^k, k = 0 … 4, over the strips abaft strip j, at 5 j + k; the whole at the end. */
  readonly moments: Float64Array;
  /** How much more the leading end resists than the middle, over its distance from there, 1/m. */
  readonly lead: number;
  /** That middle, m forward of the origin. */
  readonly middle: number;
}

/** How many of those sums there are for each strip. */
export const MOMENTS = 5;

/** Centreline of each hull, m to starboard: one in the middle, or a catamaran's two. */
export function hullMiddles(demihullOffset: number): readonly number[] {
  return demihullOffset > 0 ? [-demihullOffset, demihullOffset] : [0];
}

/** Draught at x by straight lines between stations; 0 outside them. m. */
export function draughtAt(draughts: FlatPoints, x: number): number {
  for (let i = 2; i < draughts.length; i += 2) {
    const x0 = draughts[i - 2]!;
    const x1 = draughts[i]!;
    if (x >= x0 && x <= x1) {
      const share = x1 > x0 ? (x - x0) / (x1 - x0) : 0;
      return draughts[i - 1]! + share * (draughts[i + 1]! - draughts[i - 1]!);
    }
  }
  return 0;
}

export function hullStrips(hull: HullSpec): Strips {
  const { draughts, crossFlowDrag } = hull;
  const aft = draughts[0]!;
  const dx = (draughts[draughts.length - 2]! - aft) / STRIP_COUNT;
  const x = new Float64Array(STRIP_COUNT);
  const halfDragArea = new Float64Array(STRIP_COUNT);
  for (let i = 0; i < STRIP_COUNT; i++) {
    x[i] = aft + (i + 0.5) * dx;
    halfDragArea[i] = 0.5 * crossFlowDrag * draughtAt(draughts, x[i]!) * dx;
  }
  const moments = new Float64Array(MOMENTS * (STRIP_COUNT + 1));
  for (let i = 0; i < STRIP_COUNT; i++) {
    let term = halfDragArea[i]!;
    for (let k = 0; k < MOMENTS; k++) {
      moments[MOMENTS * (i + 1) + k] = moments[MOMENTS * i + k]! + term;
      term *= x[i]!;
    }
  }
  const middle = hull.liftCentre;
  const ends = [aft, draughts[draughts.length - 2]!].map((end) => Math.abs(end - middle));
  const lead = hull.crossFlowLead / Math.max(...ends);
  return { x, halfDragArea, moments, lead, middle };
}

/** The strip nearest to x. */
export function stripAt(strips: Strips, x: number): number {
  const first = strips.x[0]!;
  const dx = strips.x[1]! - first;
  return Math.max(0, Math.min(STRIP_COUNT - 1, Math.round((x - first) / dx)));
}

/** Area of the canoe body in profile, m². */
export function lateralArea(hull: HullSpec): number {
  const { draughts } = hull;
  let area = 0;
  for (let i = 2; i < draughts.length; i += 2) {
    area += ((draughts[i]! - draughts[i - 2]!) * (draughts[i - 1]! + draughts[i + 1]!)) / 2;
  }
  return area;
}

/** Froude number beyond which the steep part of the residuary resistance is held: about the hump. */
export const HUMP_FROUDE = 0.6;

export function hullRow(hull: HullSpec): Float64Array {
  const row = new Float64Array(HULL_COLUMNS);
  const l = hull.waterlineLength;
  row[HULL.ASTERN] = hull.asternFactor;
  // m g (a Fn² + b Fn⁶) with Fn² = u²/(g L).
  row[HULL.QUADRATIC] = (hull.mass * hull.residuaryQuadratic) / l;
  row[HULL.SEXTIC] = (hull.mass * hull.residuarySextic) / (GRAVITY_MPS2 * GRAVITY_MPS2 * l * l * l);
  row[HULL.HUMP2] = HUMP_FROUDE * HUMP_FROUDE * GRAVITY_MPS2 * l;
  row[HULL.OBLIQUE] = 0.5 * lateralArea(hull) * hull.obliqueDrag;
  row[HULL.LIFT] = 0.5 * hull.liftArea;
  row[HULL.LIFT_CENTRE] = hull.liftCentre;
  row[HULL.LIFT_ARM] = hull.liftArm;
  row[HULL.LIFT_SPREAD2] = hull.liftSpread * hull.liftSpread;
  row[HULL.OFFSET] = hull.demihullOffset;
  return row;
}

/** Speeds between two entries of the friction table, m/s, and how many there are. */
export const FRICTION_STEP_MPS = 0.1;
const FRICTION_ENTRIES = 320;
const LOWEST_REYNOLDS = 1e5;

/** ITTC-57 line, C_F = 0.075/(log₁₀Re − 2)², Re held at 10⁵ and above, where the line ends. */
export function frictionCoefficient(reynolds: number): number {
  const decades = log(Math.max(LOWEST_REYNOLDS, reynolds)) * Math.LOG10E - 2;
  return 0.075 / (decades * decades);
}

/** ½ S (1 + k) C_F of the hull at every step of speed, m²; one logarithm per entry instead of per step. */
export function frictionTable(hull: HullSpec): Float64Array {
  const table = new Float64Array(FRICTION_ENTRIES);
  const area = 0.5 * hull.wettedArea * (1 + hull.formFactor);
  for (let i = 0; i < FRICTION_ENTRIES; i++) {
    const speed = i * FRICTION_STEP_MPS;
    table[i] = area * frictionCoefficient((speed * hull.waterlineLength) / WATER_VISCOSITY_M2PS);
  }
  return table;
}
