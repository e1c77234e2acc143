import type { BoatSpec, FenderSpec } from './spec';

/** The boat's side at some height: its outline, and its touch elements where they come to bear there, body axes, m. */
export interface HullShape {
  readonly ring: Float64Array;
  /** Distance of each corner of the ring from the one before it. */
  readonly steps: Float64Array;
  readonly x: Float64Array;
  readonly y: Float64Array;
}

/** Distance of each corner of a ring from the one before it, m. */
export function stepsOf(points: Float64Array): Float64Array {
  return Float64Array.from({ length: points.length / 2 }, (_, i) => {
    const j = (2 * i + points.length - 2) % points.length;
    const dx = points[2 * i]! - points[j]!;
    const dy = points[2 * i + 1]! - points[j + 1]!;
    return Math.sqrt(dx * dx + dy * dy);
  });
}

/** Half breadth of a closed outline at x, m; nought beyond its ends. */
export function halfBreadthAt(ring: Float64Array, x: number): number {
  let most = 0;
  for (let i = 0; i < ring.length; i += 2) {
    const j = (i + 2) % ring.length;
    const ax = ring[i]!;
    const bx = ring[j]!;
    if (Math.min(ax, bx) > x || Math.max(ax, bx) < x) continue;
    const share = ax === bx ? 0 : (x - ax) / (bx - ax);
    const y = ring[i + 1]! + share * (ring[j + 1]! - ring[i + 1]!);
    most = Math.max(most, Math.abs(y), ax === bx ? Math.abs(ring[j + 1]!) : 0);
  }
  return most;
}

const ends = (ring: Float64Array) => {
  const xs = ring.filter((_, i) => i % 2 === 0);
  return [Math.min(...xs), Math.max(...xs)] as const;
};

/**
 * Where on the water a place on the deck's edge comes down to at the waterline: along the boat by the lengths of the two
 * outlines, across by the waterline's breadth there, all hulls counted.
 */
function downToWater({ hull }: BoatSpec): (x: number, y: number) => readonly [number, number] {
  const [deckAft, deckFore] = ends(hull.deck);
  const [aft, fore] = ends(hull.waterline);
  return (x, y) => {
    const wx = aft + ((x - deckAft) / (deckFore - deckAft)) * (fore - aft);
    const half = halfBreadthAt(hull.waterline, wx) + (y === 0 ? 0 : hull.demihullOffset);
    return [wx, Math.sign(y) * Math.min(half, hull.beam)];
  };
}

/** Does a fender hang wholly over the top of something that high? */
export function hangsOver({ height, length }: FenderSpec, top: number): boolean {
  return height !== undefined && height - length / 2 > top;
}

/**
 * The boat's side at a height over the water, by straight lines from the waterline up to the deck's edge: what a pontoon as low
 * as that is met by. At the deck's edge and over it, the deck.
 *
 * @param deck its shape there
 * @param hullCount how many of its elements are hull; fenders behind them hang against the side where it is
 */
export function shapeAt(
  spec: BoatSpec,
  deck: HullShape,
  hullCount: number,
  height: number,
): HullShape {
  const share = Math.max(0, height) / spec.hull.freeboard;
  if (!(share < 1)) return deck;
  const down = downToWater(spec);
  const at = (x: number, y: number): readonly [number, number] => {
    const [wx, wy] = down(x, y);
    return [wx + share * (x - wx), wy + share * (y - wy)];
  };
  const ring = new Float64Array(deck.ring.length);
  for (let i = 0; i < ring.length; i += 2) ring.set(at(deck.ring[i]!, deck.ring[i + 1]!), i);
  const x = deck.x.slice();
  const y = deck.y.slice();
  for (let i = 0; i < x.length; i++) {
    if (i < hullCount) {
      const [ex, ey] = at(x[i]!, y[i]!);
      x[i] = ex;
      y[i] = ey;
      continue;
    }
    const fender = spec.fenders[i - hullCount];
    // A fender comes in by as much as the side does there.
    const side = Math.sign(y[i]!);
    const edge = halfBreadthAt(deck.ring, x[i]!);
    // One that hangs over the top of what the boat meets comes in behind its side, out of the way.
    const over = fender !== undefined && hangsOver(fender, height);
    const inward = edge - Math.abs(at(x[i]!, side * edge)[1]) + (over ? fender.diameter : 0);
    y[i]! -= side * inward;
  }
  return { ring, steps: stepsOf(ring), x, y };
}
