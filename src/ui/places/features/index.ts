import type { Feature, FeatureKind } from '@/document';
import type { Shape } from '../../plot/shapes';
import { bank } from './bank';
import { boat } from './boat';
import { bollard } from './bollard';
import { building } from './building';
import { buoy } from './buoy';
import { gate } from './gate';
import { groundLine } from './ground-line';
import { ladder } from './ladder';
import { mark } from './mark';
import { pile } from './pile';
import { pontoon } from './pontoon';
import { quay } from './quay';
import { sounding } from './sounding';
import type { Drawing, FeatureView } from './view';

/** How every kind of feature looks, in the order of the tools that draw them. */
export const FEATURE_VIEWS: { readonly [K in FeatureKind]: FeatureView<K> } = {
  quay,
  bank,
  pontoon,
  building,
  gate,
  boat,
  pile,
  bollard,
  buoy,
  ladder,
  mark,
  groundLine,
  sounding,
};

/** The view of a feature whose kind is not known beforehand. */
export const viewOfFeature = (kind: FeatureKind): FeatureView<FeatureKind> =>
  FEATURE_VIEWS[kind] as unknown as FeatureView<FeatureKind>;

export const isFeatureKind = (kind: string): kind is FeatureKind =>
  Object.hasOwn(FEATURE_VIEWS, kind);

export interface Drawn {
  readonly id: string;
  readonly shapes: readonly Shape[];
}

/** Features as they are drawn, what lies under others first. */
export function drawnFeatures(
  features: readonly Feature[],
  about: Omit<Drawing, 'all'>,
  wanted: (feature: Feature) => boolean = () => true,
): Drawn[] {
  return features
    .filter(wanted)
    .sort((a, b) => viewOfFeature(a.kind).layer - viewOfFeature(b.kind).layer)
    .map((feature) => ({
      id: feature.id,
      shapes: viewOfFeature(feature.kind).draw(feature, { ...about, all: features }),
    }));
}

/** The same for pictures of a place, where only what tells where one is is wanted. */
export const picturedFeatures = (features: readonly Feature[], px: number): Drawn[] =>
  drawnFeatures(features, { px }, ({ kind }) => viewOfFeature(kind).inPictures);
