import { z } from 'zod';
import { check, failure, success, tideSchema } from '@/document';
import withenBar from '../../demo/tides/withen-bar.json';
import type { TideService, Where } from './types';

const stationSchema = z.strictObject({
  name: z.string(),
  lat_deg: z.number(),
  lon_deg: z.number(),
  tide: tideSchema,
});
type Station = z.infer<typeof stationSchema>;

const STATIONS: readonly unknown[] = [withenBar];
/** Farther from a station its tide says nothing, km. */
const NEAR_KM = 60;
const KM_PER_DEGREE = 111.2;

function apart(a: Where, b: Where): number {
  const north = a.lat_deg - b.lat_deg;
  const east = (a.lon_deg - b.lon_deg) * Math.cos((a.lat_deg * Math.PI) / 180);
  return KM_PER_DEGREE * Math.hypot(north, east);
}

/** Tides of the stations that ship with the program: simulated, of water that is not there. */
export const standInTides: TideService = {
  tide(where) {
    const near = STATIONS.flatMap((raw): { station: Station; km: number }[] => {
      const checked = check<Station>(stationSchema, raw);
      if (!checked.ok) throw new Error(checked.problems[0]!.message);
      return [{ station: checked.value, km: apart(where, checked.value) }];
    }).sort((a, b) => a.km - b.km)[0];
    if (!near || near.km > NEAR_KM)
      return Promise.resolve(
        failure({
          path: 'origin',
          message: 'there is no tide station near; give the place a tide of its own',
        }),
      );
    return Promise.resolve(success({ name: near.station.name, tide: near.station.tide }));
  },
};
