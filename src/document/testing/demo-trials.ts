import { trialOf, type Trial } from '@/core/reliability';
import { STANDARD_SPREAD } from '@/core/uncertainty';
import { toRunInput, type ManoeuvreFile } from '..';

/** The first runs of a manoeuvre under the standard spread. */
export function trialsOf(file: ManoeuvreFile, runs: number): readonly Trial[] {
  const input = toRunInput(file);
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return Array.from({ length: runs }, (_, k) => trialOf(input.value, STANDARD_SPREAD, 1, k));
}
