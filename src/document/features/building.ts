import { outlineFeature } from './definition';

export const building = outlineFeature('building', 'stone', { fixed: 'corners' });
