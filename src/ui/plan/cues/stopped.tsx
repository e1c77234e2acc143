import { named } from '../options';
import { ABSENT } from '../part-values';
import type { CueView, FieldsProps } from '../part-view';
import { RowChoice } from '../RowFields';
import { useNames } from '../use-names';

function Fields({ at }: FieldsProps) {
  const { others } = useNames();
  if (others.length === 0) return null;
  const options = [{ value: ABSENT, text: 'the boat' }, ...named(others)];
  return <RowChoice name={`${at}.boat`} label="Which boat" options={options} />;
}

export const stopped: CueView<'stopped'> = {
  title: 'stopped',
  Fields,
  text: ({ boat }) => (boat === undefined ? 'stopped' : `${boat} stopped`),
};
