import { z } from 'zod';
import type { Windbreak } from '@/core/air';
import type { Obstacle } from '@/core/holding';
import type { LineEnd } from '@/core/plan';
import { bank } from './bank';
import { boat } from './boat';
import { bollard } from './bollard';
import { building } from './building';
import { buoy } from './buoy';
import { placeOf, type Placed } from './definition';
import { gate } from './gate';
import { groundLine } from './ground-line';
import { ladder } from './ladder';
import { mark } from './mark';
import { pile } from './pile';
import { pontoon } from './pontoon';
import { quay } from './quay';
import { sounding } from './sounding';
import { listed } from '../fields';

/** Every kind of feature there is, by its name. */
export const FEATURES = {
  quay,
  pontoon,
  bank,
  boat,
  building,
  gate,
  pile,
  bollard,
  buoy,
  ladder,
  groundLine,
  sounding,
  mark,
} as const;

type Features = typeof FEATURES;
export type FeatureKind = keyof Features;
export type FeatureOf<K extends FeatureKind> = z.infer<Features[K]['schema']>;
export type Feature = { [K in FeatureKind]: FeatureOf<K> }[FeatureKind];

const schemas = Object.values(FEATURES).map(({ schema }) => schema);

export const featureSchema = z.discriminatedUnion('kind', schemas as never, {
  error: `kind is ${listed(Object.keys(FEATURES))}`,
}) as unknown as z.ZodType<Feature>;

/** A kind as its users have to know it when they do not know which it is. */
interface AnyDefinition {
  readonly shape: 'point' | 'outline';
  readonly keys: readonly string[];
  readonly named?: boolean;
  readonly fixed?: 'itself' | 'corners';
  obstacle?(feature: Feature): Obstacle;
  lineEnd?(feature: Feature, all: readonly Placed[]): LineEnd;
  windbreak?(feature: Feature): Windbreak | null;
  stands?(feature: Feature, over_m: number, all: readonly Placed[]): Feature;
  problem?(
    feature: Feature,
    all: readonly Placed[],
  ): { readonly key: string; readonly message: string } | null;
}

export const definitionOf = (kind: FeatureKind): AnyDefinition =>
  FEATURES[kind] as unknown as AnyDefinition;

/** Everything of them that a boat can touch. */
export const obstaclesOf = (features: readonly Feature[]): Obstacle[] =>
  features.flatMap((one) => definitionOf(one.kind).obstacle?.(one) ?? []);

/** What a line can be made on to: bollards, cleats and rings, piles, buoys, and ground lines. */
export const lineEndsOf = (features: readonly Feature[]): LineEnd[] =>
  features.flatMap((one) => definitionOf(one.kind).lineEnd?.(one, features) ?? []);

/** What of them keeps the wind off. */
export const windbreaksAmong = (features: readonly Feature[]): Windbreak[] =>
  features.flatMap((one) => definitionOf(one.kind).windbreak?.(one) ?? []);

/** One of them where the water stands so much higher than the place's nought, m. */
export const featureStanding = (one: Feature, over_m: number, all: readonly Feature[]): Feature =>
  definitionOf(one.kind).stands?.(one, over_m, all) ?? one;

interface Spot {
  readonly name: string;
  readonly x: number;
  readonly y: number;
}

/** What a cue can be about by its one point. */
export const namedSpots = (features: readonly Feature[]): Spot[] =>
  features.flatMap((one) => (definitionOf(one.kind).named && 'x_m' in one ? [placeOf(one)] : []));

const POINTS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const;

type Corner = readonly [number, number];

/** Some corners of an outline, each by the point of the compass it lies to from the middle; of two that lie to the same one the later is numbered. */
function cornersBy(
  name: string,
  outline: readonly Corner[],
  what: 'corner' | 'end',
  which: readonly Corner[] = outline,
): Spot[] {
  const n = outline.length;
  const [mx, my] = outline.reduce<Corner>(([x, y], [a, b]) => [x + a / n, y + b / n], [0, 0]);
  const seen = new Map<string, number>();
  return which.map(([x, y]) => {
    const eighth = Math.round((4 * Math.atan2(x - mx, y - my)) / Math.PI);
    const point = POINTS[(eighth + 8) % 8]!;
    const before = seen.get(point) ?? 0;
    seen.set(point, before + 1);
    return { name: `${name}, ${point} ${what}${before > 0 ? ` ${before + 1}` : ''}`, x, y };
  });
}

/** What stands where it is and can be seen: marks, bollards, piles, and corners of what is built. */
export const fixedSpots = (features: readonly Feature[]): Spot[] =>
  features.flatMap((one) => {
    const { fixed } = definitionOf(one.kind);
    if (fixed === undefined) return [];
    return 'x_m' in one ? [placeOf(one)] : cornersBy(one.name, one.outline_m, 'corner');
  });

/** The two corners of an outline that are furthest from one another. */
function endsOf(outline: readonly Corner[]): Corner[] {
  let furthest = -1;
  let ends: Corner[] = [];
  outline.forEach((a, i) =>
    outline.slice(i + 1).forEach((b) => {
      const apart = Math.hypot(a[0] - b[0], a[1] - b[1]);
      if (apart > furthest) [furthest, ends] = [apart, [a, b]];
    }),
  );
  return ends;
}

/** Corners of what is built and ends of boats that lie there: what a helm lines up by where nothing is put up for it. */
export const cornerSpots = (features: readonly Feature[]): Spot[] =>
  features.flatMap((one) => {
    if (!('outline_m' in one)) return [];
    if (one.kind === 'boat')
      return cornersBy(one.name, one.outline_m, 'end', endsOf(one.outline_m));
    return definitionOf(one.kind).fixed ? cornersBy(one.name, one.outline_m, 'corner') : [];
  });
