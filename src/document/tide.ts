import { z } from 'zod';
import {
  CONSTITUENT_NAMES,
  tidalCurrent,
  tideLevel,
  type HourCurrent,
  type Current,
  type Tide,
} from '@/core/water';
import { oneOf, compass, radians, within } from './fields';

const rising = <T>(list: readonly T[], of: (one: T) => number) =>
  list.every((one, i) => i === 0 || of(one) > of(list[i - 1]!));

/** A moment: in universal time, so that no clock change makes it two. */
export const instantSchema = z.iso.datetime({
  error: "give a moment in universal time, as '2026-05-04T06:30:00Z'",
});

export const secondsOf = (instant: string): number => Date.parse(instant) / 1000;
export const instantOf = (seconds: number): string =>
  new Date(Math.round(seconds) * 1000).toISOString().replace('.000Z', 'Z');

/** Does this machine know a time zone of that name? */
function knownZone(zone: string): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone: zone }));
  } catch {
    return false;
  }
}

export const zoneSchema = z.string().min(1).max(60).refine(knownZone, {
  error: "is no time zone this machine knows; give one as the zone database has it, such as 'WET'",
});

const level_m = within(-20, 20, 'm');

const byConstituents = z.strictObject({
  by: z.literal('constituents'),
  /** Mean level over the place's own nought. */
  mean_m: level_m,
  constituents: z
    .array(
      z.strictObject({
        name: oneOf(CONSTITUENT_NAMES),
        amplitude_m: within(0, 10, 'm'),
        /** Phase lag behind Greenwich, g. */
        phase_deg: within(0, 360, 'degrees'),
      }),
    )
    .min(1, { error: 'give at least one constituent' })
    .refine((list) => new Set(list.map(({ name }) => name)).size === list.length, {
      error: 'each constituent once',
    }),
});

const byTable = z.strictObject({
  by: z.literal('table'),
  /** High and low waters in their order. */
  waters: z
    .array(z.strictObject({ at: instantSchema, level_m }))
    .min(2, { error: 'give at least two: a high and a low water' })
    .max(1500, { error: 'at most 1,500: a year of them' })
    .refine((list) => rising(list, ({ at }) => Date.parse(at)), {
      error: 'put them in the order of time, no two at one moment',
    }),
});

/** How the level goes at a place, how the current goes with it, and the time zone its clocks show. */
export const tideSchema = z.strictObject({
  zone: zoneSchema,
  level: z.discriminatedUnion('by', [byConstituents, byTable], {
    error: "by is 'constituents' or 'table'",
  }),
  current: z
    .strictObject({
      /** Range, high to low, of the tide these rates were found in. */
      range_m: within(0.1, 20, 'm'),
      hours: z
        .array(
          z.strictObject({
            /** From high water; before it negative. */
            hour: within(-7, 7, 'hours'),
            set_deg: compass,
            rate_mps: within(0, 4, 'm/s'),
          }),
        )
        .min(2, { error: 'give at least two hours' })
        .max(30, { error: 'at most 30 hours' })
        .refine((list) => rising(list, ({ hour }) => hour), {
          error: 'put the hours in order, no two the same',
        }),
    })
    .optional(),
});
export type TideDocument = z.infer<typeof tideSchema>;

export function toTide({ level }: TideDocument): Tide {
  if (level.by === 'table')
    return {
      by: 'table',
      turns: level.waters.map(({ at, level_m: over }) => ({ at: secondsOf(at), level: over })),
    };
  return {
    by: 'constituents',
    mean: level.mean_m,
    harmonics: level.constituents.map(({ name, amplitude_m, phase_deg }) => ({
      name,
      amplitude: amplitude_m,
      phase: radians(phase_deg),
    })),
  };
}

/** Half-way between its waters, m: what a manoeuvre begins with where nobody has chosen an hour. */
export function meanLevel({ level }: TideDocument): number {
  if (level.by === 'constituents') return level.mean_m;
  const sum = level.waters.reduce((total, { level_m: over }) => total + over, 0);
  return Math.round((100 * sum) / level.waters.length) / 100;
}

const hoursOf = ({ current }: TideDocument): HourCurrent[] =>
  (current?.hours ?? []).map(({ hour, set_deg, rate_mps }) => ({
    hour,
    set: radians(set_deg),
    rate: rate_mps,
  }));

/** Level, m, and current of a place at a moment, seconds since 1970 UTC; null where its tide does not tell. */
export function tideAt(
  tide: TideDocument,
  at: number,
): { readonly level: number | null; readonly current: Current | null } {
  const curve = toTide(tide);
  return {
    level: tideLevel(curve, at),
    current: tide.current ? tidalCurrent(curve, hoursOf(tide), tide.current.range_m, at) : null,
  };
}
