import { threeFigures } from '../../words/helm';
import { the } from '../../words/lines';
import { distance } from '../../words/units';
import { named } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice } from '../RowFields';
import { useNames } from '../use-names';
import { lineOf } from './line-order';
import { LieFields } from './working-fields';

function Fields({ at }: FieldsProps) {
  const { ropes } = useNames();
  return (
    <>
      <RowChoice name={`${at}.line`} label="Spring" options={named(ropes)} />
      <span>until the</span>
      <LieFields at={at} mark="Mark to lie by" />
    </>
  );
}

export const motorOn: OrderView<'motorOn'> = {
  title: 'Motor on a spring',
  add: ({ engines, marks, ropes }) =>
    engines.length > 0 && marks.length > 0 && ropes.length > 0
      ? 'motor alongside on a spring'
      : null,
  fresh: { within: 1.5, heading: 0, headingWithin: 10 },
  Fields,
  text: ({ line, point, mark, within_m, heading_deg }, units) =>
    `gently ahead on ${the(line)}, wheel from the quay, until the ${point} is ${distance(within_m, units)} off ${mark}, heading ${threeFigures(heading_deg)}`,
  given: ({ line }, about) => `motoring on ${lineOf(line, about)}`,
};
