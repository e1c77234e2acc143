import { outlineFeature } from './definition';

/**
 * A boat that lies there and does not give way: boats come and go, so that no bearing is taken on it. Of the wind it keeps off what a
 * low topside and some rigging do: judgement.
 */
export const boat = outlineFeature('boat', 'hull', { height: 1.6, porosity: 0.3 });
