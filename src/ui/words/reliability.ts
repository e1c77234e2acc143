import { HOLDS_ENOUGH } from '@/core/policy';
import type { Cause, Certificate } from '@/core/reliability';
import type { PlanDocument } from '@/document';
import { failsBy } from './outcome-heads';
import type { Reading } from './run';
import { stepName } from './steps';

const ofHundred = (share: number) => Math.round(100 * share);

/** "a hard touch on the pile, bow, at step 2", "the cue for step 3 never comes" */
export function causeText({ outcome, on, part, step }: Cause, plan: PlanDocument): string {
  if (outcome === 'cue never came') return `the cue for ${stepName(plan, step + 1)} never comes`;
  const where = on === null ? '' : ` on ${on}, ${part}`;
  return `${failsBy(outcome)}${where}, at ${stepName(plan, Math.max(0, step))}`;
}

/** How many of 100 tries hold, how many do with nothing made otherwise, how sure that is, and what most of the others come to; `through` with all the tries in. */
export function holdsReading(
  { share, least, most, runs, causes }: Certificate,
  { asTold, through }: { readonly asTold: Certificate | null; readonly through: boolean },
  plan: PlanDocument,
): Reading {
  const [first] = causes;
  const between = `between ${ofHundred(least)} and ${ofHundred(most)} by ${runs} tries`;
  const soFar = through ? '' : ' so far';
  const why = first ? `; most that fail: ${causeText(first, plan)}` : '';
  return {
    figure: `${ofHundred(share)} of 100`,
    meaning: asTold ? `tries hold, instead of ${ofHundred(asTold.share)}` : 'tries hold',
    where: `${between}${soFar}, with day, boat, start and crew varied${why}`,
    // Only what so many tries make sure of is a warning.
    hurts: most < HOLDS_ENOUGH,
    time: null,
    grows: true,
  };
}
