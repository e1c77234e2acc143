import { pointFeature } from './definition';

/** A place to take a bearing on or to name in a cue; nothing can touch it. */
export const mark = pointFeature('mark', {}, { named: true, fixed: 'itself' });
