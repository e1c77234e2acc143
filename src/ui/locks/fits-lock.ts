import type { LockWorking } from '@/document';

/** Room that is wanted in a lock, for a first choice: what is over is for gates that swing, cill and fenders. */
const FILLS = 0.9;

/** Would one try that lock with her? m. Whether she goes through is for the brief to say. */
export const fitsLock = (
  { length, beam, draught = 0 }: { length: number; beam: number; draught?: number },
  { length_m, width_m, lower_m, lowerCill_m, upper_m, upperCill_m }: LockWorking,
): boolean =>
  length < FILLS * length_m &&
  beam < FILLS * width_m &&
  draught < Math.min(lower_m - lowerCill_m, upper_m - upperCill_m);
