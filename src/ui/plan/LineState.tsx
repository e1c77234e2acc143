import { LINE_STATE_WORDS } from '../words/lines';
import { named, worded } from './options';
import type { FieldsProps } from './part-view';
import { RowChoice } from './RowFields';
import { useNames } from './use-names';

/** A line and what it is to be, as a cue or an expectation asks for it. */
export function LineState({ at }: FieldsProps) {
  const { lines } = useNames();
  if (lines.length === 0)
    return <span className="text-hurt">no lines are rigged: rig one under Lines &amp; crew</span>;
  return (
    <>
      <RowChoice name={`${at}.line`} label="Line" options={named(lines)} />
      <RowChoice name={`${at}.state`} label="Is" options={worded(LINE_STATE_WORDS)} />
    </>
  );
}
