import {
  definitionOf,
  idFrom,
  isAreaKind,
  toCentimetres,
  type Area,
  type Berth,
  type Feature,
  type Place,
  type PlaceTransit,
} from '@/document';
import { viewOfArea } from './areas';
import type { Thing } from './hit';
import { onSegment, type XY } from './snap';

export const isBerth = (thing: Thing): thing is Berth => 'edge_m' in thing;
export const isTransit = (thing: Thing): thing is PlaceTransit => 'front' in thing;
export const isArea = (thing: Thing): thing is Area => 'kind' in thing && isAreaKind(thing.kind);

const LISTS = ['features', 'berths', 'areas', 'transits'] as const;
export const thingsOf = (place: Place): readonly Thing[] =>
  LISTS.flatMap((list): readonly Thing[] => place[list]);

export const thingOf = (place: Place, id: string | null): Thing | null =>
  thingsOf(place).find((one) => one.id === id) ?? null;

/** Corners of a thing: of an outline, the ends of a berth, or the place of a single thing; a transit has none of its own. */
export function cornersOf(thing: Thing): readonly XY[] {
  if (isTransit(thing)) return [];
  if (isBerth(thing)) return thing.edge_m;
  if ('outline_m' in thing) return thing.outline_m;
  return [[thing.x_m, thing.y_m]];
}

/** Corners of what says where a place is: of what is built, moored and worked, as banks run on for ever; of all, where that is nothing. */
export function gistOf({ features, berths, areas }: Place): readonly XY[] {
  const told = features.filter(({ kind }) => kind === 'pontoon' || kind === 'boat');
  const worked = areas.filter(({ kind }) => viewOfArea(kind).gist);
  const gist = [...told, ...worked];
  return (gist.length > 0 ? [...gist, ...berths] : features).flatMap(cornersOf);
}

/** The same with its corners elsewhere. */
export function withCorners<T extends Thing>(thing: T, corners: readonly XY[]): T {
  const points = corners.map(([x, y]): [number, number] => [toCentimetres(x), toCentimetres(y)]);
  if (isTransit(thing)) return thing;
  if (isBerth(thing)) return { ...thing, edge_m: [points[0]!, points[1]!] };
  if ('outline_m' in thing) return { ...thing, outline_m: points };
  return { ...thing, x_m: points[0]![0], y_m: points[0]![1] };
}

/** An outline with one more corner, in the middle of the edge after a corner. */
export function withCornerAfter<T extends Thing>(thing: T, corner: number): T {
  const corners = cornersOf(thing);
  const [ax, ay] = corners[corner]!;
  const [bx, by] = corners[(corner + 1) % corners.length]!;
  const middle: XY = [(ax + bx) / 2, (ay + by) / 2];
  return withCorners(thing, [
    ...corners.slice(0, corner + 1),
    middle,
    ...corners.slice(corner + 1),
  ]);
}

/** An outline without one of its corners; null where too few would be left. */
export function withoutCorner<T extends Thing>(thing: T, corner: number): T | null {
  const corners = cornersOf(thing);
  if (isBerth(thing) || corners.length <= 3) return null;
  return withCorners(
    thing,
    corners.filter((_, i) => i !== corner),
  );
}

export const moved = <T extends Thing>(thing: T, dx: number, dy: number): T =>
  withCorners(
    thing,
    cornersOf(thing).map(([x, y]): XY => [x + dx, y + dy]),
  );

/** The same place with one thing of it changed. */
export function replaced(place: Place, thing: Thing): Place {
  const among = <T extends Thing>(list: readonly T[], by: T): T[] =>
    list.map((one) => (one.id === by.id ? by : one));
  if (isBerth(thing)) return { ...place, berths: among(place.berths, thing) };
  if (isTransit(thing)) return { ...place, transits: among(place.transits, thing) };
  if (isArea(thing)) return { ...place, areas: among(place.areas, thing) };
  return { ...place, features: among(place.features, thing) };
}

/** Without a thing; ground lines that were tied to it go too, transits it was one of, and berths that lay on nothing else. */
export function without(place: Place, id: string): Place {
  const gone = place.features.find((f) => f.id === id);
  return {
    ...place,
    features: place.features.filter(
      (f) => f.id !== id && !(f.kind === 'groundLine' && f.tail === gone?.name),
    ),
    areas: place.areas.filter((a) => a.id !== id),
    transits: place.transits.filter(
      (t) => t.id !== id && t.front !== gone?.name && t.back !== gone?.name,
    ),
    berths: place.berths.flatMap((berth) => {
      if (berth.id === id) return [];
      const on = berth.on.filter((one) => one !== id);
      return on.length === 0 ? [] : [on.length === berth.on.length ? berth : { ...berth, on }];
    }),
  };
}

/** A name with a number that nothing on the place has, and an id made of it. */
export function freeName(
  place: Place,
  kind: string,
): { readonly id: string; readonly name: string } {
  const things = thingsOf(place);
  for (let n = 1; ; n++) {
    const name = `${kind} ${n}`;
    const id = name.toLowerCase().replace(/[^a-z0-9]+/g, '-');
    if (!things.some((one) => one.name === name || one.id === id)) return { id, name };
  }
}

/** A name nothing on the place has: the one wished, or with a number behind it. */
export function freeNameFrom(place: Place, wish: string): string {
  const taken = new Set(thingsOf(place).map(({ name }) => name));
  for (let n = 1; ; n++) {
    const name = n === 1 ? wish : `${wish} ${n}`;
    if (!taken.has(name)) return name;
  }
}

/** An id nothing on the place has, made of a name. */
export function freeId(place: Place, name: string): string {
  const taken = new Set(thingsOf(place).map(({ id }) => id));
  const wish = idFrom(name, 'object');
  for (let n = 1; ; n++) {
    const id = n === 1 ? wish : `${wish}-${n}`;
    if (!taken.has(id)) return id;
  }
}

const ON_M = 0.6;

/** Things an edge lies on, the nearest to its middle first. */
export function liesOn(place: Place, [a, b]: readonly [XY, XY]): string[] {
  const middle: XY = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
  const spots = [a, middle, b];
  return place.features
    .flatMap((f) => {
      if (!('outline_m' in f) || f.kind === 'boat') return [];
      const off = Math.min(...spots.map((at) => fromRing(f.outline_m, at)));
      return off <= ON_M ? [{ id: f.id, off: fromRing(f.outline_m, middle) }] : [];
    })
    .sort((p, q) => p.off - q.off)
    .slice(0, 6)
    .map(({ id }) => id);
}

function fromRing(ring: readonly XY[], at: XY): number {
  return Math.min(
    ...ring.map((a, i) => {
      const on = onSegment(a, ring[(i + 1) % ring.length]!, at);
      return Math.hypot(on[0] - at[0], on[1] - at[1]);
    }),
  );
}

/** The same with the way up-stream of a lock turned, degrees clockwise. */
function withCurrentTurned<T extends Thing>(thing: T, by_deg: number): T {
  if (!('kind' in thing) || thing.kind !== 'lock' || thing.working?.upstream_deg === undefined)
    return thing;
  const upstream_deg = (((thing.working.upstream_deg + by_deg) % 360) + 360) % 360;
  return { ...thing, working: { ...thing.working, upstream_deg } };
}

/** Turned round its middle, degrees clockwise. */
export function turned<T extends Thing>(thing: T, by_deg: number): T {
  const corners = cornersOf(thing);
  const [mx, my] = middleOf(corners);
  const s = Math.sin((by_deg * Math.PI) / 180);
  const c = Math.cos((by_deg * Math.PI) / 180);
  return withCorners(
    withCurrentTurned(thing, by_deg),
    corners.map(([x, y]): XY => {
      const [dx, dy] = [x - mx, y - my];
      return [mx + dx * c + dy * s, my - dx * s + dy * c];
    }),
  );
}

/** Middle of the box round some corners. */
export function middleOf(corners: readonly XY[]): XY {
  const xs = corners.map(([x]) => x);
  const ys = corners.map(([, y]) => y);
  return [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2];
}

/** Water drawn by its corners. */
export function drawnArea(
  kind: Area['kind'],
  corners: readonly XY[],
  named: { readonly id: string; readonly name: string },
): Area {
  const outline_m = corners.map(([x, y]): [number, number] => [toCentimetres(x), toCentimetres(y)]);
  return { kind, ...named, outline_m, ...viewOfArea(kind).fresh() } as Area;
}

/** A feature of a kind, drawn by its corners, with what it has of its own. */
export function drawn(
  kind: Feature['kind'],
  corners: readonly XY[],
  named: { readonly id: string; readonly name: string },
  own: Readonly<Record<string, unknown>>,
): Feature {
  const points = corners.map(([x, y]): [number, number] => [toCentimetres(x), toCentimetres(y)]);
  const [x_m, y_m] = points[0]!;
  const at = definitionOf(kind).shape === 'outline' ? { outline_m: points } : { x_m, y_m };
  return { kind, ...named, ...at, ...own } as Feature;
}
