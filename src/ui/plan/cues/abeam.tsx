import { named } from '../options';
import type { CueView, FieldsProps } from '../part-view';
import { RowChoice, RowMark } from '../RowFields';
import { useNames } from '../use-names';

function Fields({ at }: FieldsProps) {
  const { watched, marks } = useNames();
  return (
    <>
      <RowChoice name={`${at}.point`} label="Point of a boat" options={named(watched)} />
      <span className="text-quiet">abreast of</span>
      <RowMark name={`${at}.mark`} label="Mark" options={named(marks)} />
    </>
  );
}

export const abeam: CueView<'abeam'> = {
  title: 'point abreast of a mark',
  Fields,
  text: ({ point, mark }) => `${point} abreast of ${mark}`,
};
