import { useUnits } from '../../state/preferences';
import { threeFigures } from '../../words/helm';
import { distance } from '../../words/units';
import { named } from '../options';
import type { ExpectationView, FieldsProps } from '../part-view';
import { RowMark, RowNumber } from '../RowFields';
import { useNames } from '../use-names';

function Fields({ at }: FieldsProps) {
  const { marks } = useNames();
  const units = useUnits();
  return (
    <>
      <RowNumber
        name={`${at}.within`}
        label="Off the line at most"
        unit={units.length}
        width={52}
      />
      <span className="text-quiet">off the line with</span>
      <RowMark name={`${at}.mark`} label="Mark" options={named(marks)} />
      <RowNumber name={`${at}.off`} label="To starboard" unit={units.length} width={52} />
      <RowNumber name={`${at}.heading`} label="Heading on the line" unit="°" width={46} />
    </>
  );
}

export const onLine: ExpectationView<'onLine'> = {
  title: 'lined up',
  fresh: { off: 5, heading: 0, within: 1 },
  Fields,
  text: ({ mark, off_m, heading_deg, within_m }, units, when) =>
    `within ${distance(within_m, units)} of the line ${threeFigures(heading_deg)} with ${mark} ${distance(Math.abs(off_m), units)} to ${off_m < 0 ? 'port' : 'starboard'} ${when}`,
};
