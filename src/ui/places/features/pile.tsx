import { LengthBox } from '../../parts/LengthBox';
import { disc } from '../../plot/shapes';
import { spotted, type FieldsProps } from './view';

const Fields = ({ feature, change }: FieldsProps<'pile'>) => (
  <LengthBox
    label="radius"
    value={feature.radius_m}
    least={0.03}
    most={20}
    onChange={(radius_m) => change({ radius_m })}
  />
);

export const pile = spotted<'pile'>(
  'pile',
  ({ x_m, y_m, radius_m }, { px }) => [
    disc([x_m, y_m], Math.max(radius_m, 2.2 * px), { fill: 'ink' }),
  ],
  { inPictures: true, fresh: () => ({ radius_m: 0.15 }), Fields },
);
