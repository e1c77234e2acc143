import { useUnits } from '../../state/preferences';
import { distance } from '../../words/units';
import type { FieldsProps, OrderView } from '../part-view';
import { RowNumber } from '../RowFields';
import { MannerFields } from './working-fields';

function Fields({ at }: FieldsProps) {
  const units = useUnits();
  return (
    <>
      <RowNumber name={`${at}.distance`} label="Clear of everything by" unit={units.length} />
      <span>clear of everything</span>
      <MannerFields at={at} />
    </>
  );
}

export const workClear: OrderView<'workClear'> = {
  title: 'Work clear',
  add: ({ engines }) => (engines.length > 0 ? 'work it clear by short bursts' : null),
  fresh: { distance: 2 },
  Fields,
  text: ({ distance_m, thrusters, idle }, units) =>
    `short bursts ahead and astern${idle ? ' at idle' : ''}${thrusters ? ', thruster too,' : ''} until ${distance(distance_m, units)} clear all round`,
  given: () => 'worked clear by short bursts',
};
