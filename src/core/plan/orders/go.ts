import { alike, crewOrder } from './definition';

/** Somebody aboard walks to a point of the boat. */
export const go = crewOrder('go', {
  parameters: { by: { kind: 'person' }, point: { kind: 'point' } },
  atHand: null,
  channel: ({ by }) => ({ of: 'person', who: by }),
  unlike: alike,
  job: (crew, hand, { point }) => crew.goes(hand, point),
});
