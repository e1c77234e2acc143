import { outlineFeature } from './definition';

/** A boat that lies there and does not give way: boats come and go, so that no bearing is taken on it. */
export const boat = outlineFeature('boat', 'hull');
