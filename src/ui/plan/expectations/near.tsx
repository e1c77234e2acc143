import { useUnits } from '../../state/preferences';
import { distance } from '../../words/units';
import { named } from '../options';
import type { ExpectationView, FieldsProps } from '../part-view';
import { RowChoice, RowMark, RowNumber } from '../RowFields';
import { useNames } from '../use-names';

function Fields({ at }: FieldsProps) {
  const { watched, marks } = useNames();
  const units = useUnits();
  return (
    <>
      <RowChoice name={`${at}.point`} label="Point of a boat" options={named(watched)} />
      <RowNumber name={`${at}.within`} label="Distance" unit={units.length} width={52} />
      <span className="text-quiet">off</span>
      <RowMark name={`${at}.mark`} label="Mark" options={named(marks)} />
    </>
  );
}

export const near: ExpectationView<'near'> = {
  title: 'point near a mark',
  fresh: { within: 2 },
  Fields,
  text: ({ point, within_m, mark }, units, when) =>
    `${point} within ${distance(within_m, units)} of ${mark} ${when}`,
};
