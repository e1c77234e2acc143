import { shortText, within } from '../fields';
import { placeOf, pointFeature, type Placed } from './definition';

const bollardOf = (all: readonly Placed[], tail: string) =>
  all.find(({ kind, name }) => kind === 'bollard' && name === tail);

/**
 * A line laid on the bottom from a weight there to the quay, picked up at the quay and led to the far end of a boat. It stands
 * where its weight lies.
 */
export const groundLine = pointFeature(
  'groundLine',
  {
    depth_m: within(0.5, 60, 'm'),
    /** Name of the bollard its tail is tied to. */
    tail: shortText,
  },
  {
    lineEnd(line, all) {
      const tied = bollardOf(all, line.tail);
      const tail = tied ? { name: tied.name, x: tied.x_m!, y: tied.y_m! } : undefined;
      return { ...placeOf(line), height: -line.depth_m, tail };
    },
    problem: ({ tail }, all) =>
      bollardOf(all, tail)
        ? null
        : {
            key: 'tail',
            message: `there is no bollard '${tail}' for its tail; name one of the place`,
          },
  },
);
