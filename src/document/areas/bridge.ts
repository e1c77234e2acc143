import { z } from 'zod';
import { within } from '../fields';
import { areaKind } from './definition';

/** A bridge to pass under, and for people to walk over: room under it at a level. What stands in the water is a pile or a quay. */
export const bridge = areaKind(
  'bridge',
  {
    clearance_m: within(0.5, 100, 'm'),
    /** Level over the place's own nought that the clearance is told at, such as that of the highest tide. */
    level_m: within(-20, 20, 'm').default(0),
    /** Do people walk over it, such as round a lock? */
    footway: z.boolean().default(true),
  },
  {
    bridge: ({ clearance_m, level_m, footway }) => ({ clearance: clearance_m + level_m, footway }),
  },
);
