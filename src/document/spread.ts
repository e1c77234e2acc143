import { z } from 'zod';
import {
  normal,
  STANDARD_SPREAD,
  uniform,
  type Distribution,
  type Spread,
  type StartSpread,
} from '@/core/uncertainty';
import { radians, within } from './fields';

/**
 * A spread as a file has it: figures by their names with units, each normal or uniform. What is left out is as in the standard
 * spread; null is as it is told.
 */

/** What a figure of a spread may be: of any draw, and how far draws may be spread. In the file's unit. */
interface Bounds {
  readonly least: number;
  readonly most: number;
  readonly unit?: string;
}

/** Factors and offsets beyond these are no boat, day or person, but a slip of the pen. */
const FACTOR: Bounds = { least: 0, most: 5 };
/** A boat with a twentieth of its thrust or drag is none: nothing would ever bring it to rest. */
const OF_BOAT: Bounds = { least: 0.05, most: 5 };
const ANGLE: Bounds = { least: -180, most: 180, unit: '°' };
const CALM: Bounds = { least: 0, most: 5, unit: 'm/s' };
const CENTRE: Bounds = { least: -0.5, most: 0.5, unit: 'lengths' };
const PLACE: Bounds = { least: -100, most: 100, unit: 'm' };
const SPEED: Bounds = { least: -5, most: 5, unit: 'm/s' };
const LATE: Bounds = { least: 0, most: 120, unit: 's' };

/**
 * The schema of one figure. Every mean and bound stands within its bounds; draws that fall below the least are taken as the least.
 */
function figureWithin({ least, most, unit }: Bounds) {
  const value = within(least, most, unit);
  return z
    .strictObject({
      normal: z
        .tuple([value, within(0, most - least, unit)], { error: 'give [mean, deviation]' })
        .optional(),
      uniform: z.tuple([value, value], { error: 'give [least, most]' }).optional(),
      atLeast: value.optional(),
      note: z.string().max(2000).optional(),
    })
    .refine((s) => (s.normal === undefined) !== (s.uniform === undefined), {
      error: "give either 'normal' or 'uniform'",
    })
    .refine((s) => s.uniform === undefined || s.uniform[0] <= s.uniform[1], {
      path: ['uniform'],
      error: 'give the lesser bound first',
    });
}
type SpreadFigure = z.infer<ReturnType<typeof figureWithin>>;

const optional = (bounds: Bounds) => figureWithin(bounds).nullable().optional();
const start = z.strictObject({
  along_m: figureWithin(PLACE),
  across_m: figureWithin(PLACE),
  heading_deg: figureWithin(ANGLE),
  speed_mps: figureWithin(SPEED),
});
const text = z.unknown().optional();

export const spreadSchema = z.strictObject({
  about: text,
  runs: text,
  holdsShare: text,
  scale: text,
  environment: z
    .strictObject({
      windSpeed_factor: optional(FACTOR),
      windFrom_offset_deg: optional(ANGLE),
      gusts: z
        .strictObject({
          intensity: within(0, 0.5),
          timeScale_s: within(0.5, 120, 's'),
          seed: text,
        })
        .nullable()
        .optional(),
      calmWind_mps: optional(CALM),
      current_factor: optional(FACTOR),
      currentSet_offset_deg: optional(ANGLE),
      lockWater_factor: optional(FACTOR),
      wash_factor: optional(FACTOR),
    })
    .optional(),
  boat: z
    .strictObject({
      thrust_factor: optional(OF_BOAT),
      thrustAstern_factor: optional(OF_BOAT),
      propWalk_factor: optional(FACTOR),
      windForce_factor: optional(FACTOR),
      windCentre_offset_L: optional(CENTRE),
      hullDrag_factor: optional(OF_BOAT),
    })
    .optional(),
  start: z.strictObject({ arriving: start, leaving: start }).nullable().optional(),
  person: z
    .strictObject({
      orderLate_s: optional(LATE),
      look_s: text,
      distance_factor: figureWithin(OF_BOAT).optional(),
      angle_offset_deg: figureWithin(ANGLE).optional(),
      speed_offset_mps: figureWithin(SPEED).optional(),
    })
    .nullable()
    .optional(),
});
export type SpreadDocument = z.infer<typeof spreadSchema>;

/**
 * A figure as the core draws it: none of its draws below `least`.
 *
 * @param by what a unit of the file is in the core's
 */
function distribution(given: SpreadFigure, { least }: Bounds, by = 1): Distribution {
  if (given.uniform) return uniform(given.uniform[0] * by, given.uniform[1] * by);
  const [mean, sd] = given.normal!;
  const floor = given.atLeast ?? (least >= 0 ? least : undefined);
  return normal(mean * by, sd * by, floor === undefined ? undefined : floor * by);
}

const DEG = radians(1);

/** What a file says of a figure; what it leaves out is the standard's. */
const or = (
  given: SpreadFigure | null | undefined,
  standard: Distribution | null,
  bounds: Bounds,
  by = 1,
): Distribution | null =>
  given === undefined ? standard : given === null ? null : distribution(given, bounds, by);

const startOf = (given: z.infer<typeof start>): StartSpread => ({
  along: distribution(given.along_m, PLACE),
  across: distribution(given.across_m, PLACE),
  heading: distribution(given.heading_deg, ANGLE, DEG),
  speed: distribution(given.speed_mps, SPEED),
});

/** A checked spread as the core draws from it. */
export function toSpread(document: SpreadDocument): Spread {
  const standard = STANDARD_SPREAD;
  const { environment = {}, boat = {}, start: starts, person = {} } = document;
  const { gusts } = environment;
  const judgement = standard.judgement!;
  return {
    windSpeed: or(environment.windSpeed_factor, standard.windSpeed, FACTOR),
    windFrom: or(environment.windFrom_offset_deg, standard.windFrom, ANGLE, DEG),
    calm: or(environment.calmWind_mps, standard.calm, CALM),
    gusts:
      gusts === undefined
        ? standard.gusts
        : gusts && { intensity: gusts.intensity, timeScale: gusts.timeScale_s },
    current: or(environment.current_factor, standard.current, FACTOR),
    currentSet: or(environment.currentSet_offset_deg, standard.currentSet, ANGLE, DEG),
    lockWater: or(environment.lockWater_factor, standard.lockWater, FACTOR),
    wash: or(environment.wash_factor, standard.wash, FACTOR),
    thrust: or(boat.thrust_factor, standard.thrust, OF_BOAT),
    thrustAstern: or(boat.thrustAstern_factor, standard.thrustAstern, OF_BOAT),
    propWalk: or(boat.propWalk_factor, standard.propWalk, FACTOR),
    windForce: or(boat.windForce_factor, standard.windForce, FACTOR),
    windCentre: or(boat.windCentre_offset_L, standard.windCentre, CENTRE),
    hullDrag: or(boat.hullDrag_factor, standard.hullDrag, OF_BOAT),
    start:
      starts === undefined
        ? standard.start
        : starts && { arriving: startOf(starts.arriving), leaving: startOf(starts.leaving) },
    throws: standard.throws,
    lateness: person === null ? null : or(person.orderLate_s, standard.lateness, LATE),
    judgement: person && {
      distance: or(person.distance_factor, judgement.distance, OF_BOAT)!,
      angle: or(person.angle_offset_deg, judgement.angle, ANGLE, DEG)!,
      speed: or(person.speed_offset_mps, judgement.speed, SPEED)!,
    },
  };
}
