import type { Craft } from '../craft';
import {
  clearanceMemory,
  groundAt,
  leastClearance,
  noClearance,
  shapesOf,
  type Shore,
} from '../holding';

/** How near her outline lies to things when put somewhere. */
export interface Room {
  /** m; negative for how deep she is in something, Infinity with nothing about. */
  readonly distance: number;
  /** Index of the nearest obstacle, −1 for none. */
  readonly obstacle: number;
}

/**
 * Room about a boat put at a pose (m, rad).
 *
 * @param skip obstacles left out, by index
 */
export function roomAt(
  craft: Craft,
  shore: Shore,
  skip: ReadonlySet<number>,
  x: number,
  y: number,
  heading: number,
): Room {
  const found = noClearance();
  const memory = clearanceMemory(shore, shapesOf(craft, shore));
  leastClearance(found, memory, craft.touch, shore, skip, groundAt(x, y, heading));
  return { distance: found.distance, obstacle: found.obstacle };
}
