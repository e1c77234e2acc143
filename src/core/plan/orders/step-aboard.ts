import { stepAboard as jobAboard } from '../stepping';
import { alike, crewOrder } from './definition';

/** Somebody steps aboard, at a point of the boat. */
export const stepAboard = crewOrder('stepAboard', {
  parameters: { by: { kind: 'person' }, point: { kind: 'point' } },
  atHand: null,
  channel: ({ by }) => ({ of: 'person', who: by }),
  unlike: alike,
  job: (crew, hand, { point }) => jobAboard(crew, hand, point),
});
