import { polygonHull } from 'd3-polygon';
import type { Run } from '@/core/plan';

/**
 * Metres of travel and radians of turn between hulls of the sweep. Each two are joined by what lies between them, so
 * the edge is off by no more than the sagitta of the boat's arc: 2 cm at ten metres from where it turns.
 */
const STEP_M = 1.5;
const STEP_RAD = 0.12;

type Point = [number, number];

/** The boat's deck laid on the place, (east, north) in m. */
export function deckAt(deck: Float64Array, x: number, y: number, heading: number): Point[] {
  const s = Math.sin(heading);
  const c = Math.cos(heading);
  const points: Point[] = [];
  for (let k = 0; k < deck.length; k += 2)
    points.push([x + deck[k]! * s + deck[k + 1]! * c, y + deck[k]! * c - deck[k + 1]! * s]);
  return points;
}

/** One ring more of a path. */
export function tracePath(
  context: Pick<CanvasRenderingContext2D, 'moveTo' | 'lineTo' | 'closePath'>,
  points: readonly Point[],
): void {
  points.forEach(([x, y], k) => (k === 0 ? context.moveTo(x, y) : context.lineTo(x, y)));
  context.closePath();
}

/**
 * The water the boat's deck passes over in a run, as rings that overlap: each holds the hull at two moments and all between.
 * All wind the same way, so that one path filled by winding is one even tone.
 */
export function sweepRings({ trace }: Run, deck: Float64Array): Point[][] {
  const { x, y, heading } = trace;
  const rings: Point[][] = [];
  let last = 0;
  let before: Point[] | null = null;
  for (let i = 0; i < x.length; i++) {
    const far =
      i === 0 ||
      i === x.length - 1 ||
      Math.hypot(x[i]! - x[last]!, y[i]! - y[last]!) > STEP_M ||
      Math.abs(heading[i]! - heading[last]!) > STEP_RAD;
    if (!far) continue;
    last = i;
    const now = deckAt(deck, x[i]!, y[i]!, heading[i]!);
    const ring = polygonHull(before ? [...before, ...now] : now);
    if (ring) rings.push(ring);
    before = now;
  }
  return rings;
}
