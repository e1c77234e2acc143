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

const figure = z.number({ error: 'give a number' });
const spread = z
  .strictObject({
    normal: z.tuple([figure, within(0, 1e6)], { error: 'give [mean, deviation]' }).optional(),
    uniform: z.tuple([figure, figure], { error: 'give [least, most]' }).optional(),
    atLeast: figure.optional(),
    note: z.string().max(2000).optional(),
  })
  .refine((s) => (s.normal === undefined) !== (s.uniform === undefined), {
    error: "give either 'normal' or 'uniform'",
  })
  .refine((s) => s.uniform === undefined || s.uniform[0] <= s.uniform[1], {
    path: ['uniform'],
    error: 'give the lesser bound first',
  });
type SpreadFigure = z.infer<typeof spread>;

const optional = spread.nullable().optional();
const start = z.strictObject({
  along_m: spread,
  across_m: spread,
  heading_deg: spread,
  speed_mps: spread,
});
const text = z.unknown().optional();

export const spreadSchema = z.strictObject({
  about: text,
  runs: text,
  holdsShare: text,
  scale: text,
  environment: z
    .strictObject({
      windSpeed_factor: optional,
      windFrom_offset_deg: optional,
      gusts: z
        .strictObject({
          intensity: within(0, 0.5),
          timeScale_s: within(0.5, 120, 's'),
          seed: text,
        })
        .nullable()
        .optional(),
      calmWind_mps: optional,
      current_factor: optional,
      currentSet_offset_deg: optional,
      lockWater_factor: optional,
    })
    .optional(),
  boat: z
    .strictObject({
      thrust_factor: optional,
      thrustAstern_factor: optional,
      propWalk_factor: optional,
      windForce_factor: optional,
      windCentre_offset_L: optional,
      hullDrag_factor: optional,
    })
    .optional(),
  start: z.strictObject({ arriving: start, leaving: start }).nullable().optional(),
  person: z
    .strictObject({
      orderLate_s: optional,
      look_s: text,
      distance_factor: spread.optional(),
      angle_offset_deg: spread.optional(),
      speed_offset_mps: spread.optional(),
    })
    .nullable()
    .optional(),
});
export type SpreadDocument = z.infer<typeof spreadSchema>;

/** @param by what a unit of the file is in the core's */
function distribution(given: SpreadFigure, by = 1): Distribution {
  if (given.uniform) return uniform(given.uniform[0] * by, given.uniform[1] * by);
  const [mean, sd] = given.normal!;
  return normal(mean * by, sd * by, given.atLeast === undefined ? undefined : given.atLeast * by);
}

const DEG = radians(1);

/** What a file says of a figure; what it leaves out is the standard's. */
const or = (
  given: SpreadFigure | null | undefined,
  standard: Distribution | null,
  by = 1,
): Distribution | null =>
  given === undefined ? standard : given === null ? null : distribution(given, by);

const startOf = (given: z.infer<typeof start>): StartSpread => ({
  along: distribution(given.along_m),
  across: distribution(given.across_m),
  heading: distribution(given.heading_deg, DEG),
  speed: distribution(given.speed_mps),
});

/** A checked spread as the core draws from it. */
export function toSpread(document: SpreadDocument): Spread {
  const standard = STANDARD_SPREAD;
  const { environment = {}, boat = {}, start: starts, person = {} } = document;
  const { gusts } = environment;
  const judgement = standard.judgement!;
  return {
    windSpeed: or(environment.windSpeed_factor, standard.windSpeed),
    windFrom: or(environment.windFrom_offset_deg, standard.windFrom, DEG),
    calm: or(environment.calmWind_mps, standard.calm),
    gusts:
      gusts === undefined
        ? standard.gusts
        : gusts && { intensity: gusts.intensity, timeScale: gusts.timeScale_s },
    current: or(environment.current_factor, standard.current),
    currentSet: or(environment.currentSet_offset_deg, standard.currentSet, DEG),
    lockWater: or(environment.lockWater_factor, standard.lockWater),
    thrust: or(boat.thrust_factor, standard.thrust),
    thrustAstern: or(boat.thrustAstern_factor, standard.thrustAstern),
    propWalk: or(boat.propWalk_factor, standard.propWalk),
    windForce: or(boat.windForce_factor, standard.windForce),
    windCentre: or(boat.windCentre_offset_L, standard.windCentre),
    hullDrag: or(boat.hullDrag_factor, standard.hullDrag),
    start:
      starts === undefined
        ? standard.start
        : starts && { arriving: startOf(starts.arriving), leaving: startOf(starts.leaving) },
    throws: standard.throws,
    lateness: person === null ? null : or(person.orderLate_s, standard.lateness),
    judgement: person && {
      distance: or(person.distance_factor, judgement.distance)!,
      angle: or(person.angle_offset_deg, judgement.angle, DEG)!,
      speed: or(person.speed_offset_mps, judgement.speed)!,
    },
  };
}
