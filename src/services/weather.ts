import { Random } from '@/core/math';
import { success } from '@/document';
import type { WeatherService, WindAt } from './types';

const HOUR_S = 3600;
const DAY_S = 24 * HOUR_S;
/** Weather goes by in about so long, s: turning points of the great wind lie so far apart. */
const SPELL_S = 18 * HOUR_S;
/** Sea breeze on a fair day at its strongest, m/s, and its hour, by the sun. */
const BREEZE_MPS = 3.5;
const BREEZE_AT_H = 15;

/** A wind as a vector that blows to the east and north, m/s, at a turning point: the same for the same place and time. */
function spellWind(seed: number, spell: number): [east: number, north: number] {
  const random = new Random(Math.imul(seed ^ 0x9e37, 0x85eb) + spell * 7919);
  random.uniform();
  // Mostly from the west, as where it is made up for.
  const from = 4.4 + 1.1 * random.normal();
  const speed = Math.min(16, Math.abs(6 + 3.2 * random.normal()));
  return [-speed * Math.sin(from), -speed * Math.cos(from)];
}

const smooth = (share: number) => (1 - Math.cos(Math.PI * share)) / 2;

/**
 * Made-up weather: spells of wind that follow on each other, and a sea breeze of an afternoon. The same place and hour always
 * have the same, so that a plan made today is the same tomorrow. Not a forecast of anything.
 */
export const standInWeather: WeatherService = {
  name: 'stand-in weather, made up',
  wind({ lat_deg, lon_deg }, from, to) {
    // The weather of a region, not of a berth.
    const seed = Math.round(lat_deg) * 1000 + Math.round(lon_deg);
    const hours: WindAt[] = [];
    for (let at = Math.floor(from / HOUR_S) * HOUR_S; at <= to + HOUR_S; at += HOUR_S) {
      const spell = Math.floor(at / SPELL_S);
      const share = smooth(at / SPELL_S - spell);
      const [a, b] = [spellWind(seed, spell), spellWind(seed, spell + 1)];
      const sun = ((at % DAY_S) / HOUR_S + lon_deg / 15 + 24) % 24;
      const breeze = BREEZE_MPS * Math.max(0, Math.cos(((sun - BREEZE_AT_H) * Math.PI) / 9)) ** 2;
      const east = (1 - share) * a[0] + share * b[0] + breeze * 0.8;
      const north = (1 - share) * a[1] + share * b[1] + breeze * 0.3;
      const speed = Math.hypot(east, north);
      const blows = new Random(Math.imul(seed, 31) + at / HOUR_S).uniform();
      hours.push({
        at,
        from_deg: Math.round(((Math.atan2(-east, -north) * 180) / Math.PI + 360) % 360),
        speed_mps: Math.round(speed * 10) / 10,
        gust_mps: Math.round(speed * (1.25 + 0.25 * blows) * 10) / 10,
      });
    }
    return Promise.resolve(success(hours));
  },
};
