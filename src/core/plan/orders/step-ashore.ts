import { stepAshore as jobAshore } from '../stepping';
import { alike, crewOrder } from './definition';

/** Somebody steps ashore, and walks to a mark. */
export const stepAshore = crewOrder('stepAshore', {
  parameters: { by: { kind: 'person' }, mark: { kind: 'mark' } },
  atHand: null,
  channel: ({ by }) => ({ of: 'person', who: by }),
  unlike: alike,
  job: (crew, hand, { mark }) => jobAshore(crew, hand, mark),
});
