import { shapeAt, type Craft, type HullShape } from '../boat';
import type { ObstacleSet } from './obstacle-set';

/** The boat's side as each thing ashore meets it: at its own height, where that is lower than its deck's edge. */
export function shapesOf({ spec, touch }: Craft, { obstacles }: ObstacleSet): readonly HullShape[] {
  const known = new Map<number, HullShape>();
  return obstacles.map(({ height }) => {
    const shape = known.get(height) ?? shapeAt(spec, touch.deckShape, touch.hullCount, height);
    known.set(height, shape);
    return shape;
  });
}
