import type { AreaKind } from '@/document';
import { bridge } from './bridge';
import { depth } from './depth';
import { lock } from './lock';
import { trees } from './trees';
import type { AreaView } from './view';
import { zone } from './zone';

/** How every kind of area looks, in the order of the tools that draw them. */
export const AREA_VIEWS: { readonly [K in AreaKind]: AreaView<K> } = {
  depth,
  bridge,
  zone,
  trees,
  lock,
};

/** The view of an area whose kind is not known beforehand. */
export const viewOfArea = (kind: AreaKind): AreaView<AreaKind> =>
  AREA_VIEWS[kind] as unknown as AreaView<AreaKind>;
