import { useUnits } from '../../state/preferences';
import { boatSpeed } from '../../words/units';
import { named, SPEEDS_OVER } from '../options';
import type { CueView, FieldsProps } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';

const COMPARISONS = named(['below', 'above']);

function Fields({ at }: FieldsProps) {
  const units = useUnits();
  return (
    <>
      <RowChoice name={`${at}.compare`} label="Below or above" options={COMPARISONS} />
      <RowNumber name={`${at}.speed`} label="Speed" unit={units.speed} />
      <RowChoice name={`${at}.over`} label="Speed over" options={SPEEDS_OVER} />
    </>
  );
}

export const speed: CueView<'speed'> = {
  title: 'speed',
  fresh: { speed: 1 },
  Fields,
  text: ({ compare, speed_mps, over }, units) =>
    `${compare} ${boatSpeed(speed_mps, units)}${over === 'ground' ? ' over ground' : ''}`,
};
