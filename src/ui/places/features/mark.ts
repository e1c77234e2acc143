import { ring } from '../../plot/shapes';
import { spotted } from './view';

const HALF_PX = 4;

export const mark = spotted<'mark'>('mark', ({ x_m: x, y_m: y }, { px }) => {
  const half = HALF_PX * px;
  const corners = [
    [x, y - half],
    [x + half, y],
    [x, y + half],
    [x - half, y],
  ] as const;
  return [ring(corners, { fill: 'paper', stroke: 'ink', width: 1 })];
});
