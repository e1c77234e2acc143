import { helmOrder } from './definition';
import { shiftBy, SPOT_MANNER } from './on-the-spot';

/** The boat is shifted so far ahead or astern, on the heading it has, and kept there. */
export const shiftAlong = helmOrder('shiftAlong', {
  parameters: {
    by: {
      kind: 'distance',
      least: 0,
      most: 100,
      tune: () => ({ step: 0.5, least: 0.5, most: 100, decimals: 1 }),
    },
    way: { kind: 'choice', of: ['ahead', 'astern'], fallback: 'ahead' },
    ...SPOT_MANNER,
  },
  needs: 'engine',
  watches: true,
  channel: () => ({ of: 'engine', engine: null }),
  unlike: (a, b) => (a.way === b.way ? Math.abs(a.by - b.by) : Infinity),
  apply({ by, way, thrusters, idle, ...eye }, state, world) {
    const ahead = way === 'ahead' ? by : -by;
    shiftBy(state, world, { ahead, aside: 0 }, { thrusters, idle }, eye);
  },
});
