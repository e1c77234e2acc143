import { depth_m } from '../outline';
import { areaKind } from './definition';

/** Water of one depth at level nought. A negative depth dries: the bottom stands that far over level nought. */
export const depth = areaKind(
  'depth',
  { depth_m },
  {
    depth: (area) => area.depth_m,
    stands: (area, over_m) => ({ ...area, depth_m: area.depth_m + over_m }),
  },
);
