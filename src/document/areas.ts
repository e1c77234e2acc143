import { z } from 'zod';
import { crossesItself } from '@/core/math';
import { bottomOf, type Bottom } from '@/core/water';
import { lockWorkingSchema } from './lock';
import { extra, id, pointOnPlace, shortText, within } from './fields';

export const outline = z
  .array(pointOnPlace)
  .min(3, { error: 'give at least three corners' })
  .max(200, { error: 'give at most 200 corners' })
  .refine((points) => !crossesItself(Float64Array.from(points.flat())), {
    error: 'the outline crosses itself; put its corners in order round the edge',
  });

const area = { id, name: shortText, extra, outline_m: outline };

/** Charted depths a place may have, m: what dries is negative. */
export const depth_m = within(-15, 500, 'm');

/** Water of one depth at level nought. A negative depth dries: the bottom stands that far over level nought. */
const depth = z.strictObject({ kind: z.literal('depth'), ...area, depth_m });

/** A bridge she may pass under, and people may walk over: room under it at a level. What stands in the water is a pile or a quay. */
const bridge = z.strictObject({
  kind: z.literal('bridge'),
  ...area,
  clearance_m: within(0.5, 100, 'm'),
  /** Level over the place's own nought that the clearance is told at, such as that of the highest tide. */
  level_m: within(-20, 20, 'm').default(0),
  /** Do people walk over it, such as round a lock? */
  footway: z.boolean().default(true),
});

/** Water to keep out of, or to go through slowly for others' sake. */
const zone = z.strictObject({
  kind: z.literal('zone'),
  ...area,
  rule: z.enum(['keep out', 'no wash'], { error: "say 'keep out' or 'no wash'" }),
  /** Fastest through the water where wash does harm. */
  most_mps: within(0.2, 5, 'm/s').default(1.5),
});

/** Trees: they keep the wind off, some of it; nothing can touch them. */
const trees = z.strictObject({
  kind: z.literal('trees'),
  ...area,
  height_m: within(1, 60, 'm').default(8),
});

/** A lock's chamber as outline: its walls are quays, its leaves gates; and how it is worked, if that is known. */
const lock = z.strictObject({
  kind: z.literal('lock'),
  ...area,
  /** Depth over its cill at level nought. */
  cill_m: depth_m.optional(),
  working: lockWorkingSchema.optional(),
});

/** What of the water has an outline but cannot be touched. */
export const areaSchema = z.discriminatedUnion('kind', [depth, bridge, zone, trees, lock], {
  error: "kind is 'depth', 'bridge', 'zone', 'trees' or 'lock'",
});
export type Area = z.infer<typeof areaSchema>;

/** A depth found at a spot, at level nought. */
interface Sounding {
  readonly x_m: number;
  readonly y_m: number;
  readonly depth_m: number;
}

/** Two marks in line: in that order, the nearer first. */
export const transitSchema = z.strictObject({
  id,
  name: shortText,
  extra,
  front: shortText,
  back: shortText,
});
export type PlaceTransit = z.infer<typeof transitSchema>;

const flat = (points: readonly (readonly [number, number])[]) => Float64Array.from(points.flat());

/**
 * The bottom as far as a place tells it; `elsewhere` is the depth where it does not, m. Null where it tells nothing.
 */
export function bottomOfPlace(
  areas: readonly Area[],
  soundings: readonly Sounding[],
  elsewhere: number | undefined,
): Bottom | null {
  const depths = areas.flatMap((a) =>
    a.kind === 'depth' ? [{ outline: flat(a.outline_m), depth: a.depth_m }] : [],
  );
  const spots = soundings.map(({ x_m, y_m, depth_m: found }) => ({ x: x_m, y: y_m, depth: found }));
  return bottomOf(depths, spots, elsewhere);
}

/** Bridges as the core passes under them: room over level nought. */
export function bridgesOf(areas: readonly Area[]) {
  return areas.flatMap((a) =>
    a.kind === 'bridge'
      ? [
          {
            name: a.name,
            outline: flat(a.outline_m),
            clearance: a.clearance_m + a.level_m,
            footway: a.footway,
          },
        ]
      : [],
  );
}

/** Water that is kept out of or gone through slowly. */
export function zonesOf(areas: readonly Area[]) {
  return areas.flatMap((a) =>
    a.kind === 'zone'
      ? [{ name: a.name, outline: flat(a.outline_m), rule: a.rule, most: a.most_mps }]
      : [],
  );
}
