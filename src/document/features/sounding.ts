import { depth_m } from '../outline';
import { pointFeature } from './definition';

/** A depth at one point, at level nought; negative where it dries. */
export const sounding = pointFeature(
  'sounding',
  { depth_m },
  { stands: (sounding, over_m) => ({ ...sounding, depth_m: sounding.depth_m + over_m }) },
);
