import { PSI } from '../../simulation';
import { cue } from './definition';

/** The boat has turned so far since the last step began. */
export const turned = cue('turned', {
  parameters: {
    /** Positive to starboard. */
    by: {
      kind: 'angle',
      lateral: true,
      least: -720,
      most: 720,
      tune: (by) => ({ step: 8, least: by > 0 ? 2 : -360, most: by > 0 ? 360 : -2, decimals: 0 }),
    },
  },
  arm({ by }, armed) {
    const from = armed.motion[PSI]!;
    const side = by >= 0 ? 1 : -1;
    return { level: (s) => side * (s.motion[PSI]! - from - by) };
  },
  figure: { of: 'by', now: (_cue, state, _world, from) => state.motion[PSI]! - from.motion[PSI]! },
});
