import { isInside, signedArea, type FlatPoints } from '../math';

/** Water of one depth: its outline, and the depth at level nought, m; negative where it dries. */
export interface DepthArea {
  readonly outline: FlatPoints;
  readonly depth: number;
}

/** One depth that was found at a spot, m; negative where it dries. */
export interface Sounding {
  readonly x: number;
  readonly y: number;
  readonly depth: number;
}

/** The bottom of a stretch of water: areas from the smallest to the largest, and what is known outside them. */
export interface Bottom {
  readonly charted: readonly Charted[];
  readonly loose: readonly Sounding[];
  /** Depth where nothing else tells it, m. */
  readonly elsewhere: number;
}

/** An area with the box round it and the soundings in it. */
interface Charted {
  readonly outline: FlatPoints;
  readonly depth: number;
  readonly box: readonly [number, number, number, number];
  readonly soundings: Sounding[];
}

/** What counts as deep where nothing is known, m: finite, so that it can be put into a mean. */
export const DEEP_M = 1000;

/** Areas from the smallest to the largest, each with the soundings in it; those outside all in `loose`. */
function sorted(
  areas: readonly DepthArea[],
  soundings: readonly Sounding[],
): { readonly charted: readonly Charted[]; readonly loose: readonly Sounding[] } {
  const size = ({ outline }: DepthArea) => Math.abs(signedArea(outline));
  const charted = areas
    .toSorted((a, b) => size(a) - size(b))
    .map(({ outline, depth }): Charted => {
      const xs = outline.filter((_, i) => i % 2 === 0);
      const ys = outline.filter((_, i) => i % 2 === 1);
      const box = [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)] as const;
      return { outline, depth, box, soundings: [] };
    });
  const loose: Sounding[] = [];
  for (const s of soundings) (holding(charted, s.x, s.y)?.soundings ?? loose).push(s);
  return { charted, loose };
}

function holding(charted: readonly Charted[], x: number, y: number): Charted | null {
  for (const area of charted) {
    const [west, south, east, north] = area.box;
    if (x < west || x > east || y < south || y > north) continue;
    if (isInside(area.outline, x, y)) return area;
  }
  return null;
}

function weighted(soundings: readonly Sounding[], x: number, y: number): number {
  let sum = 0;
  let weights = 0;
  for (const s of soundings) {
    const d2 = (s.x - x) * (s.x - x) + (s.y - y) * (s.y - y);
    if (d2 < 1e-6) return s.depth;
    sum += s.depth / d2;
    weights += 1 / d2;
  }
  return sum / weights;
}

/** The bottom of a stretch of water; null where nothing of it is known. `elsewhere` is the depth outside all areas, m. */
export function bottomOf(
  areas: readonly DepthArea[],
  soundings: readonly Sounding[],
  elsewhere: number = DEEP_M,
): Bottom | null {
  if (areas.length === 0 && soundings.length === 0) return null;
  return { ...sorted(areas, soundings), elsewhere: Math.min(DEEP_M, elsewhere) };
}

/**
 * The depth charted at a place, m: of the smallest area that holds it; where that has soundings in it, or where no area holds it and
 * there are soundings outside all areas, by the inverse square of the distance to those; otherwise that of elsewhere. It steps at
 * the edge of an area.
 */
export function depthOver(bottom: Bottom, x: number, y: number): number {
  const area = holding(bottom.charted, x, y);
  const among = area ? area.soundings : bottom.loose;
  if (among.length > 0) return weighted(among, x, y);
  return area ? area.depth : bottom.elsewhere;
}
