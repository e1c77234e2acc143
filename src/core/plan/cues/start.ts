import { cue } from './definition';

/** At once. */
export const start = cue('start', { parameters: {}, arm: () => ({ level: () => 0 }) });
