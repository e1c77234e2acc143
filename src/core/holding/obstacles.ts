import type { FlatPoints } from '../math';

/** Something a boat can touch, in place coordinates (x east, y north, m). */
export interface Obstacle {
  readonly id: string;
  readonly name: string;
  /** Outline of a solid, or null for a round pile. */
  readonly outline: FlatPoints | null;
  /** Pile: centre and radius. Solids: bounding box centre, radius 0. */
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  readonly friction: number;
  /** Stiffness of the face itself, N/m. */
  readonly stiffness: number;
  /** Top over the water, m: what is lower than the boat's deck's edge is met by its side at that height. Infinity if not told. */
  readonly height: number;
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

export interface Surface {
  readonly friction: number;
  readonly stiffness: number;
}

export function solidObstacle(
  id: string,
  name: string,
  outline: FlatPoints,
  surface: Surface,
  height = Infinity,
): Obstacle {
  let minX = Infinity;
  let minY = Infinity;
  let maxX = -Infinity;
  let maxY = -Infinity;
  for (let i = 0; i < outline.length; i += 2) {
    minX = Math.min(minX, outline[i]!);
    maxX = Math.max(maxX, outline[i]!);
    minY = Math.min(minY, outline[i + 1]!);
    maxY = Math.max(maxY, outline[i + 1]!);
  }
  const x = (minX + maxX) / 2;
  const y = (minY + maxY) / 2;
  return { id, name, outline, x, y, radius: 0, ...surface, height, minX, minY, maxX, maxY };
}

export function pileObstacle(
  id: string,
  name: string,
  x: number,
  y: number,
  radius: number,
  surface: Surface,
): Obstacle {
  return {
    id,
    name,
    outline: null,
    x,
    y,
    radius,
    ...surface,
    height: Infinity,
    minX: x - radius,
    minY: y - radius,
    maxX: x + radius,
    maxY: y + radius,
  };
}
