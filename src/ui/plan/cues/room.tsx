import { useUnits } from '../../state/preferences';
import { lengthIn, tidy } from '../../words/units';
import { worded } from '../options';
import type { CueView, FieldsProps } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';

const ENDS = worded({ bow: 'ahead of the bow', stern: 'astern of the stern' });

function Fields({ at }: FieldsProps) {
  const units = useUnits();
  return (
    <>
      <RowNumber name={`${at}.distance`} label="Room left" unit={units.length} />
      <span className="text-quiet">left</span>
      <RowChoice name={`${at}.end`} label="Which end" options={ENDS} />
    </>
  );
}

export const room: CueView<'room'> = {
  title: 'room ahead or astern',
  fresh: { distance: 3 },
  Fields,
  text: ({ end, distance_m }, { length }) =>
    `${tidy(lengthIn(distance_m, length), 1)} ${length} left ${end === 'bow' ? 'ahead' : 'astern'}`,
};
