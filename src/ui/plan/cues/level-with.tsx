import { threeFigures } from '../../words/helm';
import { useUnits } from '../../state/preferences';
import { lengthIn, tidy } from '../../words/units';
import { named } from '../options';
import type { CueView, FieldsProps } from '../part-view';
import { RowChoice, RowMark, RowNumber } from '../RowFields';
import { useNames } from '../use-names';

function Fields({ at }: FieldsProps) {
  const { watched, marks } = useNames();
  const units = useUnits();
  return (
    <>
      <RowChoice name={`${at}.point`} label="Point of a boat" options={named(watched)} />
      <RowNumber name={`${at}.short`} label="Short of it" unit={units.length} />
      <span className="text-quiet">short of</span>
      <RowMark name={`${at}.mark`} label="Mark" options={named(marks)} />
      <span className="text-quiet">going</span>
      <RowNumber name={`${at}.heading`} label="The way it goes" unit="°" width={46} />
    </>
  );
}

export const levelWith: CueView<'levelWith'> = {
  title: 'point level with a mark',
  fresh: { short: 0, heading: 0 },
  Fields,
  text: ({ point, short_m, mark, heading_deg }, { length }) =>
    short_m > 0
      ? `${point} ${tidy(lengthIn(short_m, length), 1)} ${length} short of ${mark}, going ${threeFigures(heading_deg)}`
      : `${point} level with ${mark}, going ${threeFigures(heading_deg)}`,
};
