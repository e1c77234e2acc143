import { threeFigures } from '../../words/helm';
import { tidy } from '../../words/units';
import type { ExpectationView } from '../part-view';
import { RowNumber } from '../RowFields';

export const heading: ExpectationView<'heading'> = {
  title: 'heading',
  fresh: { within: 10 },
  Fields: ({ at }) => (
    <>
      <RowNumber name={`${at}.heading`} label="Expected heading" unit="°" width={52} />
      <RowNumber name={`${at}.within`} label="Give or take" unit="° either way" width={52} />
    </>
  ),
  text: ({ heading_deg, within_deg }, _units, when) =>
    `heading ${threeFigures(heading_deg)} within ${tidy(within_deg, 0)}° ${when}`,
};
