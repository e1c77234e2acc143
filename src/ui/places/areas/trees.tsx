import { LengthBox } from '../../parts/LengthBox';
import { ring } from '../../plot/shapes';
import type { AreaFieldsProps, AreaView } from './view';

const Fields = ({ area, change }: AreaFieldsProps<'trees'>) => (
  <LengthBox
    label="height over the water"
    value={area.height_m}
    least={1}
    most={60}
    onChange={(height_m) => change({ height_m })}
  />
);

export const trees: AreaView<'trees'> = {
  words: 'trees',
  over: true,
  draw: ({ outline_m }) => [ring(outline_m, { stroke: 'shore', width: 1, dash: [2, 3] })],
  label: ({ name }) => name,
  fresh: () => ({ height_m: 8 }),
  Fields,
};
