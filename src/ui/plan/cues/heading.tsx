import { threeFigures } from '../../words/helm';
import type { CueView } from '../part-view';
import { RowNumber } from '../RowFields';

export const heading: CueView<'heading'> = {
  title: 'heading reached',
  Fields: ({ at }) => <RowNumber name={`${at}.heading`} label="Heading" unit="°" />,
  text: ({ heading_deg }) => `heading ${threeFigures(heading_deg)}`,
};
