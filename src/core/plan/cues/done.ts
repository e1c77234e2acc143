import { cue } from './definition';

/** An order that watches has done what it says: the boat is stopped, or lies where it was to be worked to. */
export const done = cue('done', {
  parameters: {},
  // A hand looks between timesteps, so that it does not jump inside one.
  arm: () => ({ level: ({ hand }) => (hand.done ? 1 : -1) }),
});
