import { LINE_STATES } from '@/core/plan';
import type { ChoiceOption } from '../parts/Choice';
import { LINE_STATE_WORDS } from '../words/lines';
import { RowChoice } from './RowFields';
import { useNames } from './use-names';

const STATES: readonly ChoiceOption<string>[] = LINE_STATES.map((value) => ({
  value,
  text: LINE_STATE_WORDS[value],
}));

/** A line and what it is to be, as a cue or an expectation asks for it. */
export function LineFields({ at }: { at: `cues.${number}` | `expect.${number}` }) {
  const { lines } = useNames();
  if (lines.length === 0)
    return <span className="text-hurt">no lines are rigged: rig one under Lines and people</span>;
  return (
    <>
      <RowChoice
        name={`${at}.line`}
        label="Line"
        options={lines.map((value) => ({ value, text: value }))}
      />
      <RowChoice name={`${at}.state`} label="Is" options={STATES} />
    </>
  );
}
