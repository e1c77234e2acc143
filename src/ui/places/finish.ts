import { mooredOutline, toCentimetres, type Berth, type Place } from '@/document';
import { drawn, freeName, liesOn } from './edit';
import type { XY } from './snap';
import type { Tool } from './store';

const CALLED: Readonly<Record<string, string>> = { groundLine: 'ground line' };
export const kindWords = (kind: string) => CALLED[kind] ?? kind;

/** What comes of the points put with a tool: another place and what was made, or why nothing did. */
export type Made = { readonly place: Place; readonly id: string } | { readonly why: string };

/** Points a tool needs before something comes of them by itself; null for as many as one likes. */
export function pointsFor(tool: Tool): number | null {
  switch (tool.is) {
    case 'spot':
    case 'boat':
      return 1;
    case 'berth':
      return 2;
    default:
      return null;
  }
}

export function finish(place: Place, tool: Tool, points: readonly XY[]): Made {
  switch (tool.is) {
    case 'outline': {
      if (points.length < 3) return { why: 'an outline has at least three corners' };
      const named = freeName(place, tool.kind);
      const feature = drawn(tool.kind, points, named, '');
      return { place: { ...place, features: [...place.features, feature] }, id: named.id };
    }
    case 'spot': {
      const tail = place.features.find(({ kind }) => kind === 'bollard')?.name;
      if (tool.kind === 'groundLine' && !tail)
        return { why: 'a ground line is tied to a bollard; put one first' };
      const named = freeName(place, kindWords(tool.kind));
      const feature = drawn(tool.kind, points, named, tail ?? '');
      return { place: { ...place, features: [...place.features, feature] }, id: named.id };
    }
    case 'boat': {
      const named = freeName(place, 'boat');
      const outline_m = mooredOutline(points[0]!, tool.length, tool.beam, tool.heading);
      const feature = { kind: 'boat' as const, ...named, outline_m };
      return { place: { ...place, features: [...place.features, feature] }, id: named.id };
    }
    case 'berth': {
      const [a, b] = [points[0]!, points[1]!];
      if (Math.hypot(b[0] - a[0], b[1] - a[1]) < 2) return { why: 'a berth is at least 2 m long' };
      const on = liesOn(place, [a, b]);
      if (on.length === 0)
        return { why: 'a berth lies along a quay, a pontoon or a wall; put its ends on one' };
      const named = freeName(place, 'berth');
      const end = ([x, y]: XY): [number, number] => [toCentimetres(x), toCentimetres(y)];
      const berth: Berth = {
        kind: 'alongside',
        ...named,
        edge_m: [end(a), end(b)],
        on,
        height_m: 0.5,
      };
      return { place: { ...place, berths: [...place.berths, berth] }, id: named.id };
    }
    default:
      return { why: '' };
  }
}
