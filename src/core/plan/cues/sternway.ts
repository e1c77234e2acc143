import { STERNWAY_MPS } from '../../policy';
import { U } from '../../simulation';
import { cue } from './definition';

/** Sternway has begun. */
export const sternway = cue('sternway', {
  parameters: {},
  arm: () => ({ level: (s) => -s.motion[U]! - STERNWAY_MPS }),
});
