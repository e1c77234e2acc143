import { z } from 'zod';
import { crossesItself } from '@/core/math';
import { pointOnPlace, within } from './fields';

/** Corners of an area or of something solid on a place, in order round its edge, m. */
export const outline = z
  .array(pointOnPlace)
  .min(3, { error: 'give at least three corners' })
  .max(200, { error: 'give at most 200 corners' })
  .refine((points) => !crossesItself(Float64Array.from(points.flat())), {
    error: 'the outline crosses itself; put its corners in order round the edge',
  });

/** Charted depths a place may have, m: what dries is negative. */
export const depth_m = within(-15, 500, 'm');

/** Corners as the core takes them: x, y, x, y …, m. */
export const cornersFlat = (points: readonly (readonly [number, number])[]) =>
  Float64Array.from(points.flat());
