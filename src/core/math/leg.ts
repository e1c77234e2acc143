import { atan2, cos, sin } from './elementary';
import { wrapTurn } from './angles';

type XY = readonly [east: number, north: number];

/** From one point to another: m, and the direction from north, radians from 0 to a whole turn. */
export function legOf([ax, ay]: XY, [bx, by]: XY): { length: number; bearing: number } {
  const [dx, dy] = [bx - ax, by - ay];
  return { length: Math.sqrt(dx * dx + dy * dy), bearing: wrapTurn(atan2(dx, dy)) };
}

/** The point so far from another, m, in a direction from north, radians. */
export function alongLeg([x, y]: XY, length: number, bearing: number): XY {
  return [x + length * sin(bearing), y + length * cos(bearing)];
}
