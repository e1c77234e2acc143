import { LINE_STATE_WORDS } from '../../words/lines';
import { LineState } from '../LineState';
import type { CueView } from '../part-view';

export const line: CueView<'line'> = {
  title: 'a line is',
  fresh: { state: 'fast' },
  Fields: LineState,
  text: ({ line: which, state }) => `${which} ${LINE_STATE_WORDS[state]}`,
};
