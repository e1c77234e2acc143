import { within } from '../fields';
import { isAfloat, placeOf, pointFeature } from './definition';

/** Something a line is made on to: bollard, cleat or ring; nothing can touch it. */
export const bollard = pointFeature(
  'bollard',
  {
    /** Over the water. */
    height_m: within(0, 20, 'm').default(0.6),
  },
  {
    named: true,
    fixed: 'itself',
    lineEnd(bollard, all) {
      const end = { ...placeOf(bollard), height: bollard.height_m };
      return isAfloat(all, bollard.x_m, bollard.y_m) ? { ...end, afloat: true } : end;
    },
    stands: (bollard, over_m, all) =>
      isAfloat(all, bollard.x_m, bollard.y_m)
        ? bollard
        : { ...bollard, height_m: bollard.height_m - over_m },
  },
);
