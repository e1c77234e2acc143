import { useUnits } from '../../state/preferences';
import { threeFigures } from '../../words/helm';
import { the } from '../../words/lines';
import { distance } from '../../words/units';
import { named } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowMark, RowNumber } from '../RowFields';
import { useNames } from '../use-names';
import { lineOf } from './line-order';

function Fields({ at }: FieldsProps) {
  const { marks, points, ropes } = useNames();
  const units = useUnits();
  return (
    <>
      <RowChoice name={`${at}.line`} label="Spring" options={named(ropes)} />
      <span>until the</span>
      <RowChoice name={`${at}.point`} label="Point of the boat" options={named(points)} />
      <RowNumber name={`${at}.within`} label="No further off than" unit={units.length} width={52} />
      <span>off</span>
      <RowMark name={`${at}.mark`} label="Mark to lie by" options={named(marks)} />
      <span>heading</span>
      <RowNumber name={`${at}.heading`} label="Heading to lie on" unit="°" width={46} />
      <span>within</span>
      <RowNumber name={`${at}.headingWithin`} label="Heading within" unit="°" width={46} />
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
