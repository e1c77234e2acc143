import { tidy } from '../../words/units';
import type { CueView } from '../part-view';
import { RowNumber } from '../RowFields';

export const after: CueView<'after'> = {
  title: 'seconds after the last step',
  fresh: { time: 5 },
  Fields: ({ at }) => (
    <RowNumber name={`${at}.time`} label="Seconds after the last step" unit="s" width={66} />
  ),
  text: ({ time_s }) => `${tidy(time_s, 1)} s on`,
};
