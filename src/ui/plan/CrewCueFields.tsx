import type { ChoiceOption } from '../parts/Choice';
import { RowChoice } from './RowFields';
import { useNames } from './use-names';

const WHERE: readonly ChoiceOption<string>[] = [
  { value: 'aboard', text: 'aboard' },
  { value: 'ashore', text: 'ashore' },
];

/** Somebody of the crew and where they are to be, as a cue asks for it. */
export function CrewCueFields({ at }: { at: `cues.${number}` }) {
  const { crew } = useNames();
  if (crew.length === 0)
    return <span className="text-hurt">nobody is named: say who under Lines and people</span>;
  return (
    <>
      <RowChoice
        name={`${at}.who`}
        label="Who"
        options={crew.map((value) => ({ value, text: value }))}
      />
      <RowChoice name={`${at}.where`} label="Is" options={WHERE} />
    </>
  );
}
