import { wrapHalfTurn } from '../../math';
import { PSI, type SimState } from '../../simulation';
import { cue } from './definition';

/** The boat passes through a heading. */
export const heading = cue('heading', {
  parameters: {
    heading: { kind: 'heading', tune: () => ({ step: 8, least: 0, most: 359, decimals: 0 }) },
  },
  arm({ heading: wanted }, armed) {
    const gap = (s: SimState) => wrapHalfTurn(s.motion[PSI]! - wanted);
    const side = gap(armed) >= 0 ? 1 : -1;
    return {
      level: (s) => {
        const now = gap(s);
        // Passing through the opposite heading changes the sign too, and is not meant.
        return Math.abs(now) > Math.PI / 2 ? -Math.abs(now) : -side * now;
      },
    };
  },
  figure: { of: 'heading', now: (_cue, state) => state.motion[PSI]! },
});
