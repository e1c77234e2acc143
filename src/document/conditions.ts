import { z } from 'zod';
import { FRESH_WATER_KGPM3, SEA_WATER_KGPM3 } from '@/core/units';
import type { Weather } from '@/core/simulation';
import { oneOf, compass, radians, within } from './fields';
import { bottomOfPlace, windbreaksOf } from './areas';
import { windbreaksAmong } from './features';
import type { Place } from './place';
import { instantSchema } from './tide';

/** Strongest wind and current that make sense for handling at low speed, m/s. */
export const MOST_WIND_MPS = 30;
export const MOST_CURRENT_MPS = 4;
export const MOST_DEPTH_M = 500;

const rising = <T extends { at_s: number }>(list: readonly T[]) =>
  list.every((item, i) => i === 0 || item.at_s > list[i - 1]!.at_s);
const ORDER = 'put them in the order of time, no two at one moment';

const at_s = within(0, 3600, 's');
const changes = <T extends z.ZodType<{ at_s: number }>>(change: T) =>
  z.array(change).max(40, { error: 'at most 40 changes' }).refine(rising, { error: ORDER });

/** Wind is named by where it comes from, at 10 m; current by where it sets to. All but these is optional. */
export const conditionsSchema = z.strictObject({
  wind: z
    .strictObject({
      from_deg: compass,
      speed_mps: within(0, MOST_WIND_MPS, 'm/s'),
      gusts: z
        .strictObject({
          /** Standard deviation of speed over its mean. */
          intensity: within(0, 0.5),
          timeScale_s: within(1, 120, 's').default(8),
          seed: z
            .number({ error: 'give a whole number' })
            .int({ error: 'give a whole number' })
            .min(0, { error: 'give a whole number from 0' })
            .max(2147483647, { error: 'give a whole number below 2147483648' })
            .default(1),
        })
        .optional(),
      /** How far it may be from that, one standard deviation; as the standard spread has it if not given. */
      spread: z
        .strictObject({
          speed_pct: within(0, 100, '%'),
          from_deg: within(0, 90, '°'),
        })
        .optional(),
      /** Wind at later moments, by straight lines between; veering the short way round. */
      changes: changes(
        z.strictObject({ at_s, from_deg: compass, speed_mps: within(0, MOST_WIND_MPS, 'm/s') }),
      ).optional(),
      /** Do buildings and boats keep it off? */
      shelter: z.boolean().optional(),
    })
    .refine((w) => !w.changes?.length || w.speed_mps > 0, {
      path: ['speed_mps'],
      error: 'a calm cannot change by its share: begin from at least a breath, such as 0.1 m/s',
    }),
  current: z.strictObject({
    set_deg: compass,
    speed_mps: within(0, MOST_CURRENT_MPS, 'm/s'),
    /** How far it may be from that, one standard deviation; as the standard spread has it if not given. */
    spread: z
      .strictObject({
        speed_pct: within(0, 100, '%'),
        set_deg: within(0, 90, '°'),
      })
      .optional(),
    /** Width of the belt along banks and quays where it runs weaker. */
    bankWidth_m: within(1, 200, 'm').optional(),
    /** Growth to the right of the set, per metre, as a share; 0 at the place's origin. */
    shear_perm: within(-0.1, 0.1).optional(),
    /** Slack and back-flow behind quays, pontoons and piers. */
    eddies: z.boolean().optional(),
    /** Strength at later moments, as a share, by straight lines between. */
    changes: changes(z.strictObject({ at_s, share: within(-2, 2) })).optional(),
  }),
  water: oneOf(['sea', 'fresh']).default('sea'),
  /** Depth everywhere at level 0; deep if not given. */
  depth_m: within(0.2, MOST_DEPTH_M, 'm').optional(),
  /** Level over the depth's datum at moments, by straight lines between. */
  level: changes(z.strictObject({ at_s, level_m: within(-20, 20, 'm') })).optional(),
  /** When it is meant to be; what a day sheet took wind, current and level from. */
  when: instantSchema.optional(),
  /** Are banks and walls felt: suction, cushion, and the water squeezed past the boat? */
  walls: z.boolean().optional(),
  /** Wash that is felt; none if not given. */
  wash: z
    .strictObject({
      /** Of screws: the boat's own off walls and hulls, and on other boats. */
      screws: z.boolean().default(true),
      /** Of what passes: a short group of waves, its highest from trough to crest, and the time from one to the next. */
      passing: z
        .array(
          z.strictObject({
            at_s,
            from_deg: compass,
            height_m: within(0.02, 1.5, 'm'),
            period_s: within(1, 8, 's').default(3),
          }),
        )
        .max(20, { error: 'at most 20' })
        .default([]),
    })
    .optional(),
});

export type Conditions = z.infer<typeof conditionsSchema>;

/** Room round a place's features that a current is worked out for, m. */
const MARGIN_M = 30;

function currentPattern({ current }: Conditions, { features }: Place): Weather['current'] {
  const { bankWidth_m, shear_perm, eddies, changes: later } = current;
  if (bankWidth_m === undefined && !shear_perm && !eddies && !later?.length) return undefined;
  const outlines = (kinds: readonly string[]) =>
    features.flatMap((f) =>
      'outline_m' in f && kinds.includes(f.kind) ? [Float64Array.from(f.outline_m.flat())] : [],
    );
  const points = features.flatMap((f) =>
    'outline_m' in f ? f.outline_m : ([[f.x_m, f.y_m]] as [number, number][]),
  );
  const xs = points.length > 0 ? points.map(([x]) => x) : [0];
  const ys = points.length > 0 ? points.map(([, y]) => y) : [0];
  return {
    shear: shear_perm ?? 0,
    originX: 0,
    originY: 0,
    banks: bankWidth_m === undefined ? [] : outlines(['bank', 'quay']),
    bankWidth: bankWidth_m ?? 1,
    structures: eddies ? outlines(['quay', 'pontoon', 'building']) : [],
    strength: later?.length
      ? {
          times: Float64Array.from([0, ...later.map((c) => Math.max(c.at_s, 1e-6))]),
          values: Float64Array.from([1, ...later.map((c) => c.share)]),
        }
      : null,
    minX: Math.min(...xs) - MARGIN_M,
    minY: Math.min(...ys) - MARGIN_M,
    maxX: Math.max(...xs) + MARGIN_M,
    maxY: Math.max(...ys) + MARGIN_M,
  };
}

/** Wind changes as strength and veer against the wind at the start. */
function windChanges({ wind }: Conditions): Pick<Weather, 'windStrength' | 'windVeer'> {
  if (!wind.changes?.length) return {};
  const times = Float64Array.from([0, ...wind.changes.map((c) => Math.max(c.at_s, 1e-6))]);
  let last = wind.from_deg;
  const turns = wind.changes.map((c) => {
    last += ((((c.from_deg - last) % 360) + 540) % 360) - 180;
    return radians(last - wind.from_deg);
  });
  const mean = wind.speed_mps;
  return {
    windStrength: {
      times,
      values: Float64Array.from([
        1,
        ...wind.changes.map((c) => (mean > 0 ? c.speed_mps / mean : 0)),
      ]),
    },
    windVeer: { times, values: Float64Array.from([0, ...turns]) },
  };
}

export function toWeather(conditions: Conditions, place: Place): Weather {
  const { wind, level, depth_m, wash } = conditions;
  const soundings = place.features.filter((f) => f.kind === 'sounding');
  const bottom = bottomOfPlace(place.areas, soundings, depth_m);
  return {
    windFrom: radians(wind.from_deg),
    windSpeed: wind.speed_mps,
    currentSet: radians(conditions.current.set_deg),
    currentSpeed: conditions.current.speed_mps,
    waterDensity: conditions.water === 'sea' ? SEA_WATER_KGPM3 : FRESH_WATER_KGPM3,
    ...windChanges(conditions),
    gusts: wind.gusts && {
      intensity: wind.gusts.intensity,
      timeScale: wind.gusts.timeScale_s,
      seed: wind.gusts.seed,
    },
    windbreaks: wind.shelter
      ? [...windbreaksAmong(place.features), ...windbreaksOf(place.areas)]
      : undefined,
    current: currentPattern(conditions, place),
    depth: depth_m,
    ...(bottom ? { bottom } : {}),
    level: level?.length
      ? {
          times: Float64Array.from(level, (l) => l.at_s),
          values: Float64Array.from(level, (l) => l.level_m),
        }
      : undefined,
    confined: conditions.walls,
    ...(wind.shelter ? { boatsShelter: true } : {}),
    ...(wash
      ? {
          wash: {
            screws: wash.screws,
            times: 1,
            passing: wash.passing.map((one) => ({
              time: one.at_s,
              from: radians(one.from_deg),
              height: one.height_m,
              period: one.period_s,
            })),
          },
        }
      : {}),
  };
}
