import { alongLeg as along, legOf as leg } from '@/core/math';
import { DEGREES_PER_RADIAN } from '@/core/units';
import type { XY } from './snap';

/** From one point to another: m, and whole degrees from north. */
export function legOf(a: XY, b: XY) {
  const { length, bearing } = leg(a, b);
  return { length, bearing: Math.round(bearing * DEGREES_PER_RADIAN) % 360 };
}

export const alongLeg = (from: XY, length: number, bearing_deg: number): XY =>
  along(from, length, bearing_deg / DEGREES_PER_RADIAN);
