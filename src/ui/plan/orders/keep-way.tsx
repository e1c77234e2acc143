import { boatSpeed, speedIn } from '../../words/units';
import { useUnits } from '../../state/preferences';
import { worded } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';

const WAYS = worded({ ahead: 'ahead', astern: 'astern' });

function Fields({ at }: FieldsProps) {
  const units = useUnits();
  return (
    <>
      <RowChoice name={`${at}.way`} label="Way ahead or astern" options={WAYS} />
      <RowNumber name={`${at}.least`} label="Least way to keep" unit={units.speed} />
      <span>to</span>
      <RowNumber name={`${at}.most`} label="Most way to keep" unit={units.speed} />
    </>
  );
}

export const keepWay: OrderView<'keepWay'> = {
  title: 'Keep way',
  add: ({ engines }) => (engines.length > 0 ? 'keep way on, in and out of gear' : null),
  fresh: { least: 0.8, most: 1.2 },
  Fields,
  text: ({ way, least_mps, most_mps }, units) =>
    `keep ${speedIn(least_mps, units.speed).toFixed(1)} to ${boatSpeed(most_mps, units)}${way === 'astern' ? ' astern' : ''}, in and out of gear`,
  given: ({ way }) => `keeping way on${way === 'astern' ? ' astern' : ''}`,
};
