import { DateTime } from 'luxon';
import {
  failure,
  success,
  tideAt,
  toTide,
  type Day,
  type DayHour,
  type Place,
  type Result,
  type TideDocument,
} from '@/document';
import { turnsBetween } from '@/core/water';
import type { TideService, WeatherService, WindAt } from './types';

const EVERY_S = 900;
/** The day's curve is drawn from its midnight to the next, with as much again on either side for what starts late. */
const AFTER_S = 3600;

/** Wind between two hours: as a vector, gusts by straight lines. */
function windBetween(hours: readonly WindAt[], at: number): DayHour['wind'] {
  const i = hours.findIndex((hour) => hour.at > at);
  const a = hours[i < 0 ? hours.length - 1 : Math.max(0, i - 1)];
  const b = hours[i < 0 ? hours.length - 1 : i];
  if (!a || !b) return null;
  const share = b.at > a.at ? (at - a.at) / (b.at - a.at) : 0;
  const mix = (f: (wind: WindAt) => number) => (1 - share) * f(a) + share * f(b);
  const rad = Math.PI / 180;
  const east = mix((w) => w.speed_mps * Math.sin(w.from_deg * rad));
  const north = mix((w) => w.speed_mps * Math.cos(w.from_deg * rad));
  const round = (value: number) => Math.round(value * 100) / 100;
  return {
    from_deg: Math.round((Math.atan2(east, north) / rad + 360) % 360) % 360,
    speed_mps: round(Math.hypot(east, north)),
    gust_mps: round(
      Math.max(
        mix((w) => w.gust_mps),
        Math.hypot(east, north),
      ),
    ),
  };
}

async function tideOf(
  place: Place,
  service: TideService,
): Promise<{ readonly name: string; readonly tide: TideDocument } | { readonly why: string }> {
  const { tide, origin } = place;
  if (tide) {
    const by = tide.level.by === 'table' ? 'its table of high and low waters' : 'its constituents';
    return { name: `${place.name}: ${by}`, tide };
  }
  if (!origin) return { why: 'the place has neither a tide nor a position on the earth' };
  const found = await service.tide(origin);
  return found.ok ? found.value : { why: found.problems[0]!.message };
}

/**
 * A day at a place: wind, level and current every quarter of an hour from its midnight to the next by its own clocks, so that a
 * day on which they change has 23 or 25 hours.
 *
 * @param date as '2026-05-04', of the place's own calendar
 */
export async function dayAt(
  place: Place,
  date: string,
  weather: WeatherService,
  tides: TideService,
): Promise<Result<Day>> {
  const found = await tideOf(place, tides);
  const tide = 'tide' in found ? found.tide : null;
  const zone = tide?.zone ?? 'UTC';
  const begins = DateTime.fromISO(date, { zone }).startOf('day');
  if (!begins.isValid)
    return failure({ path: 'date', message: "give a day of the calendar, as '2026-05-04'" });
  const from = begins.toSeconds();
  const to = begins.plus({ days: 1 }).toSeconds();
  const wind = place.origin
    ? await weather.wind(place.origin, from, to + AFTER_S)
    : failure({ path: 'origin', message: 'the place has no position on the earth yet' });
  const hours: DayHour[] = [];
  for (let at = from; at <= to + AFTER_S; at += EVERY_S) {
    const water = tide ? tideAt(tide, at) : { level: null, current: null };
    hours.push({
      at,
      wind: wind.ok ? windBetween(wind.value, at) : null,
      level_m: water.level,
      current: water.current && {
        set_deg: (water.current.set * 180) / Math.PI,
        speed_mps: water.current.rate,
      },
    });
  }
  return success({
    zone,
    from,
    to,
    hours,
    turns: tide
      ? turnsBetween(toTide(tide), from, to).map(({ at, level }) => ({ at, level_m: level }))
      : [],
    windBy: wind.ok ? weather.name : `no wind: ${wind.problems[0]!.message}`,
    tideBy: 'tide' in found ? found.name : `no tide: ${found.why}`,
  });
}
