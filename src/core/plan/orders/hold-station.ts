import { alike, helmOrder } from './definition';
import { shiftBy, SPOT_MANNER } from './on-the-spot';

/** The boat is kept where it is, on the heading it has, until an engine is ordered otherwise. */
export const holdStation = helmOrder('holdStation', {
  parameters: SPOT_MANNER,
  needs: 'engine',
  watches: true,
  channel: () => ({ of: 'engine', engine: null }),
  unlike: alike,
  apply: ({ thrusters, idle, ...eye }, state, world) =>
    shiftBy(state, world, { ahead: 0, aside: 0 }, { thrusters, idle }, eye),
});
