import { oneOf, within } from '../fields';
import { areaKind } from './definition';

/** Water to keep out of, or to go through slowly for others' sake. */
export const zone = areaKind(
  'zone',
  {
    rule: oneOf(['keep out', 'no wash']),
    /** Fastest through the water where wash does harm. */
    most_mps: within(0.2, 5, 'm/s').default(1.5),
  },
  { zone: ({ rule, most_mps }) => ({ rule, most: most_mps }) },
);
