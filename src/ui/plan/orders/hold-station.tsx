import type { OrderView } from '../part-view';
import { SpotFields, spotText } from './working-fields';

export const holdStation: OrderView<'holdStation'> = {
  title: 'Hold station',
  add: ({ engines }) => (engines.length > 0 ? 'hold station where the boat is' : null),
  Fields: SpotFields,
  text: (order) => `hold station, on this heading${spotText(order)}`,
  given: () => 'holding station',
};
