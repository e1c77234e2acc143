import { outlined } from './view';

export const pontoon = outlined('pontoon', 3, { fill: 'float', stroke: 'ink', width: 1 });
