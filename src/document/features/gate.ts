import { outlineFeature } from './definition';

export const gate = outlineFeature('gate', 'timber', { fixed: 'corners' });
