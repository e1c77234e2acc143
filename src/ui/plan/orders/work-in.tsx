import { threeFigures } from '../../words/helm';
import { distance } from '../../words/units';
import type { FieldsProps, OrderView } from '../part-view';
import { LieFields, MannerFields } from './working-fields';

const Fields = ({ at }: FieldsProps) => (
  <>
    <LieFields at={at} mark="Mark to work to" />
    <MannerFields at={at} />
  </>
);

export const workIn: OrderView<'workIn'> = {
  title: 'Work in',
  add: ({ engines, marks }) =>
    engines.length > 0 && marks.length > 0 ? 'work it in by short bursts' : null,
  fresh: { within: 1.5, heading: 0, headingWithin: 10 },
  Fields,
  text: ({ point, mark, within_m, heading_deg, thrusters, idle }, units) =>
    `short bursts ahead and astern${idle ? ' at idle' : ''}${thrusters ? ', thruster too,' : ''} until the ${point} is ${distance(within_m, units)} off ${mark}, heading ${threeFigures(heading_deg)}`,
  given: ({ mark }) => `worked to ${mark.name} by short bursts`,
};
