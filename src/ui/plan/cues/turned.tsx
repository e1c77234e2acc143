import { side } from '../../words/helm';
import { tidy } from '../../words/units';
import { SIDES } from '../options';
import type { CueView } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';

export const turned: CueView<'turned'> = {
  title: 'turned through',
  fresh: { by: 30 },
  Fields: ({ at }) => (
    <>
      <RowNumber name={`${at}.by`} label="Degrees turned" unit="°" />
      <RowChoice name={`${at}.bySide`} label="Turned to" options={SIDES} />
    </>
  ),
  text: ({ by_deg }) => `turned ${tidy(Math.abs(by_deg), 0)}° to ${side(by_deg)}`,
};
