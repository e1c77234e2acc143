import { AIR_KGPM3, GRAVITY_MPS2 } from '../units';
import { HUMP_FROUDE, type Strips } from './hull-rows';
import { BLADE, BLADE_COLUMNS, DRIVE, DRIVE_COLUMNS, FOIL, FOIL_COLUMNS, type Rows } from './rows';
import type { MassProperties } from './mass';
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

interface Parts {
  readonly spec: BoatSpec;
  readonly mass: MassProperties;
  readonly strips: Strips;
  readonly fins: Rows;
  readonly blades: Rows;
  readonly drives: Rows;
}

export function dragRates(parts: Parts, waterDensity: number): DragRates {
  const { spec, mass, strips } = parts;
  // Coupling by the centre of gravity makes the smaller inertia look lighter still.
  const coupling = (mass.m22 * mass.m33) / mass.determinant;
  const perArea = (x: number) => coupling * (1 / mass.m22 + (x * x) / mass.m33);
  let hull = 0;
  for (let i = 0; i < strips.x.length; i++) {
    hull += 2 * strips.halfDragArea[i]! * perArea(strips.x[i]!);
  }
  const fins = (rows: Rows, columns: number, gain: (at: number) => number) => {
    let sum = 0;
    for (let at = 0; at < rows.values.length; at += columns) {
      const f = rows.values;
      const y = f[at + FOIL.Y]!;
      const spread = perArea(f[at + FOIL.X]!) + 1 / mass.m11 + (y * y) / mass.m33;
      const sharp = f[at + FOIL.SLOPE]! + f[at + FOIL.BROADSIDE]!;
      sum += gain(at) * 2 * f[at + FOIL.HALF_AREA]! * sharp * spread;
    }
    return sum;
  };
  const fixed = fins(parts.fins, FOIL_COLUMNS, () => 1);
  const blades = fins(
    parts.blades,
    BLADE_COLUMNS,
    (at) => parts.blades.values[at + BLADE.SIDE_GAIN]!,
  );
  const { hull: h, windage } = spec;
  // Friction stays under 0.01 of the wetted area; waves are steepest where their steep part is held.
  const skin = (0.01 * h.wettedArea * (1 + h.formFactor) * h.asternFactor) / mass.m11;
  const l = h.waterlineLength;
  const waves = (2 * h.mass * h.residuaryQuadratic * h.asternFactor) / (l * mass.m11);
  const hump2 = HUMP_FROUDE * HUMP_FROUDE;
  const steepest = 6 * h.residuarySextic * hump2 * hump2 * HUMP_FROUDE * h.asternFactor;
  const hump = (steepest * Math.sqrt(GRAVITY_MPS2 / l) * h.mass) / mass.m11;
  const lift =
    h.liftArea * (perArea(h.liftCentre + h.liftArm) + (h.liftSpread * h.liftSpread) / mass.m33);
  const oblique = (h.obliqueDrag * h.draught * h.length) / mass.m11;
  let fullSpeed = 0;
  let propellers = 0;
  spec.drives.forEach((drive, i) => {
    const at = i * DRIVE_COLUMNS;
    const d = parts.drives.values;
    const jet = Math.sqrt((2 * d[at + DRIVE.AHEAD_SQUARED]!) / d[at + DRIVE.DISC]!);
    fullSpeed = Math.max(fullSpeed, jet * drive.fullRps);
    const crossed = d[at + DRIVE.CROSSED]! * drive.fullRps;
    propellers += crossed * (1 / mass.m11 + perArea(drive.x) + (drive.y * drive.y) / mass.m33);
  });
  return {
    water: waterDensity * (hull + fixed + blades + skin + lift + oblique) + waves,
    air:
      AIR_KGPM3 *
      (windage.lateralArea * windage.sideDrag * perArea(windage.centreX) +
        (windage.frontalArea * Math.max(windage.frontalDrag, windage.sternDrag)) / mass.m11),
    steady: waterDensity * (propellers + blades * fullSpeed) + hump,
  };
}
