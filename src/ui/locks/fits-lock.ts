import { FILLS_LOCK } from '@/core/policy';
import type { LockWorking } from '@/document';

/** Would one try that lock with the boat? m. Whether it goes through is for the brief to say. */
export const fitsLock = (
  { length, beam, draught = 0 }: { length: number; beam: number; draught?: number },
  { length_m, width_m, lower_m, lowerCill_m, upper_m, upperCill_m }: LockWorking,
): boolean =>
  length < FILLS_LOCK * length_m &&
  beam < FILLS_LOCK * width_m &&
  draught < Math.min(lower_m - lowerCill_m, upper_m - upperCill_m);
