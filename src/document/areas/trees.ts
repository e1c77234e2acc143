import { within } from '../fields';
import { areaKind } from './definition';

/** Share of the wind that gets through trees in leaf; bare ones let more through. Judgement, ±0.2. */
const POROSITY = 0.45;

/** Trees: they keep the wind off, some of it; nothing can touch them. */
export const trees = areaKind(
  'trees',
  { height_m: within(1, 60, 'm').default(8) },
  { windbreak: ({ height_m }) => ({ height: height_m, porosity: POROSITY }) },
);
