import { threeFigures } from '../../words/helm';
import { distance } from '../../words/units';
import type { FieldsProps, OrderView } from '../part-view';
import { LieFields, SpotFields, spotText } from './working-fields';

function Fields({ at }: FieldsProps) {
  return (
    <>
      <span>until the</span>
      <LieFields at={at} mark="Mark to lie by" />
      <SpotFields at={at} />
    </>
  );
}

export const slideIn: OrderView<'slideIn'> = {
  title: 'Slide in',
  add: ({ engines, marks }) =>
    engines.length > 0 && marks.length > 0 ? 'slide in from abreast' : null,
  fresh: { within: 1, heading: 0, headingWithin: 8 },
  Fields,
  text: (order, units) =>
    `parallel, let it slide in until the ${order.point} is ${distance(order.within_m, units)} off ${order.mark}, heading ${threeFigures(order.heading_deg)}${spotText(order)}`,
  given: ({ mark }) => `sliding in to ${mark.name}`,
};
