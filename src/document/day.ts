import { z } from 'zod';
import { FORECAST } from '@/core/policy';
import { conditionsSchema, MOST_CURRENT_MPS, type Conditions } from './conditions';
import { compass, within } from './fields';
import { check, type Result } from './result';
import { instantOf } from './tide';

const moment = z.number().min(-1e11).max(1e11);

/** Wind, level and current at a moment of a day, seconds since 1970 UTC; null where nobody tells. */
const dayHour = z.strictObject({
  at: moment,
  wind: z
    .strictObject({
      from_deg: compass,
      speed_mps: within(0, 60, 'm/s'),
      gust_mps: within(0, 90, 'm/s'),
    })
    .nullable(),
  level_m: z.number().nullable(),
  current: z.strictObject({ set_deg: compass, speed_mps: within(0, 20, 'm/s') }).nullable(),
});
export type DayHour = z.infer<typeof dayHour>;

/** A day at a place by its own clocks: what blows and flows, and who says so. */
export const daySchema = z.strictObject({
  /** Time zone of its clocks. */
  zone: z.string().max(60),
  from: moment,
  to: moment,
  hours: z.array(dayHour).min(2).max(400),
  /** High and low waters in it. */
  turns: z.array(z.strictObject({ at: moment, level_m: z.number() })).max(40),
  windBy: z.string().max(200),
  tideBy: z.string().max(200),
});
export type Day = z.infer<typeof daySchema>;

/** A gust an hour's forecast names stands so many standard deviations over the mean. */
const GUST_DEVIATIONS = 2.7;
const MOST_INTENSITY = 0.5;

/** What a day tells at a moment: of the hour before it, level by straight lines; null outside the day. */
export function hourAt({ hours }: Pick<Day, 'hours'>, at: number): DayHour | null {
  const after = hours.findIndex((hour) => hour.at > at);
  if (after === 0 || hours.length === 0) return null;
  const a = hours[after < 0 ? hours.length - 1 : after - 1]!;
  const b = hours[after < 0 ? hours.length - 1 : after]!;
  if (after < 0 && at > a.at) return null;
  if (a.level_m === null || b.level_m === null || a === b) return { ...a, at };
  const share = (at - a.at) / (b.at - a.at);
  return { ...a, at, level_m: a.level_m + share * (b.level_m - a.level_m) };
}

const to3 = (value: number) => Math.round(value * 1000) / 1000 + 0;

/** How far out the wind of a forecast may be, asked for ahead of its time; the standard spread's for one of the same day. */
function forecastSpread(at: number, asked: number): Pick<Conditions['wind'], 'spread'> {
  const days = Math.min(FORECAST.mostDays, Math.max(0, (at - asked) / 86400));
  if (days < 1) return {};
  const { speed, from } = FORECAST;
  return {
    spread: {
      speed_pct: Math.round(100 * (speed.sameDay + speed.aDay * days)),
      from_deg: Math.round(from.sameDay + from.aDay * days),
    },
  };
}

/**
 * The conditions of a moment of a day: its wind with its gusts, its current, and its level to the end of the longest run. What
 * the day does not tell stays as it was, and so do shelter, banks and depth. Fails where a figure is beyond what is handled in.
 *
 * @param asked when the day's forecast was asked for, s: the further ahead it looks, the further out it may be
 */
export function conditionsAt(
  conditions: Conditions,
  day: Pick<Day, 'hours'>,
  at: number,
  limit_s: number,
  asked = at,
): Result<Conditions> {
  const now = hourAt(day, at);
  const later = hourAt(day, at + limit_s);
  const { changes: _winds, spread: _read, ...wind } = conditions.wind;
  const { changes: _streams, spread: _seen, ...current } = conditions.current;
  const blows = now?.wind;
  const deviation = blows
    ? Math.max(0, (blows.gust_mps - blows.speed_mps) / GUST_DEVIATIONS / (blows.speed_mps || 1))
    : 0;
  const level = now?.level_m ?? null;
  return check<Conditions>(conditionsSchema, {
    ...conditions,
    when: instantOf(at),
    wind: blows
      ? {
          ...wind,
          from_deg: Math.round(blows.from_deg),
          speed_mps: to3(blows.speed_mps),
          ...forecastSpread(at, asked),
          ...(deviation > 0
            ? {
                gusts: {
                  ...wind.gusts,
                  intensity: Math.min(MOST_INTENSITY, to3(deviation)),
                },
              }
            : {}),
        }
      : conditions.wind,
    current: now?.current
      ? {
          ...current,
          set_deg: Math.round(now.current.set_deg) % 360,
          speed_mps: to3(Math.min(MOST_CURRENT_MPS, now.current.speed_mps)),
        }
      : conditions.current,
    ...(level === null
      ? {}
      : {
          level: [
            { at_s: 0, level_m: to3(level) },
            { at_s: limit_s, level_m: to3(later?.level_m ?? level) },
          ],
        }),
  });
}
