import { cue } from './definition';

/** Somebody of the crew stands ashore, or aboard again. */
export const crew = cue('crew', {
  parameters: {
    who: { kind: 'person' },
    where: { kind: 'choice', of: ['ashore', 'aboard'] },
  },
  // People step between timesteps, so that it does not jump inside one.
  arm: ({ who, where }, _armed, _world, aboard) => ({
    level: () => (aboard(who) === (where === 'aboard') ? 1 : -1),
  }),
});
