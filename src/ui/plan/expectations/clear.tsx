import { useUnits } from '../../state/preferences';
import { distance } from '../../words/units';
import type { ExpectationView, FieldsProps } from '../part-view';
import { RowNumber } from '../RowFields';

function Fields({ at }: FieldsProps) {
  const units = useUnits();
  return <RowNumber name={`${at}.least`} label="Least clearance" unit={units.length} width={52} />;
}

export const clear: ExpectationView<'clear'> = {
  title: 'clear of everything by',
  fresh: { least: 1 },
  Fields,
  // Watched all the way there.
  text: ({ least_m, at }, units, when) =>
    `at least ${distance(least_m, units)} clear ${at === 'next' ? 'until the next step' : when}`,
};
