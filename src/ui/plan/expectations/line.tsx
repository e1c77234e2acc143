import { LINE_STATE_WORDS } from '../../words/lines';
import { LineState } from '../LineState';
import type { ExpectationView } from '../part-view';

export const line: ExpectationView<'line'> = {
  title: 'a line is',
  fresh: { state: 'fast' },
  Fields: LineState,
  text: ({ line: which, state }, _units, when) => `${which} ${LINE_STATE_WORDS[state]} ${when}`,
};
