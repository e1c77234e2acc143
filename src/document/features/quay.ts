import { outlineFeature } from './definition';

export const quay = outlineFeature('quay', 'stone', { fixed: 'corners' });
