import { placeOf, pointFeature } from './definition';

/** The ring of a buoy over the water, m. Assumption. */
const HEIGHT_M = 0.4;

/** A mooring buoy: a line is made on to it; the boat lies against it without harm. Its own riser's give is left out. */
export const buoy = pointFeature(
  'buoy',
  {},
  {
    named: true,
    lineEnd: (buoy) => ({ ...placeOf(buoy), height: HEIGHT_M, afloat: true }),
  },
);
