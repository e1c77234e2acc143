import type { BoatSpec, RudderSpec, ShaftSpec } from './spec';
import type { Rudder, Shaft, Strips } from './parts';
import { assembleFoil, type Foil } from './foil';
import { massProperties, type MassProperties } from './mass';
import { dragRates, type DragRates } from './stiffness';
import { assembleTouch, type TouchElements } from './touch-elements';
import { SEA_WATER_KGPM3 } from '../units';
import type { FlatPoints } from '../math';

/** Strips the hull is cut into for cross flow. */
export const STRIP_COUNT = 24;

/** A boat ready for the step: everything that depends on the boat alone is worked out once here. */
export interface Craft {
  readonly spec: BoatSpec;
  readonly mass: MassProperties;
  readonly strips: Strips;
  readonly foils: readonly Foil[];
  readonly shafts: readonly Shaft[];
  readonly rudders: readonly Rudder[];
  readonly touch: TouchElements;
  readonly dragRates: DragRates;
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

function assembleStrips(spec: BoatSpec): Strips {
  const { draughts, crossFlowDrag } = spec.hull;
  const aft = draughts[0]!;
  const dx = (draughts[draughts.length - 2]! - aft) / STRIP_COUNT;
  const x = new Float64Array(STRIP_COUNT);
  const halfDragArea = new Float64Array(STRIP_COUNT);
  for (let i = 0; i < STRIP_COUNT; i++) {
    x[i] = aft + (i + 0.5) * dx;
    halfDragArea[i] = 0.5 * crossFlowDrag * draughtAt(draughts, x[i]!) * dx;
  }
  return { x, halfDragArea };
}

// Share of K_T's fall with advance that is linear; the rest is quadratic. A B-series-like
// curve is nearly straight (class default; the whole four-quadrant fit comes with its own data).
const LINEAR_FALL = 0.75;

function assembleShaft(spec: ShaftSpec): Shaft {
  const { diameter: d, bollardThrust } = spec;
  // Advance ratio at which thrust vanishes lies a little above the pitch ratio (section camber).
  const zeroThrust = (1.05 * spec.pitch) / d + 0.03;
  const squared = bollardThrust * d * d * d * d;
  return {
    ...spec,
    discArea: (Math.PI / 4) * d * d,
    aheadSquared: squared,
    asternSquared: squared * spec.asternEfficiency,
    crossed: (LINEAR_FALL * bollardThrust * d * d * d) / zeroThrust,
    trailing: ((1 - LINEAR_FALL) * bollardThrust * d * d) / (zeroThrust * zeroThrust),
  };
}

function assembleRudder(spec: RudderSpec, shafts: readonly ShaftSpec[]): Rudder {
  const shaft = spec.inRaceOf === null ? undefined : shafts[spec.inRaceOf];
  if (spec.inRaceOf === null || !shaft)
    return { foil: assembleFoil(spec), limit: spec.limit, race: null };
  const radius = shaft.diameter / 2;
  // Induced speed along the axis of an actuator disc: ½(1 + s/√(1 + s²)) of the far value.
  const s = Math.abs(shaft.x - spec.x) / radius;
  const half = s / Math.sqrt(1 + s * s) / 2;
  return {
    foil: assembleFoil(spec),
    limit: spec.limit,
    race: {
      shaft: spec.inRaceOf,
      growthAft: 0.5 + half,
      growthForward: 0.5 - half,
      span: spec.span,
      propellerRadius: radius,
      effect: spec.raceEffect,
    },
  };
}

/** Turns a boat's description into the form the step computes with. */
export function assembleCraft(spec: BoatSpec): Craft {
  const mass = massProperties(spec.hull);
  const strips = assembleStrips(spec);
  const foils = spec.foils.map(assembleFoil);
  const shafts = spec.shafts.map(assembleShaft);
  const rudders = spec.rudders.map((rudder) => assembleRudder(rudder, spec.shafts));
  return {
    spec,
    mass,
    strips,
    foils,
    shafts,
    rudders,
    touch: assembleTouch(spec, mass),
    dragRates: dragRates(spec, mass, strips, foils, rudders, shafts, SEA_WATER_KGPM3),
  };
}
