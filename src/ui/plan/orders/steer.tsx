import { DEGREES_PER_RADIAN } from '@/core/units';
import { threeFigures } from '../../words/helm';
import type { OrderView } from '../part-view';
import { RowNumber } from '../RowFields';

export const steer: OrderView<'steer'> = {
  title: 'Steer',
  add: () => 'steer a heading',
  Fields: ({ at }) => (
    <RowNumber name={`${at}.heading`} label="Heading to steer" unit="°" width={46} />
  ),
  text: ({ heading_deg }) => `steer ${threeFigures(heading_deg)}`,
  given: ({ heading }) => `steering ${Math.round(heading * DEGREES_PER_RADIAN)}°`,
};
