import { outlineFeature } from './definition';

/** Two floors where its height is not known: judgement. */
export const building = outlineFeature('building', 'stone', { fixed: 'corners', height: 6 });
