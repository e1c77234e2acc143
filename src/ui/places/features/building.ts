import { outlined } from './view';

export const building = outlined('building', 2, { fill: 'land', stroke: 'ink', width: 1.4 });
