import { lineNow } from '../../simulation';
import { lineLevel } from '../measures';
import { LINE_STATES } from '../references';
import { expectation } from './definition';

export const line = expectation('line', {
  parameters: { line: { kind: 'line' }, state: { kind: 'choice', of: LINE_STATES } },
  look({ line: which, state: wanted }, state, world) {
    const found = lineNow(state, world, which).tension;
    return { met: lineLevel(state, world, which, wanted) >= 0, found };
  },
});
