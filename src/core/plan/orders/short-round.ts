import { helmOrder } from './definition';
import { SPOT_MANNER, workOnSpot } from './on-the-spot';

/** The boat is turned short round, in its own water, until it heads so. */
export const shortRound = helmOrder('shortRound', {
  parameters: {
    heading: { kind: 'heading' },
    headingWithin: { kind: 'angle', lateral: false, least: 1, most: 90 },
    side: {
      kind: 'choice',
      of: ['shorter', 'port', 'starboard'],
      fallback: 'shorter',
      sides: true,
    },
    ...SPOT_MANNER,
  },
  needs: 'engine',
  watches: true,
  channel: () => ({ of: 'engine', engine: null }),
  unlike: (a, b) => (a.side === b.side ? 0 : Infinity),
  apply({ heading, headingWithin, side, thrusters, idle, ...eye }, state, world) {
    const aim = { is: 'round', heading, headingWithin, side } as const;
    workOnSpot(state, world, aim, { thrusters, idle }, eye);
  },
});
