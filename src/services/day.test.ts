import { DateTime } from 'luxon';
import { conditionsAt, daySchema, hourAt, tideAt, type Day, type Place } from '@/document';
import { demoFile } from '@/document/testing/demo';
import { dayAt, standInTides, standInWeather } from './';

const { place, conditions } = demoFile('under-sallow-bridge');

async function dayOf(where: Place, date: string): Promise<Day> {
  const day = await dayAt(where, date, standInWeather, standInTides);
  if (!day.ok) throw new Error(day.problems[0]!.message);
  return daySchema.parse(day.value);
}

describe('a day', () => {
  it('runs from midnight to midnight by the place’s own clocks: 23 and 25 hours where they change', async () => {
    const zone = 'WET';
    const inSpring = DateTime.fromISO('2026-03-29', { zone });
    for (const [date, hours] of [
      ['2026-03-28', 24],
      [inSpring.toISODate()!, 23],
      ['2026-10-25', 25],
    ] as const) {
      const day = await dayOf(place, date);
      expect((day.to - day.from) / 3600).toBe(hours);
      const local = DateTime.fromSeconds(day.from, { zone: day.zone });
      expect(local.toFormat('yyyy-MM-dd HH:mm')).toBe(`${date} 00:00`);
      // Every quarter of an hour that there is, none twice.
      const ats = day.hours.map(({ at }) => at);
      expect(new Set(ats).size).toBe(ats.length);
      expect(ats.every((at, i) => i === 0 || at - ats[i - 1]! === 900)).toBe(true);
    }
  });

  it('has the level and current its tide tells, and its turns at the top and bottom of them', async () => {
    const day = await dayOf(place, '2026-05-04');
    for (const { at, level_m, current } of day.hours) {
      const told = tideAt(place.tide!, at);
      expect(level_m).toBeCloseTo(told.level!, 9);
      expect(current!.speed_mps).toBeCloseTo(told.current!.rate, 9);
    }
    const levels = day.hours.map(({ level_m }) => level_m!);
    for (const turn of day.turns) {
      const beside = [-900, 900].map((d) => tideAt(place.tide!, turn.at + d).level! - turn.level_m);
      expect(beside[0]! * beside[1]!).toBeGreaterThan(0);
    }
    expect(Math.max(...levels)).toBeGreaterThan(Math.min(...levels) + 1.5);
  });

  it('is the same whenever it is asked, and another elsewhere and on another day', async () => {
    const winds = async (where: Place, date: string) =>
      (await dayOf(where, date)).hours.map(({ wind }) => wind!.speed_mps);
    const first = await winds(place, '2026-05-04');
    expect(await winds(place, '2026-05-04')).toEqual(first);
    expect(await winds(place, '2026-05-14')).not.toEqual(first);
    const far = { ...place, origin: { lat_deg: -35, lon_deg: 120 } };
    expect(await winds(far, '2026-05-04')).not.toEqual(first);
    for (const hour of (await dayOf(place, '2026-05-04')).hours)
      expect(hour.wind!.gust_mps).toBeGreaterThanOrEqual(hour.wind!.speed_mps);
  });

  it('goes by the nearest station where the place has no tide, and says so where there is none', async () => {
    const { tide: _tide, ...without } = place;
    expect((await dayOf(without, '2026-05-04')).tideBy).toMatch(/Withen Bar/);
    const far = await dayOf({ ...without, origin: { lat_deg: 0, lon_deg: 0 } }, '2026-05-04');
    expect(far.tideBy).toMatch(/no tide station near/);
    expect(far.hours.every(({ level_m }) => level_m === null)).toBe(true);
    const { origin: _origin, ...nowhere } = without;
    const lost = await dayOf(nowhere, '2026-05-04');
    expect(lost.windBy).toMatch(/no wind/);
    expect(lost.tideBy).toMatch(/no tide/);
  });

  it('by a table tells the level inside it and nothing outside', async () => {
    const table: Place = {
      ...place,
      tide: {
        zone: 'UTC',
        level: {
          by: 'table',
          waters: [
            { at: '2026-05-04T06:00:00Z', level_m: 4 },
            { at: '2026-05-04T12:00:00Z', level_m: 1 },
          ],
        },
      },
    };
    const day = await dayOf(table, '2026-05-04');
    const at = (iso: string) => hourAt(day, Date.parse(iso) / 1000)!.level_m;
    expect(at('2026-05-04T09:00:00Z')).toBeCloseTo(2.5, 9);
    expect(at('2026-05-04T05:00:00Z')).toBeNull();
    expect(day.turns).toHaveLength(2);
  });
});

describe('the conditions of an hour', () => {
  it('are its wind, current and level, and leave the rest as it was', async () => {
    const day = await dayOf(place, '2026-05-04');
    const at = day.from + 9.6 * 3600;
    const hour = hourAt(day, at)!;
    const made = conditionsAt({ ...conditions, depth_m: 3 }, day, at, 600);
    if (!made.ok) throw new Error(made.problems[0]!.message);
    const { wind, current, level, when, depth_m } = made.value;
    expect(Date.parse(when!) / 1000).toBe(at);
    expect(wind.speed_mps).toBeCloseTo(hour.wind!.speed_mps, 2);
    expect(wind.gusts!.intensity).toBeGreaterThan(0);
    expect(wind.shelter).toBe(true);
    expect(current.set_deg).toBe(Math.round(hour.current!.set_deg) % 360);
    expect(level!.map(({ level_m }) => level_m)[0]).toBeCloseTo(tideAt(place.tide!, at).level!, 1);
    expect(level!.at(-1)!.at_s).toBe(600);
    expect(depth_m).toBe(3);
  });

  it('beyond what is handled in are refused', () => {
    const gale = {
      at: 0,
      wind: { from_deg: 0, speed_mps: 50, gust_mps: 60 },
      level_m: null,
      current: null,
    };
    const day = { hours: [gale, { ...gale, at: 900 }] };
    expect(conditionsAt(conditions, day, 100, 240)).toMatchObject({ ok: false });
  });
});
