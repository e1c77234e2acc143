import { orderRudder } from '../../simulation';
import { helmOrder } from './definition';

/** The wheel put to a rudder angle, and left there. */
export const wheel = helmOrder('wheel', {
  parameters: {
    /** Positive turns the bow to starboard going ahead. */
    angle: {
      kind: 'angle',
      lateral: true,
      least: -90,
      most: 90,
      // It stays on its side.
      tune: (angle) =>
        angle === 0
          ? null
          : { step: 6, least: angle > 0 ? 1 : -90, most: angle > 0 ? 90 : -1, decimals: 0 },
    },
  },
  needs: 'steering',
  channel: () => ({ of: 'wheel' }),
  unlike: (a, b) => Math.abs(a.angle - b.angle),
  apply({ angle }, state, { craft }) {
    state.helm.active = false;
    if (state.hand.task === 'work') state.hand.active = false;
    orderRudder(state, craft, angle);
  },
});
