import { solidObstacle, type Obstacle } from '../holding';

/** A box ashore, by its least and greatest x and y. */
export function box(id: string, x0: number, y0: number, x1: number, y1: number): Obstacle {
  const outline = Float64Array.from([x0, y0, x1, y0, x1, y1, x0, y1]);
  return solidObstacle(id, id, outline, { friction: 0.35, stiffness: 1e6 });
}
