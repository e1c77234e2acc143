import { expectation } from './definition';

/** Watched all the way there, where it is expected by the next step. */
export const clear = expectation('clear', {
  parameters: { least: { kind: 'distance', least: 0, most: 200 } },
  look: ({ least }, _state, _world, clearance) => ({ met: clearance >= least, found: clearance }),
});
