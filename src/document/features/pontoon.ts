import { outlineFeature } from './definition';

export const pontoon = outlineFeature('pontoon', 'timber', { fixed: 'corners', floats: true });
