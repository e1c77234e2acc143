import { runTake } from '@/core/score';
import { fingerprintOf, type Fingerprint } from '@/core/testing/fingerprint';
import { toRunInput, type ManoeuvreFile } from '..';

/** The two plans of a demo: the one that is shipped, and the one that tempts. */
export interface DemoFingerprints {
  readonly plan: Fingerprint;
  readonly tempting: Fingerprint;
}

/** A manoeuvre's run. Throws where it cannot be run. */
export function runOf(file: ManoeuvreFile) {
  const input = toRunInput(file);
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return runTake(input.value);
}

export const tempted = (file: ManoeuvreFile): ManoeuvreFile => ({
  ...file,
  score: file.tempting!.score,
});

export const fingerprintsOf = (file: ManoeuvreFile): DemoFingerprints => ({
  plan: fingerprintOf(runOf(file)),
  tempting: fingerprintOf(runOf(tempted(file))),
});
