import { WORK, WORK_COLUMNS } from '../forces';
import { NOW, NOW_COLUMNS } from '../simulation';

/** A working row with some columns set; the rest nought, cosine 1. */
export function workRow(set: Partial<Record<keyof typeof WORK, number>>): Float64Array {
  const row = new Float64Array(WORK_COLUMNS);
  row[WORK.COS] = 1;
  for (const [name, value] of Object.entries(set)) row[WORK[name as keyof typeof WORK]] = value;
  return row;
}

/** What the boat is doing, in water at rest. */
export function nowRow(u: number, v: number, r: number): Float64Array {
  const row = new Float64Array(NOW_COLUMNS);
  row[NOW.U] = row[NOW.UR] = u;
  row[NOW.V] = row[NOW.VR] = v;
  row[NOW.R] = r;
  row[NOW.COS] = 1;
  return row;
}
