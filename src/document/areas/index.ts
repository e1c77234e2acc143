import { z } from 'zod';
import type { Windbreak } from '@/core/air';
import type { Zone } from '@/core/plan';
import type { Bridge } from '@/core/simulation';
import { bottomOf, type Bottom } from '@/core/water';
import { cornersFlat } from '../outline';
import { bridge } from './bridge';
import type { AreaUses } from './definition';
import { depth } from './depth';
import { lock } from './lock';
import { trees } from './trees';
import { zone } from './zone';
import { listed } from '../fields';

/** Every kind of area there is, by its name. */
export const AREAS = { depth, bridge, zone, trees, lock } as const;

type Areas = typeof AREAS;
export type AreaKind = keyof Areas;
export type AreaOf<K extends AreaKind> = z.infer<Areas[K]['schema']>;
export type Area = { [K in AreaKind]: AreaOf<K> }[AreaKind];

export const areaSchema = z.discriminatedUnion(
  'kind',
  Object.values(AREAS).map(({ schema }) => schema) as never,
  { error: `kind is ${listed(Object.keys(AREAS))}` },
) as unknown as z.ZodType<Area>;

export const isAreaKind = (kind: string): kind is AreaKind => Object.hasOwn(AREAS, kind);

/** A kind as its users have to know it when they do not know which it is. */
const usesOf = (kind: AreaKind): AreaUses<Area> => AREAS[kind] as unknown as AreaUses<Area>;

/** A depth found at a spot, at level nought. */
interface Sounding {
  readonly x_m: number;
  readonly y_m: number;
  readonly depth_m: number;
}

/**
 * The bottom as far as a place tells it; `elsewhere` is the depth where it does not, m. Null where it tells nothing.
 */
export function bottomOfPlace(
  areas: readonly Area[],
  soundings: readonly Sounding[],
  elsewhere: number | undefined,
): Bottom | null {
  const depths = areas.flatMap((area) => {
    const found = usesOf(area.kind).depth?.(area);
    return found === undefined ? [] : [{ outline: cornersFlat(area.outline_m), depth: found }];
  });
  const spots = soundings.map(({ x_m, y_m, depth_m: found }) => ({ x: x_m, y: y_m, depth: found }));
  return bottomOf(depths, spots, elsewhere);
}

/** Bridges as the core passes under them: room over level nought. */
export const bridgesOf = (areas: readonly Area[]): Bridge[] =>
  areas.flatMap((area) => {
    const over = usesOf(area.kind).bridge?.(area);
    return over ? [{ name: area.name, outline: cornersFlat(area.outline_m), ...over }] : [];
  });

/** Water that is kept out of or gone through slowly. */
export const zonesOf = (areas: readonly Area[]): Zone[] =>
  areas.flatMap((area) => {
    const ruled = usesOf(area.kind).zone?.(area);
    return ruled ? [{ name: area.name, outline: cornersFlat(area.outline_m), ...ruled }] : [];
  });

/** What keeps the wind off without standing in the water. */
export const windbreaksOf = (areas: readonly Area[]): Windbreak[] =>
  areas.flatMap((area) => {
    const kept = usesOf(area.kind).windbreak?.(area);
    return kept ? [{ outline: cornersFlat(area.outline_m), ...kept }] : [];
  });

/** The same where the water stands so much higher than the place's nought, m. */
export const standingHigher = (area: Area, over_m: number): Area =>
  usesOf(area.kind).stands?.(area, over_m) ?? area;
