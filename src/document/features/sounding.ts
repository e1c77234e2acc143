import { depth_m } from '../areas';
import { pointFeature } from './definition';

/** A depth at one point, at level nought; negative where it dries. */
export const sounding = pointFeature('sounding', { depth_m });
