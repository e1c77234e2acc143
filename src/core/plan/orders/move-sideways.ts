import { helmOrder } from './definition';
import { shiftBy, SPOT_MANNER } from './on-the-spot';

/** The boat is moved so far to port or to starboard, on the heading it has, and kept there. */
export const moveSideways = helmOrder('moveSideways', {
  parameters: {
    by: {
      kind: 'distance',
      least: 0,
      most: 50,
      tune: () => ({ step: 0.2, least: 0.2, most: 50, decimals: 1 }),
    },
    side: { kind: 'choice', of: ['port', 'starboard'], fallback: 'port', sides: true },
    ...SPOT_MANNER,
  },
  needs: 'engine',
  watches: true,
  channel: () => ({ of: 'engine', engine: null }),
  unlike: (a, b) => (a.side === b.side ? Math.abs(a.by - b.by) : Infinity),
  apply({ by, side, thrusters, idle, ...eye }, state, world) {
    const aside = side === 'starboard' ? by : -by;
    shiftBy(state, world, { ahead: 0, aside }, { thrusters, idle }, eye);
  },
});
