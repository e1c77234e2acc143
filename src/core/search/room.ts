import type { Craft } from '../boat';
import {
  clearanceMemory,
  groundAt,
  leastClearance,
  noClearance,
  shapesOf,
  type ObstacleSet,
} from '../holding';
import { cos, sin } from '../math';

/** How near the boat's outline lies to things when put somewhere. */
export interface Room {
  /** m; negative for how deep the boat is in something, Infinity with nothing about. */
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
  shore: ObstacleSet,
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

/** How far the boat is put on at a time in looking along, m. */
const ALONG_STEP_M = 0.5;

/**
 * How far the boat could go straight ahead (`way` 1) or astern (−1) from a pose until its outline meets something, m, and what.
 *
 * @param most no further is looked than this, m
 */
export function roomAlong(
  craft: Craft,
  shore: ObstacleSet,
  skip: ReadonlySet<number>,
  { x, y, heading }: { readonly x: number; readonly y: number; readonly heading: number },
  way: 1 | -1,
  most: number,
): Room {
  const east = way * sin(heading);
  const north = way * cos(heading);
  for (let room = 0; room < most; room += ALONG_STEP_M) {
    const next = room + ALONG_STEP_M;
    const found = roomAt(craft, shore, skip, x + next * east, y + next * north, heading);
    if (found.distance < 0) return { distance: room, obstacle: found.obstacle };
  }
  return { distance: most, obstacle: -1 };
}
