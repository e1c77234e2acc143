import { lineLevel } from '../measures';
import { LINE_STATES } from '../references';
import { cue } from './definition';

/** A line is on, fast, taut, or off and home. */
export const line = cue('line', {
  parameters: { line: { kind: 'line' }, state: { kind: 'choice', of: LINE_STATES } },
  arm: ({ line: which, state }) => ({ level: (s, w) => lineLevel(s, w, which, state) }),
});
