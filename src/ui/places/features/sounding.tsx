import { LengthBox } from '../../parts/LengthBox';
import { depthText } from '../../words/depth';
import { LAND_FROM, spotted, type FieldsProps } from './view';

const Fields = ({ feature, change }: FieldsProps<'sounding'>) => (
  <LengthBox
    label="depth at level 0, negative where it dries"
    value={feature.depth_m}
    least={-15}
    most={500}
    onChange={(depth_m) => change({ depth_m })}
  />
);

/** Its figure is all that is drawn of it. */
export const sounding = spotted<'sounding'>('spot depth', () => [], {
  namedFrom: () => LAND_FROM,
  label: ({ depth_m }, units) => depthText(depth_m, units),
  fresh: () => ({ depth_m: 2 }),
  Fields,
});
