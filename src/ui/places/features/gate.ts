import { outlined } from './view';

export const gate = outlined('gate', 5, { fill: 'ink', stroke: 'ink', width: 1 });
