import { orderEngine } from '../../simulation';
import { helmOrder } from './definition';

/** Gear and throttle of one engine, or of all of them. */
export const engine = helmOrder('engine', {
  parameters: {
    /** All of them if none is named. */
    engine: { kind: 'engine', optional: 'null' },
    gear: { kind: 'gear' },
    /** 0 idle to 1 full. */
    throttle: {
      kind: 'share',
      least: 0,
      most: 1,
      fallback: 0,
      // Bursts are fitted, not racing.
      tune: (throttle, { gear }) =>
        gear === 'neutral'
          ? null
          : { step: 0.1, least: 0, most: Math.max(throttle, 0.6), decimals: 2 },
    },
  },
  channel: ({ engine: which }) => ({ of: 'engine', engine: which }),
  unlike: (a, b) => (a.gear === b.gear ? Math.abs(a.throttle - b.throttle) : Infinity),
  apply({ engine: which, gear, throttle }, state, { craft }) {
    state.hand.active = false;
    state.engines.forEach((one, i) => {
      if (which !== null && which !== i) return;
      orderEngine(one, craft.spec.drives[i]!, gear, throttle);
    });
  },
});
