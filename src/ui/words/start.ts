import { HOLDS_ENOUGH } from '@/core/policy';
import type { StartEntry } from '../start/entries';
import { outcomeWord } from './outcome-heads';

const hundredths = (share: number) => Math.round(100 * share);

/** What a manoeuvre came to when it was last worked out, in a line; what stands quietly behind it, and whether it is a warning. */
export function lastWords({ last }: Pick<StartEntry, 'last'>): {
  readonly text: string;
  readonly beside: string;
  readonly warns: boolean;
} {
  if (!last) return { text: 'not computed yet', beside: '', warns: false };
  const beside = (range: string) =>
    [range, last.older ? 'before the last change' : ''].filter(Boolean).join(', ');
  const { share, outcome } = last;
  if (outcome !== 'reached') return { text: outcomeWord(outcome), beside: beside(''), warns: true };
  if (!share) return { text: outcomeWord(outcome), beside: beside(''), warns: false };
  return {
    text: `holds in ${hundredths(share.share)} of 100`,
    beside: beside(`(${hundredths(share.least)} to ${hundredths(share.most)})`),
    // Only what so many tries make sure of is a warning.
    warns: share.most < HOLDS_ENOUGH,
  };
}
