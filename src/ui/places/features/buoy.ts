import { disc } from '../../plot/shapes';
import { spotted } from './view';

export const buoy = spotted<'buoy'>('buoy', ({ x_m, y_m }, { px }) => [
  disc([x_m, y_m], Math.max(0.3, 4 * px), { fill: 'paper', stroke: 'ink', width: 2 }),
]);
