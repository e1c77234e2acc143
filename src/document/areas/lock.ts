import { lockWorkingSchema } from '../lock';
import { depth_m } from '../outline';
import { areaKind } from './definition';

/** A lock's chamber as outline: its walls are quays, its leaves gates; and how it is worked, if that is known. */
export const lock = areaKind('lock', {
  /** Depth over its cill at level nought. */
  cill_m: depth_m.optional(),
  working: lockWorkingSchema.optional(),
});
