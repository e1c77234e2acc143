import { everyEdge, signedArea } from '../math';
import { fenderStiffness } from './fender-law';
import { stepsOf, type HullShape } from './hull-shape';
import type { BoatSpec, FenderSpec } from './spec';
import type { MassProperties } from './mass';

/**
 * The places where a boat can touch: outline corners (radius 0) and fenders (discs).
 * One entry per element; hull elements first, then fenders in the order of the spec.
 */
export interface TouchElements {
  readonly count: number;
  readonly hullCount: number;
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly radius: Float64Array;
  /** Greatest reach of any element from midships, m. */
  readonly reach: number;
  /** Fender law: force = gasArea·(p_abs − p_atm), see holding/fender-law.ts. */
  readonly fenderLength: Float64Array;
  readonly fenderPressure: Float64Array;
  readonly loss: Float64Array;
  readonly hullStiffness: number;
  /** +1 when the deck outline runs anticlockwise in (x, y), −1 clockwise. */
  readonly deckTurn: number;
  /** Every edge of the deck outline. */
  readonly deckEdges: Int32Array;
  /** The deck's outline, and the elements at it. */
  readonly deckShape: HullShape;
  /** Least and greatest x and y of the deck and of the waterline, m. */
  readonly deckBox: Float64Array;
  /** Least mass that any element's touch has to move, kg. */
  readonly lightest: number;
  /** A bound on what a unit force at each element moves there, 1/kg. */
  readonly lightness: Float64Array;
  /** Natural frequency of each fender, firmly pressed, radians/s; nought for the outline's corners. */
  readonly frequency: Float64Array;
}

/** Longest stretch of outline between two touch elements, m and as a share of the boat's length. */
const ELEMENT_SPACING_M = 0.6;
const ELEMENT_SPACING_SHARE = 1 / 60;

function denseOutline(points: Float64Array, length: number): number[] {
  const spacing = Math.max(ELEMENT_SPACING_M, ELEMENT_SPACING_SHARE * length);
  const out: number[] = [];
  for (let i = 0; i < points.length; i += 2) {
    const j = (i + 2) % points.length;
    const ax = points[i]!;
    const ay = points[i + 1]!;
    const dx = points[j]! - ax;
    const dy = points[j + 1]! - ay;
    const pieces = Math.max(1, Math.ceil(Math.sqrt(dx * dx + dy * dy) / spacing - 1e-9));
    for (let k = 0; k < pieces; k++) out.push(ax + (dx * k) / pieces, ay + (dy * k) / pieces);
  }
  return out;
}

// Deflection fenders are rated at; further in they stiffen fast, but carry the boat only for a moment.
const FIRM_DEFLECTION = 0.5;

/** Slope of force over depth of a fender, firmly pressed, N/m. */
function firmSlope({ diameter, length, pressure }: FenderSpec): number {
  return fenderStiffness(FIRM_DEFLECTION * diameter, diameter, length, pressure);
}

function boxOf(points: Float64Array): Float64Array {
  const xs = points.filter((_, i) => i % 2 === 0);
  const ys = points.filter((_, i) => i % 2 === 1);
  return Float64Array.from([Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)]);
}

/** Corners of the waterline, all hulls counted: it may be wider than the deck. */
function wholeWaterline({ hull }: BoatSpec): number[] {
  return [...hull.waterline].map((v, i) =>
    i % 2 === 0 ? v : v + Math.sign(v) * hull.demihullOffset,
  );
}

export function assembleTouch(spec: BoatSpec, mass: MassProperties): TouchElements {
  const hull = denseOutline(spec.hull.deck, spec.hull.length);
  const hullCount = hull.length / 2;
  const count = hullCount + spec.fenders.length;
  const elements = {
    x: new Float64Array(count),
    y: new Float64Array(count),
    radius: new Float64Array(count),
    fenderLength: new Float64Array(count),
    fenderPressure: new Float64Array(count),
    loss: new Float64Array(count).fill(spec.hull.touchLoss),
    lightness: new Float64Array(count),
    frequency: new Float64Array(count),
  };
  for (let i = 0; i < hullCount; i++) {
    elements.x[i] = hull[2 * i]!;
    elements.y[i] = hull[2 * i + 1]!;
  }
  spec.fenders.forEach((fender, k) => {
    const i = hullCount + k;
    elements.x[i] = fender.x;
    elements.y[i] = fender.y;
    elements.radius[i] = fender.diameter / 2;
    elements.fenderLength[i] = fender.length;
    elements.fenderPressure[i] = fender.pressure;
    elements.loss[i] = fender.loss;
  });
  const deckBox = boxOf(Float64Array.from([...spec.hull.deck, ...wholeWaterline(spec)]));
  let reach = Math.max(
    ...wholeWaterline(spec).map((v, i, all) =>
      i % 2 ? 0 : Math.sqrt(v * v + all[i + 1]! * all[i + 1]!),
    ),
  );
  for (let i = 0; i < count; i++) {
    const r2 = elements.x[i]! * elements.x[i]! + elements.y[i]! * elements.y[i]!;
    reach = Math.max(reach, Math.sqrt(r2) + elements.radius[i]!);
    elements.lightness[i] = 1 / Math.min(mass.m11, mass.m22) + r2 / mass.m33;
  }
  spec.fenders.forEach((fender, k) => {
    const i = hullCount + k;
    elements.frequency[i] = Math.sqrt(firmSlope(fender) * elements.lightness[i]!);
  });
  return {
    x: elements.x,
    y: elements.y,
    radius: elements.radius,
    fenderLength: elements.fenderLength,
    fenderPressure: elements.fenderPressure,
    loss: elements.loss,
    count,
    hullCount,
    reach,
    lightest: 1 / Math.max(...elements.lightness),
    hullStiffness: spec.hull.touchStiffness,
    deckTurn: signedArea(spec.hull.deck) < 0 ? -1 : 1,
    deckEdges: everyEdge(spec.hull.deck.length / 2),
    deckShape: {
      ring: spec.hull.deck,
      steps: stepsOf(spec.hull.deck),
      x: elements.x,
      y: elements.y,
    },
    deckBox,
    lightness: elements.lightness,
    frequency: elements.frequency,
  };
}
