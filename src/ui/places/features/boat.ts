import { BOATS_FROM, outlined } from './view';

/** Laid down by its length and beam, or as one of the fleet, with a tool of its own. */
export const boat = outlined(
  'boat',
  4,
  { fill: 'moored', stroke: 'shore', width: 1 },
  { offered: false, namedFrom: () => BOATS_FROM },
);
