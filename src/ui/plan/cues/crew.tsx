import { named } from '../options';
import type { CueView, FieldsProps } from '../part-view';
import { RowChoice } from '../RowFields';
import { useNames } from '../use-names';

const WHERE = named(['aboard', 'ashore']);

function Fields({ at }: FieldsProps) {
  const { crew: people } = useNames();
  if (people.length === 0)
    return <span className="text-hurt">nobody is named: say who under Lines &amp; crew</span>;
  return (
    <>
      <RowChoice name={`${at}.who`} label="Who" options={named(people)} />
      <RowChoice name={`${at}.where`} label="Is" options={WHERE} />
    </>
  );
}

export const crew: CueView<'crew'> = {
  title: 'one of the crew is',
  fresh: { where: 'aboard' },
  Fields,
  text: ({ who, where }) => `${who} ${where}`,
};
