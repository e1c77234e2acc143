import { nearestOnPolygon, signedArea } from '@/core/math';
import type { Area, Berth, Feature, Place, PlaceTransit } from '@/document';
import { onSegment, type XY } from './snap';

export type Thing = Feature | Berth | Area | PlaceTransit;

const NEAR_PX = 9;

/** What lies under a point: the nearest single thing or berth, else the smallest outline it is inside of. */
export function thingAt(place: Place, at: XY, scale: number): Thing | null {
  const within = NEAR_PX / scale;
  let best: Thing | null = null;
  let least = within;
  const look = (thing: Thing, far: number) => {
    if (far > least) return;
    least = far;
    best = thing;
  };
  for (const f of place.features) if ('x_m' in f) look(f, Math.hypot(f.x_m - at[0], f.y_m - at[1]));
  for (const berth of place.berths) {
    const on = onSegment(...berth.edge_m, at);
    // A mark on a berth is picked before the berth.
    look(berth, Math.hypot(on[0] - at[0], on[1] - at[1]) + within / 3);
  }
  if (best) return best;
  const nearest = { distance: 0, x: 0, y: 0 };
  const inside = [...place.features, ...place.areas].filter((f) => {
    if (!('outline_m' in f)) return false;
    nearestOnPolygon(nearest, Float64Array.from(f.outline_m.flat()), at[0], at[1]);
    return nearest.distance <= 0;
  });
  const area = (f: Feature | Area) =>
    'outline_m' in f ? Math.abs(signedArea(Float64Array.from(f.outline_m.flat()))) : 0;
  return inside.sort((a, b) => area(a) - area(b))[0] ?? null;
}
