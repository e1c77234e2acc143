import { outlineFeature } from './definition';

/** A bank has no corners to take a bearing on. */
export const bank = outlineFeature('bank', 'earth');
