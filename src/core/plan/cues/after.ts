import { cue } from './definition';

/** So long after the last step began. */
export const after = cue('after', {
  parameters: {
    time: {
      kind: 'time',
      least: 0,
      most: 600,
      // A pause of a second or less is there for the gear or the hands, not to be fitted.
      tune: (time) =>
        time <= 1 ? null : { step: Math.max(1, 0.2 * time), least: 0.5, most: 600, decimals: 1 },
    },
  },
  arm({ time }, armed) {
    const at = armed.time + time;
    // The last bits of a sum of timesteps must not hold the cue back to the next one.
    return { level: (s) => s.time - at + 1e-9 };
  },
  figure: { of: 'time', now: (_cue, state, _world, from) => state.time - from.time },
});
