import { LengthBox } from '../../parts/LengthBox';
import { ring } from '../../plot/shapes';
import { spotted, type FieldsProps } from './view';

const HALF_PX = 2.4;

const Fields = ({ feature, change }: FieldsProps<'bollard'>) => (
  <LengthBox
    label="over the water"
    value={feature.height_m}
    least={0}
    most={20}
    onChange={(height_m) => change({ height_m })}
  />
);

export const bollard = spotted<'bollard'>(
  'bollard',
  ({ x_m: x, y_m: y }, { px }) => {
    const half = HALF_PX * px;
    const corners = [
      [x - half, y - half],
      [x + half, y - half],
      [x + half, y + half],
      [x - half, y + half],
    ] as const;
    return [ring(corners, { fill: 'shore' })];
  },
  { fresh: () => ({ height_m: 0.6 }), Fields },
);
