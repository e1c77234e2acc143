import { z } from 'zod';
import { FRESH_WATER_KGPM3, SEA_WATER_KGPM3 } from '@/core/units';
import type { Weather } from '@/core/sim';
import { compass, radians, within } from './fields';

/** Strongest wind and stream that make sense for handling at low speed, m/s. */
export const MOST_WIND_MPS = 30;
export const MOST_STREAM_MPS = 4;

/** Wind is named by where it comes from, at 10 m; stream by where it sets to. */
export const conditionsSchema = z.strictObject({
  wind: z.strictObject({ from_deg: compass, speed_mps: within(0, MOST_WIND_MPS, 'm/s') }),
  stream: z.strictObject({ set_deg: compass, speed_mps: within(0, MOST_STREAM_MPS, 'm/s') }),
  water: z.enum(['sea', 'fresh'], { error: "say 'sea' or 'fresh'" }).default('sea'),
});

export type Conditions = z.infer<typeof conditionsSchema>;

export function toWeather(conditions: Conditions): Weather {
  return {
    windFrom: radians(conditions.wind.from_deg),
    windSpeed: conditions.wind.speed_mps,
    streamSet: radians(conditions.stream.set_deg),
    streamSpeed: conditions.stream.speed_mps,
    waterDensity: conditions.water === 'sea' ? SEA_WATER_KGPM3 : FRESH_WATER_KGPM3,
  };
}
