import { useUnits } from '../../state/preferences';
import { distance } from '../../words/units';
import { worded } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';
import { SpotFields, spotText } from './working-fields';

const WAYS = worded({ ahead: 'ahead', astern: 'astern' });

function Fields({ at }: FieldsProps) {
  const units = useUnits();
  return (
    <>
      <RowNumber name={`${at}.by`} label="Shift by" unit={units.length} width={52} />
      <RowChoice name={`${at}.way`} label="Ahead or astern" options={WAYS} />
      <SpotFields at={at} />
    </>
  );
}

export const shiftAlong: OrderView<'shiftAlong'> = {
  title: 'Shift',
  add: ({ engines }) => (engines.length > 0 ? 'shift along, ahead or astern' : null),
  fresh: { by: 3 },
  Fields,
  text: (order, units) =>
    `${distance(order.by_m, units)} ${order.way}, parallel all the way${spotText(order)}`,
  given: ({ way }) => `shifting ${way}`,
};
