import { outlined } from './view';

export const bank = outlined('bank', 0, {
  fill: 'land',
  stroke: 'shore',
  width: 1,
  dash: [5, 4],
});
