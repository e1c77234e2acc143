import { z } from 'zod';
import { nearestOnPolygon } from '@/core/math';
import { solidObstacle, type Obstacle, type Surface } from '@/core/holding';
import type { Windbreak } from '@/core/air';
import type { LineEnd } from '@/core/plan';
import { oneOf, extra, id, shortText, within } from '../fields';
import { cornersFlat, outline } from '../outline';

/**
 * What stands or lies about on a place, one file a kind: what it has of its own, and what boats, lines, cues and files make of
 * it. How it looks is ui/places/features.
 */

/** Any feature, as far as others have to know it. */
export interface Placed {
  readonly kind: string;
  readonly id: string;
  readonly name: string;
  readonly x_m?: number;
  readonly y_m?: number;
  readonly outline_m?: readonly (readonly [number, number])[];
}

const common = { id, name: shortText, extra };

/** Where a single point stands, m east and north. */
const spot = { x_m: within(-20000, 20000, 'm'), y_m: within(-20000, 20000, 'm') };

type Own = Readonly<Record<string, z.ZodType>>;

const pointSchema = <K extends string, O extends Own>(kind: K, own: O) =>
  z.strictObject({ kind: z.literal(kind), ...common, ...spot, ...own });

interface PointAt {
  readonly name: string;
  readonly x_m: number;
  readonly y_m: number;
}

/** What others make of a feature; each may be left out. */
interface Uses<F> {
  /** What a boat can touch of it. */
  obstacle?(feature: F): Obstacle;
  /** What a line is made on to. */
  lineEnd?(feature: F, all: readonly Placed[]): LineEnd;
  /** Can a cue, an order or a goal name it? */
  readonly named?: boolean;
  /** Does it stand where it is, so that a bearing can be taken on it, or on its corners? */
  readonly fixed?: 'itself' | 'corners';
  /** What it keeps off of the wind; null if that is nothing. */
  windbreak?(feature: F): Windbreak | null;
  /** The same where the water stands so much higher than the place's nought, m. */
  stands?(feature: F, over_m: number, all: readonly Placed[]): F;
  /** What is amiss with it among the others; null if nothing is. */
  problem?(
    feature: F,
    all: readonly Placed[],
  ): { readonly key: string; readonly message: string } | null;
}

/** A kind of feature: its schema, what a file has of it, and what others make of it. */
interface Definition<K extends string, F> extends Uses<F> {
  readonly kind: K;
  readonly shape: 'point' | 'outline';
  /** Keys of its own, beside name and place: those a file of another format carries too. */
  readonly keys: readonly string[];
}

/** One that stands in a single place. */
export function pointFeature<K extends string, O extends Own>(
  kind: K,
  own: O,
  uses: Uses<z.infer<ReturnType<typeof pointSchema<K, O>>>> = {},
) {
  const schema = pointSchema(kind, own);
  type F = z.infer<typeof schema>;
  const definition: Definition<K, F> = { kind, shape: 'point', keys: Object.keys(own), ...uses };
  return { ...definition, schema };
}

export const surfaceKind = oneOf(['stone', 'timber', 'fendered', 'earth', 'hull']);
type SurfaceKind = z.infer<typeof surfaceKind>;

/** Friction of a boat on fenders or hull along a face, and the face's own stiffness (judgement, ±50 %). */
export const SURFACES: Readonly<Record<SurfaceKind, Surface>> = {
  stone: { friction: 0.4, stiffness: 5e6 },
  timber: { friction: 0.35, stiffness: 1e6 },
  fendered: { friction: 0.35, stiffness: 2e5 },
  earth: { friction: 0.6, stiffness: 5e5 },
  hull: { friction: 0.3, stiffness: 5e5 },
};

const solid = {
  outline_m: outline,
  surface: surfaceKind.optional(),
  /** Over the water: what is lower than a deck's edge is met by the side under it, and hung over; and the wind it keeps off. */
  height_m: within(0.1, 200, 'm').optional(),
};

const outlineSchema = <K extends string>(kind: K) =>
  z.strictObject({ kind: z.literal(kind), ...common, ...solid });

interface OutlineUses extends Partial<Omit<Windbreak, 'outline'>> {
  readonly fixed?: 'corners';
  /** Does it rise and fall with the water, so that its height over it stays? */
  readonly floats?: boolean;
}

/**
 * One with an outline, that boats touch. Its height and porosity are what it keeps the wind off by, where a place does not tell them.
 *
 * @param usual what its face mostly is
 */
export function outlineFeature<K extends string>(
  kind: K,
  usual: SurfaceKind,
  { fixed, floats, height: usually, porosity = 0 }: OutlineUses = {},
) {
  const schema = outlineSchema(kind);
  type Solid = z.infer<ReturnType<typeof outlineSchema<string>>>;
  const uses: Uses<Solid> = {
    obstacle: ({ id: of, name, outline_m, surface, height_m }) =>
      solidObstacle(of, name, cornersFlat(outline_m), SURFACES[surface ?? usual], height_m),
    windbreak({ outline_m, height_m }) {
      const height = height_m ?? usually;
      return height ? { outline: cornersFlat(outline_m), height, porosity } : null;
    },
    stands: (feature, over_m) =>
      floats || feature.height_m === undefined
        ? feature
        : { ...feature, height_m: Math.max(0.1, feature.height_m - over_m) },
  };
  const definition: Definition<K, z.infer<typeof schema>> = {
    kind,
    shape: 'outline',
    keys: ['surface', 'height_m'],
    ...(fixed ? { fixed } : {}),
    ...(uses as unknown as Uses<z.infer<typeof schema>>),
  };
  return { ...definition, schema };
}

/** A point by its name, as the core has it. */
export const placeOf = ({ name, x_m, y_m }: PointAt) => ({ name, x: x_m, y: y_m });

/** Is a place on a pontoon, or within a hand's breadth of one? */
export function isAfloat(all: readonly Placed[], x: number, y: number): boolean {
  const near = { x: 0, y: 0, distance: 0 };
  return all.some(({ kind, outline_m }) => {
    if (kind !== 'pontoon' || !outline_m) return false;
    nearestOnPolygon(near, cornersFlat(outline_m), x, y);
    return near.distance < 0.1;
  });
}
