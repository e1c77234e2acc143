import { named, worded } from '../options';
import { threeFigures } from '../../words/helm';
import { distance } from '../../words/units';
import { useUnits } from '../../state/preferences';
import type { FieldsProps, OrderView } from '../part-view';
import { RowChoice, RowMark, RowNumber } from '../RowFields';
import { useNames } from '../use-names';

const WAYS = worded({ ahead: 'ahead', astern: 'astern' });

function Fields({ at }: FieldsProps) {
  const { marks } = useNames();
  const units = useUnits();
  return (
    <>
      <RowChoice name={`${at}.way`} label="Way ahead or astern" options={WAYS} />
      <span>past</span>
      <RowMark name={`${at}.mark`} label="Mark to keep off" options={named(marks)} />
      <RowNumber name={`${at}.off`} label="To starboard" unit={units.length} />
      <span>to starboard, heading</span>
      <RowNumber name={`${at}.heading`} label="Heading on the line" unit="°" />
    </>
  );
}

export const keepLine: OrderView<'keepLine'> = {
  title: 'Keep a line',
  add: ({ marks }) => (marks.length > 0 ? 'keep a line past a mark' : null),
  fresh: { off: 5, heading: 0 },
  Fields,
  text: ({ mark, off_m, heading_deg, way }, units) =>
    `keep ${mark} ${distance(Math.abs(off_m), units)} to ${off_m < 0 ? 'port' : 'starboard'}, ${way === 'astern' ? 'going astern, ' : ''}heading ${threeFigures(heading_deg)}`,
  given: ({ mark, way }) => `keeping a line past ${mark.name}${way === 'astern' ? ', astern' : ''}`,
};
