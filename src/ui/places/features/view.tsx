import type { ComponentType } from 'react';
import { signedArea } from '@/core/math';
import type { Feature, FeatureKind, FeatureOf, Place } from '@/document';
import { ring, type Shape } from '../../plot/shapes';
import type { Units } from '../../words/units';

/** Pixels in a metre below which names would crowd. */
export const LAND_FROM = 1.5;
export const BOATS_FROM = 4.5;
export const MARKS_FROM = 11;
/** Less than so much of a pontoon is a finger, m². */
const FINGER_M2 = 30;

export interface Drawing {
  /** Metres in a pixel. */
  readonly px: number;
  readonly all: readonly Feature[];
}

export interface FieldsProps<K extends FeatureKind> {
  readonly feature: FeatureOf<K>;
  readonly place: Place;
  change(part: Partial<Feature>): void;
}

/** How a kind of feature looks: its words, its drawing, its fields. What it is stands in document/features. */
export interface FeatureView<K extends FeatureKind> {
  /** "ground line"; names of new ones are made of it. */
  readonly words: string;
  /** Is there a tool that draws one? */
  readonly offered: boolean;
  /** Those lowest are drawn first. */
  readonly layer: number;
  /** Drawn in pictures of a place as well, where only what tells where one is is wanted. */
  readonly inPictures: boolean;
  readonly draw: (feature: FeatureOf<K>, about: Drawing) => readonly Shape[];
  /** Pixels in a metre from which on it is named. */
  readonly namedFrom: (feature: FeatureOf<K>) => number;
  /** What stands on the water for it, if not its name. */
  readonly label?: (feature: FeatureOf<K>, units: Units) => string;
  /** What one just drawn has of its own, or why none can be. */
  readonly fresh?: (place: Place) => Readonly<Record<string, unknown>> | { readonly why: string };
  readonly Fields?: ComponentType<FieldsProps<K>>;
}

type SolidKind = Extract<Feature, { outline_m: unknown }>['kind'];
type Outlined = Extract<Feature, { outline_m: unknown }>;

/** One with an outline, painted as a whole. */
export const outlined = <K extends SolidKind>(
  words: K,
  layer: number,
  paint: Parameters<typeof ring>[1],
  rest: Partial<FeatureView<K>> = {},
): FeatureView<K> => ({
  words,
  offered: true,
  layer,
  inPictures: true,
  draw: (feature) => [ring((feature as Outlined).outline_m, paint)],
  namedFrom: (feature) =>
    Math.abs(signedArea(Float64Array.from((feature as Outlined).outline_m.flat()))) < FINGER_M2
      ? MARKS_FROM
      : LAND_FROM,
  ...rest,
});

type SpotKind = Exclude<FeatureKind, SolidKind>;

/** What all that stand in one place have in common, over all that has an outline. */
export const spotted = <K extends SpotKind>(
  words: string,
  draw: FeatureView<K>['draw'],
  rest: Partial<FeatureView<K>> = {},
): FeatureView<K> => ({
  words,
  offered: true,
  layer: 10,
  inPictures: false,
  draw,
  namedFrom: () => MARKS_FROM,
  ...rest,
});
