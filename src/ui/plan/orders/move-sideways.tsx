import { useUnits } from '../../state/preferences';
import { distance } from '../../words/units';
import { SIDES } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowNumber } from '../RowFields';
import { SpotFields, spotText } from './working-fields';

function Fields({ at }: FieldsProps) {
  const units = useUnits();
  return (
    <>
      <RowNumber name={`${at}.by`} label="Sideways by" unit={units.length} width={52} />
      <RowChoice name={`${at}.side`} label="Sideways to" options={SIDES} />
      <SpotFields at={at} />
    </>
  );
}

export const moveSideways: OrderView<'moveSideways'> = {
  title: 'Sideways',
  add: ({ engines }) => (engines.length > 0 ? 'move sideways' : null),
  fresh: { by: 2 },
  Fields,
  text: (order, units) =>
    `sideways ${distance(order.by_m, units)} to ${order.side}, not ahead and not astern${spotText(order)}`,
  given: ({ side }) => `sideways to ${side}`,
};
