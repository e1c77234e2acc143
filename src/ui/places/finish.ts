import {
  mooredOutline,
  toCentimetres,
  type AreaKind,
  type Berth,
  type FeatureKind,
  type Place,
} from '@/document';
import { viewOfArea } from './areas';
import { drawn, drawnArea, freeName, liesOn } from './edit';
import { isFeatureKind, viewOfFeature } from './features';
import type { XY } from './snap';
import type { Tool } from './store';

export const kindWords = (kind: FeatureKind | AreaKind): string =>
  isFeatureKind(kind) ? viewOfFeature(kind).words : viewOfArea(kind).words;

const isRefusal = (own: object): own is { readonly why: string } => 'why' in own;

/** What comes of the points put with a tool: another place and what was made, or why nothing did. */
export type Made = { readonly place: Place; readonly id: string } | { readonly why: string };

/** Points a tool needs before something comes of them by itself; null for as many as one likes. */
export function pointsFor(tool: Tool): number | null {
  switch (tool.is) {
    case 'spot':
    case 'boat':
      return 1;
    case 'berth':
    case 'transit':
      return 2;
    default:
      return null;
  }
}

/** How near a press has to be to something to mean it, m. */
const MEANT_M = 4;

function nearestSpot(place: Place, [x, y]: XY): string | undefined {
  const spots = place.features.flatMap((f) =>
    'x_m' in f ? [{ name: f.name, off: Math.hypot(f.x_m - x, f.y_m - y) }] : [],
  );
  const nearest = spots.sort((a, b) => a.off - b.off)[0];
  return nearest && nearest.off <= MEANT_M ? nearest.name : undefined;
}

/** A deck laid down with its middle at a place, the boat's bow so, degrees. */
function deckAt(
  [x, y]: XY,
  deck: readonly (readonly [number, number])[],
  heading_deg: number,
): [number, number][] {
  const s = Math.sin((heading_deg * Math.PI) / 180);
  const c = Math.cos((heading_deg * Math.PI) / 180);
  return deck.map(([ahead, across]) => [
    toCentimetres(x + ahead * s + across * c),
    toCentimetres(y + ahead * c - across * s),
  ]);
}

export function finish(place: Place, tool: Tool, points: readonly XY[]): Made {
  switch (tool.is) {
    case 'outline': {
      if (points.length < 3) return { why: 'an outline has at least three corners' };
      const named = freeName(place, tool.kind);
      const feature = drawn(tool.kind, points, named, {});
      return { place: { ...place, features: [...place.features, feature] }, id: named.id };
    }
    case 'area': {
      if (points.length < 3) return { why: 'an outline has at least three corners' };
      const named = freeName(place, kindWords(tool.kind));
      const area = drawnArea(tool.kind, points, named);
      return { place: { ...place, areas: [...place.areas, area] }, id: named.id };
    }
    case 'transit': {
      const [front, back] = points.map((at) => nearestSpot(place, at));
      if (!front || !back || front === back)
        return { why: 'a transit is two marks in line; press one, then the one behind it' };
      const named = freeName(place, 'transit');
      const transit = { ...named, front, back };
      return { place: { ...place, transits: [...place.transits, transit] }, id: named.id };
    }
    case 'spot': {
      const own = viewOfFeature(tool.kind).fresh?.(place) ?? {};
      if (isRefusal(own)) return own;
      const named = freeName(place, kindWords(tool.kind));
      const feature = drawn(tool.kind, points, named, own);
      return { place: { ...place, features: [...place.features, feature] }, id: named.id };
    }
    case 'boat': {
      const named = freeName(place, tool.boat?.name ?? 'boat');
      const { boat } = tool;
      const outline_m = boat
        ? deckAt(points[0]!, boat.deck, tool.heading)
        : mooredOutline(points[0]!, tool.length, tool.beam, tool.heading);
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
