import { distance, type Units } from './units';

/** A charted depth as it is written on the water: what dries says so. */
export function depthText(depth_m: number, units: Units): string {
  return depth_m < 0 ? `dries ${distance(-depth_m, units)}` : distance(depth_m, units);
}
