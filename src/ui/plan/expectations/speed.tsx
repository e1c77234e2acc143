import { useUnits } from '../../state/preferences';
import { boatSpeed } from '../../words/units';
import { SPEEDS_OVER } from '../options';
import type { ExpectationView, FieldsProps } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';

function Fields({ at }: FieldsProps) {
  const units = useUnits();
  return (
    <>
      <RowNumber name={`${at}.least`} label="Least speed" unit="to" width={52} />
      <RowNumber name={`${at}.most`} label="Most speed" unit={units.speed} width={52} />
      <RowChoice name={`${at}.over`} label="Speed over" options={SPEEDS_OVER} />
    </>
  );
}

export const speed: ExpectationView<'speed'> = {
  title: 'speed',
  fresh: { most: 3 },
  Fields,
  text: ({ least_mps, most_mps }, units, when) =>
    `${boatSpeed(least_mps, units)} to ${boatSpeed(most_mps, units)} ${when}`,
};
