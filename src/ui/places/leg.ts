import type { XY } from './snap';

/** From one point to another: m, and whole degrees from north. */
export function legOf([ax, ay]: XY, [bx, by]: XY) {
  const deg = (Math.atan2(bx - ax, by - ay) * 180) / Math.PI;
  return {
    length: Math.hypot(bx - ax, by - ay),
    bearing: (((Math.round(deg) % 360) + 360) % 360) + 0,
  };
}

export function alongLeg([x, y]: XY, length: number, bearing_deg: number): XY {
  const rad = (bearing_deg * Math.PI) / 180;
  return [x + length * Math.sin(rad), y + length * Math.cos(rad)];
}
