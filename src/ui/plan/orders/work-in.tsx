import { useUnits } from '../../state/preferences';
import { threeFigures } from '../../words/helm';
import { distance } from '../../words/units';
import { named } from '../options';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowMark, RowNumber } from '../RowFields';
import { useNames } from '../use-names';

function Fields({ at }: FieldsProps) {
  const { marks, points } = useNames();
  const units = useUnits();
  return (
    <>
      <RowChoice name={`${at}.point`} label="Point of the boat" options={named(points)} />
      <RowNumber name={`${at}.within`} label="No further off than" unit={units.length} width={52} />
      <span>off</span>
      <RowMark name={`${at}.mark`} label="Mark to work to" options={named(marks)} />
      <span>heading</span>
      <RowNumber name={`${at}.heading`} label="Heading to lie on" unit="°" width={46} />
      <span>within</span>
      <RowNumber name={`${at}.headingWithin`} label="Heading within" unit="°" width={46} />
      <span>no faster than</span>
      <RowNumber name={`${at}.most`} label="Way at the most" unit={units.speed} width={46} />
    </>
  );
}

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
