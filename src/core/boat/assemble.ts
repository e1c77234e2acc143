import type { BoatSpec } from './spec';
import { channelsOf, driveChannels, driveRow, legRow, rudderRow } from './drive-rows';
import { foilRow } from './foil';
import { keelRows } from './keel';
import { frictionTable, hullRow, hullStrips, stripAt, type Strips } from './hull-rows';
import { massProperties, massRow, type MassProperties } from './mass';
import {
  BLADE_COLUMNS,
  DRIVE_COLUMNS,
  FOIL_COLUMNS,
  rowsOf,
  THRUSTER,
  THRUSTER_COLUMNS,
  WINDAGE,
  WINDAGE_COLUMNS,
  type Rows,
} from './rows';
import { dragRates, type DragRates } from './stiffness';
import { assembleTouch, type TouchElements } from './touch-elements';
import { SEA_WATER_KGPM3 } from '../units';

/** A boat ready for the step: everything that depends on the boat alone is worked out once here. */
export interface Craft {
  readonly spec: BoatSpec;
  readonly mass: MassProperties;
  readonly strips: Strips;
  readonly massRow: Float64Array;
  /** Rows of figures by columns HULL, FOIL, BLADE, DRIVE, THRUSTER, WINDAGE (see rows.ts). */
  readonly hull: Float64Array;
  readonly friction: Float64Array;
  readonly fins: Rows;
  readonly blades: Rows;
  readonly drives: Rows;
  readonly thrusters: Rows;
  readonly windage: Float64Array;
  /** Steering channels, the one that never turns included, and which each drive follows. */
  readonly channels: number;
  readonly driveChannel: readonly number[];
  /** Greatest angle of each channel, radians. */
  readonly limits: Float64Array;
  readonly touch: TouchElements;
  /** Rows KEEL: what of the boat may take the ground. */
  readonly keel: Float64Array;
  readonly dragRates: DragRates;
}

/** How far each channel turns: the wheel as far as the tightest thing it moves. */
function channelLimits(spec: BoatSpec, channels: number): Float64Array {
  const limits = new Float64Array(channels).fill(spec.steering.driveLimit);
  const wheel = spec.rudders.reduce((least, rudder) => Math.min(least, rudder.limit), Infinity);
  const steered = spec.drives.some((d) => d.steering !== 'fixed');
  limits[0] = Math.min(wheel, steered ? spec.steering.driveLimit : Infinity);
  if (limits[0] === Infinity) limits[0] = 0;
  limits[channels - 1] = 0;
  return limits;
}

function windageRow({ windage, hull }: BoatSpec): Float64Array {
  const row = new Float64Array(WINDAGE_COLUMNS);
  row[WINDAGE.FRONT] = 0.5 * windage.frontalArea * windage.frontalDrag;
  row[WINDAGE.STERN] = 0.5 * windage.frontalArea * windage.sternDrag;
  row[WINDAGE.SIDE] = 0.5 * windage.lateralArea * windage.sideDrag;
  row[WINDAGE.CENTRE] = windage.centreX;
  row[WINDAGE.SHIFT] = windage.centreShift * hull.length;
  row[WINDAGE.LENGTH] = hull.length;
  return row;
}

function thrusterRow(
  { x, thrust, jetSpeed }: BoatSpec['thrusters'][number],
  middle: number,
): Float64Array {
  const row = new Float64Array(THRUSTER_COLUMNS);
  row[THRUSTER.X] = x;
  row[THRUSTER.THRUST] = thrust;
  row[THRUSTER.JET] = jetSpeed;
  row[THRUSTER.MIDDLE] = middle;
  return row;
}

/** Turns a boat's description into the form the step computes with. */
export function assembleCraft(spec: BoatSpec): Craft {
  const mass = massProperties(spec.hull);
  const strips = hullStrips(spec.hull);
  const channels = channelsOf(spec);
  const driveChannel = driveChannels(spec);
  const fins = spec.foils.map((foil) => foilRow(foil, stripAt(strips, foil.x)));
  const drives = spec.drives.map((drive, i) => driveRow(drive, driveChannel[i]!, strips));
  const blades = [
    ...spec.rudders.map((rudder) => rudderRow(rudder, spec.drives, strips)),
    ...spec.drives.flatMap(({ leg }, i) => (leg ? [legRow(leg, driveChannel[i]!, strips)] : [])),
  ];
  const parts = {
    fins: rowsOf(FOIL_COLUMNS, fins),
    blades: rowsOf(BLADE_COLUMNS, blades),
    drives: rowsOf(DRIVE_COLUMNS, drives),
  };
  // Written out whole, not spread: the step runs faster on objects that are always made alike.
  return {
    spec,
    mass,
    strips,
    massRow: massRow(mass),
    hull: hullRow(spec.hull),
    friction: frictionTable(spec.hull),
    fins: parts.fins,
    blades: parts.blades,
    drives: parts.drives,
    thrusters: rowsOf(
      THRUSTER_COLUMNS,
      spec.thrusters.map((one) => thrusterRow(one, spec.hull.liftCentre)),
    ),
    windage: windageRow(spec),
    channels,
    driveChannel,
    limits: channelLimits(spec, channels),
    touch: assembleTouch(spec, mass),
    keel: keelRows(spec),
    dragRates: dragRates({ spec, mass, strips, ...parts }, SEA_WATER_KGPM3),
  };
}
