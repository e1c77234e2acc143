import { pileObstacle } from '@/core/holding';
import { within } from '../fields';
import { placeOf, pointFeature, SURFACES } from './definition';

/** Height over the water of a pile's head, where a line goes round it, m: it is not kept. Assumption. */
const HEIGHT_M = 1;

export const pile = pointFeature(
  'pile',
  { radius_m: within(0.03, 20, 'm').default(0.15) },
  {
    named: true,
    fixed: 'itself',
    obstacle: ({ id, name, x_m, y_m, radius_m }) =>
      pileObstacle(id, name, x_m, y_m, radius_m, SURFACES.timber),
    lineEnd: (pile) => ({ ...placeOf(pile), height: HEIGHT_M }),
  },
);
