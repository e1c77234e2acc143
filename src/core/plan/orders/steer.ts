import { steerHeading } from '../../simulation';
import { alike, helmOrder } from './definition';

/** The helm keeps a heading from here, until the wheel or another steering is ordered. */
export const steer = helmOrder('steer', {
  parameters: {
    heading: { kind: 'heading', tune: () => ({ step: 6, least: 0, most: 359, decimals: 0 }) },
  },
  needs: 'steering',
  channel: () => ({ of: 'wheel' }),
  unlike: alike,
  apply: ({ heading }, state) => steerHeading(state, heading),
});
