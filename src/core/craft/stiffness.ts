import { AIR_KGPM3 } from '../units';
import type { Foil } from './foil';
import type { MassProperties } from './mass';
import type { Rudder, Shaft, Strips } from './parts';
import type { BoatSpec } from './spec';

/**
 * How fast a boat's drag can act, for choosing a step that stays stable: a bound on the rates at which
 * velocities decay, rate = water·(speed through water) + air·(speed through air) + steady, 1/s.
 * Ordinary boats stay far below what the step needs; light ones with large fins do not.
 */
export interface DragRates {
  /** 1/m */
  readonly water: number;
  /** 1/m */
  readonly air: number;
  /** 1/s, from propeller and race */
  readonly steady: number;
}

export function dragRates(
  spec: BoatSpec,
  mass: MassProperties,
  strips: Strips,
  foils: readonly Foil[],
  rudders: readonly Rudder[],
  shafts: readonly Shaft[],
  waterDensity: number,
): DragRates {
  // Coupling by the centre of gravity makes the smaller inertia look lighter still.
  const coupling = (mass.m22 * mass.m33) / mass.determinant;
  const perArea = (x: number) => coupling * (1 / mass.m22 + (x * x) / mass.m33);
  let hull = 0;
  for (let i = 0; i < strips.x.length; i++) {
    hull += 2 * strips.halfDragArea[i]! * perArea(strips.x[i]!);
  }
  const fin = (foil: Foil) =>
    foil.area *
    (foil.slope + foil.broadsideDrag) *
    (perArea(foil.x) + 1 / mass.m11 + (foil.y * foil.y) / mass.m33);
  const fins = foils.reduce((sum, foil) => sum + fin(foil), 0);
  const blades = rudders.reduce((sum, rudder) => sum + fin(rudder.foil), 0);
  const { hull: h, windage } = spec;
  // Friction stays under 0.01 of the wetted area; the residuary part is left to the step's own margin.
  const skin = (0.01 * h.wettedArea * (1 + h.formFactor) * h.asternFactor) / mass.m11;
  const fullSpeed = shafts.reduce(
    (most, shaft) =>
      Math.max(most, Math.sqrt((2 * shaft.aheadSquared) / shaft.discArea) * shaft.fullRps),
    0,
  );
  const propellers = shafts.reduce(
    (sum, shaft) => sum + (shaft.crossed * shaft.fullRps * (1 + shaft.y * shaft.y)) / mass.m11,
    0,
  );
  return {
    water: waterDensity * (hull + fins + blades + skin),
    air:
      AIR_KGPM3 *
      (windage.lateralArea * windage.sideDrag * perArea(windage.centreX) +
        (windage.frontalArea * windage.frontalDrag) / mass.m11),
    steady: waterDensity * (propellers + blades * fullSpeed),
  };
}
