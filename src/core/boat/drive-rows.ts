import { atan2, exp } from '../math';
import { foilRow, liftSlope } from './foil';
import { stripAt, type Strips } from './hull-rows';
import { BLADE, BLADE_COLUMNS, DRIVE, DRIVE_COLUMNS } from './rows';
import type { BoatSpec, DriveSpec, FoilSpec, RudderSpec } from './spec';

/**
 * Steering channels: 0 follows the wheel; each drive with steering of its own has one more, which the
 * wheel moves too and a joystick moves alone; the last never turns, for fixed shafts.
 */
export function channelsOf(spec: BoatSpec): number {
  return 2 + spec.drives.filter((d) => d.steering === 'own').length;
}

/** The channel of each drive. */
export function driveChannels(spec: BoatSpec): number[] {
  const fixed = channelsOf(spec) - 1;
  let own = 1;
  return spec.drives.map(({ steering }) =>
    steering === 'fixed' ? fixed : steering === 'wheel' ? 0 : own++,
  );
}

// Share of K_T's fall with advance that is linear; the rest is quadratic. A B-series-like curve is
// nearly straight (class default).
const LINEAR_FALL = 0.75;

/** Advance ratio at which thrust vanishes: a little above the pitch ratio, by section camber. */
export function zeroThrustAdvance(spec: { pitch: number; diameter: number }): number {
  return (1.05 * spec.pitch) / spec.diameter + 0.03;
}

export function driveRow(spec: DriveSpec, channel: number, strips: Strips): Float64Array {
  const { diameter: d, bollardThrust } = spec;
  const zeroThrust = zeroThrustAdvance(spec);
  const squared = bollardThrust * d * d * d * d;
  const row = new Float64Array(DRIVE_COLUMNS);
  row[DRIVE.X] = spec.x;
  row[DRIVE.Y] = spec.y;
  row[DRIVE.CHANNEL] = channel;
  row[DRIVE.HAND] = spec.hand;
  row[DRIVE.AHEAD_SQUARED] = squared;
  row[DRIVE.ASTERN_SQUARED] = squared * spec.asternEfficiency;
  row[DRIVE.CROSSED] = (LINEAR_FALL * bollardThrust * d * d * d) / zeroThrust;
  row[DRIVE.TRAILING] = ((1 - LINEAR_FALL) * bollardThrust * d * d) / (zeroThrust * zeroThrust);
  row[DRIVE.WAKE] = spec.wakeFraction;
  row[DRIVE.DEDUCTION] = spec.thrustDeduction;
  row[DRIVE.WALK_ASTERN] = spec.walkAstern;
  row[DRIVE.WALK_AHEAD] = spec.walkAhead;
  row[DRIVE.PITCH] = spec.pitch;
  row[DRIVE.DISC] = (Math.PI / 4) * d * d;
  row[DRIVE.STRIP] = stripAt(strips, spec.x);
  return row;
}

/** A blade outside any race and apart from the hull. */
function bladeRow(
  spec: Parameters<typeof foilRow>[0],
  channel: number,
  strips: Strips,
): Float64Array {
  const row = foilRow(spec, stripAt(strips, spec.x), BLADE_COLUMNS);
  row[BLADE.CHANNEL] = channel;
  row[BLADE.RACE_OF] = -1;
  row[BLADE.STRAIGHTENING] = 1;
  row[BLADE.DRAG_KEPT] = 1;
  row[BLADE.SIDE_GAIN] = 1;
  row[BLADE.ASTERN] = 1;
  return row;
}

export function legRow(leg: FoilSpec, channel: number, strips: Strips): Float64Array {
  return bladeRow(leg, channel, strips);
}

/**
 * How much later a blade stalls in the race, whose swirl meets the blade's two halves from two sides:
 * helm angles of 30–45° against 16–33° in free current (Molland & Turnock 2007; recalled, not looked up).
 */
const RACE_STALL = 0.26;
const LATEST_STALL = 0.7;
/** No blade lifts more than this of the flow it stands in, race or not. */
const MOST_LIFT = 1.35;

/** Angle at which a blade of a lift slope comes to the most lift, rad: k sin α cos α = most. */
function fullLiftAngle(slope: number): number {
  const double = (2 * MOST_LIFT) / slope;
  return double < 1 ? atan2(double, Math.sqrt(1 - double * double)) / 2 : LATEST_STALL;
}

/** How fast a race widens as it mixes with the water about it, m of radius per m run. */
const RACE_SPREAD = 0.1;
/** A race that has less than this left at a blade is none. */
const LEAST_EFFECT = 1e-3;

/**
 * Share of a race's extra pressure left at a blade abreast of its axis by `aside`: the bell of a round jet, e^−(aside/R)², R the
 * screw's radius grown with the distance (Albertson et al. 1950; recalled, not looked up; ±30 %).
 */
export function raceLeftAside(aside: number, radius: number, distance: number): number {
  const share = aside / (radius + RACE_SPREAD * distance);
  return exp(-share * share);
}

export function rudderRow(
  spec: RudderSpec,
  drives: readonly DriveSpec[],
  strips: Strips,
): Float64Array {
  const delayed = Math.min(
    LATEST_STALL,
    spec.stallAngle + RACE_STALL,
    Math.max(spec.stallAngle, fullLiftAngle(liftSlope(spec.effectiveAspect))),
  );
  const row = bladeRow({ ...spec, stallInRace: delayed }, 0, strips);
  row[BLADE.STRAIGHTENING] = spec.straightening;
  row[BLADE.DRAG_KEPT] = 1 - spec.dragDeduction;
  row[BLADE.SIDE_GAIN] = 1 + spec.hullShare;
  row[BLADE.HULL_LEVER] = spec.hullShare * spec.hullShareX;
  row[BLADE.ASTERN] = spec.asternShare;
  const drive = spec.inRaceOf === null ? undefined : drives[spec.inRaceOf];
  if (spec.inRaceOf === null || !drive) return row;
  const radius = drive.diameter / 2;
  const away = Math.abs(drive.x - spec.x);
  const effect = spec.raceEffect * raceLeftAside(spec.y - drive.y, radius, away);
  if (effect < LEAST_EFFECT) return row;
  // Induced speed along the axis of an actuator disc: ½(1 + s/√(1 + s²)) of the far value.
  const s = away / radius;
  const half = s / Math.sqrt(1 + s * s) / 2;
  row[BLADE.RACE_OF] = spec.inRaceOf;
  row[BLADE.GROWTH_AFT] = 0.5 + half;
  row[BLADE.GROWTH_FORWARD] = 0.5 - half;
  row[BLADE.SPAN] = spec.span;
  row[BLADE.RADIUS] = radius;
  row[BLADE.EFFECT] = effect;
  return row;
}
