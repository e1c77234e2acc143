import { pointFeature } from './definition';

/** Rungs let into a face from its top to below the water: where people climb. Nothing can touch it. */
export const ladder = pointFeature('ladder', {}, { named: true, fixed: 'itself' });
