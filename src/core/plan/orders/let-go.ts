import { alike, crewOrder } from './definition';

/** A line let go and taken home. */
export const letGo = crewOrder('letGo', {
  parameters: { line: { kind: 'rope' }, by: { kind: 'hand', optional: 'null' } },
  atHand: 'line',
  channel: ({ line }) => ({ of: 'line', line }),
  unlike: alike,
  job: (crew, hand, { line }) => crew.jobs.letGo(hand, line),
});
