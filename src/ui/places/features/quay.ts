import { outlined } from './view';

export const quay = outlined('quay', 1, { fill: 'land', stroke: 'ink', width: 1.4 });
