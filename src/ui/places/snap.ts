import { toCentimetres, type Place } from '@/document';

export type XY = readonly [number, number];

/** What a point was drawn to, in words; null where it stays where it was put. */
export interface Snapped {
  readonly at: XY;
  readonly to: 'corner' | 'edge' | 'right angle' | 'parallel' | 'grid';
}

/** Drawn to what is within so many pixels, and to directions within so many degrees. */
const NEAR_PX = 10;
const NEAR_DEG = 4;
/** Else to the decimetre. */
const GRID_M = 0.1;

const outlines = ({ features }: Place) =>
  features.flatMap((f) => ('outline_m' in f ? [f.outline_m] : []));

function edgesOf(place: Place): (readonly [XY, XY])[] {
  return outlines(place).flatMap((ring) =>
    ring.map((a, i) => [a, ring[(i + 1) % ring.length]!] as const),
  );
}

function nearestCorner(place: Place, [x, y]: XY, within: number): XY | null {
  let best: XY | null = null;
  let least = within;
  const look = (at: XY) => {
    const far = Math.hypot(at[0] - x, at[1] - y);
    if (far > least) return;
    least = far;
    best = at;
  };
  for (const ring of outlines(place)) ring.forEach(look);
  for (const f of place.features) if ('x_m' in f) look([f.x_m, f.y_m]);
  return best;
}

export function onSegment([ax, ay]: XY, [bx, by]: XY, [x, y]: XY): XY {
  const [dx, dy] = [bx - ax, by - ay];
  const long = dx * dx + dy * dy;
  const share = long > 0 ? Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / long)) : 0;
  return [ax + share * dx, ay + share * dy];
}

function nearestEdge(place: Place, at: XY, within: number): XY | null {
  let best: XY | null = null;
  let least = within;
  for (const [a, b] of edgesOf(place)) {
    const on = onSegment(a, b, at);
    const far = Math.hypot(on[0] - at[0], on[1] - at[1]);
    if (far > least) continue;
    least = far;
    best = on;
  }
  return best;
}

const bearing = ([ax, ay]: XY, [bx, by]: XY) => (Math.atan2(bx - ax, by - ay) * 180) / Math.PI;

/** Degrees from one direction to another as lines, that is to the nearest of the two ways; −90 to 90. */
const between = (a: number, b: number) => ((((b - a + 90) % 180) + 180) % 180) - 90;

/**
 * Where a point put on the plan comes to be: at a corner or on an edge close by, else square or parallel to the leg
 * before or to an edge of the place, else on the decimetre.
 *
 * @param before the corner drawn last, and the one before it
 * @param scale pixels in a metre
 */
export function snap(place: Place, at: XY, before: readonly XY[], scale: number): Snapped {
  const within = NEAR_PX / scale;
  const corner = nearestCorner(place, at, within) ?? nearTo(before[0], at, within);
  if (corner) return { at: corner, to: 'corner' };
  const edge = nearestEdge(place, at, within);
  if (edge) return { at: [toCentimetres(edge[0]), toCentimetres(edge[1])], to: 'edge' };
  const last = before.at(-1);
  if (last) {
    const along = direction(place, before, bearing(last, at));
    if (along) {
      const long = Math.hypot(at[0] - last[0], at[1] - last[1]);
      const rad = (along.bearing * Math.PI) / 180;
      const metres = Math.round(long / GRID_M) * GRID_M;
      return {
        at: [
          toCentimetres(last[0] + metres * Math.sin(rad)),
          toCentimetres(last[1] + metres * Math.cos(rad)),
        ],
        to: along.to,
      };
    }
  }
  return { at: [onGrid(at[0]), onGrid(at[1])], to: 'grid' };
}

function nearTo(corner: XY | undefined, at: XY, within: number): XY | null {
  return corner && Math.hypot(corner[0] - at[0], corner[1] - at[1]) <= within ? corner : null;
}

/** A direction close to one that is square or parallel to something. */
function direction(
  place: Place,
  before: readonly XY[],
  wished: number,
): { readonly bearing: number; readonly to: 'right angle' | 'parallel' } | null {
  const [last, other] = [before.at(-1), before.at(-2)];
  const turned = (ref: number): { bearing: number; to: 'right angle' | 'parallel' } | null => {
    for (const [add, to] of [
      [90, 'right angle'],
      [0, 'parallel'],
    ] as const) {
      const off = between(ref + add, wished);
      if (Math.abs(off) <= NEAR_DEG) return { bearing: wished - off, to };
    }
    return null;
  };
  if (last && other) {
    const found = turned(bearing(other, last));
    if (found) return found;
  }
  for (const [a, b] of edgesOf(place)) {
    const found = turned(bearing(a, b));
    if (found) return found;
  }
  return null;
}

const onGrid = (metres: number) => toCentimetres(Math.round(metres / GRID_M) * GRID_M);
