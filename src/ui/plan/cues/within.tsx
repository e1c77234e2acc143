import { useUnits } from '../../state/preferences';
import { lengthIn, tidy } from '../../words/units';
import { named } from '../options';
import type { CueView, FieldsProps } from '../part-view';
import { RowChoice, RowMark, RowNumber } from '../RowFields';
import { useNames } from '../use-names';

function Fields({ at }: FieldsProps) {
  const { watched, marks } = useNames();
  const units = useUnits();
  return (
    <>
      <RowChoice name={`${at}.point`} label="Point of a boat" options={named(watched)} />
      <RowNumber name={`${at}.distance`} label="Distance" unit={units.length} />
      <span className="text-quiet">off</span>
      <RowMark name={`${at}.mark`} label="Mark" options={named(marks)} />
    </>
  );
}

export const within: CueView<'within'> = {
  title: 'point near a mark',
  fresh: { distance: 10 },
  Fields,
  text: ({ point, distance_m, mark }, { length }) =>
    `${point} ${tidy(lengthIn(distance_m, length), 1)} ${length} off ${mark}`,
};
