import type { Trace } from '../simulation';
import { sampleAt } from './context';

/** Way made over ground along a run's track, m, a figure a sample. */
export function wayMade({ x, y }: Trace): Float64Array {
  const way = new Float64Array(x.length);
  for (let i = 1; i < x.length; i++) {
    const dx = x[i]! - x[i - 1]!;
    const dy = y[i]! - y[i - 1]!;
    way[i] = way[i - 1]! + Math.sqrt(dx * dx + dy * dy);
  }
  return way;
}

/** Way under which the boat counts as lying, m: a place there has no moment of its own. */
const LIES_M = 0.05;

/**
 * Another run’s moment at the same place along its track, s: where the boat lies at that place for a while, so much after
 * it came there. Beyond the other's track its last moment and what is more.
 */
export function sameBy(
  from: { readonly trace: Trace; readonly way: Float64Array },
  to: { readonly trace: Trace; readonly way: Float64Array },
  time: number,
): number {
  const i = sampleAt(from.trace, time);
  const place = from.way[i]!;
  const came = first(from.way, place - LIES_M);
  const there = first(to.way, place - LIES_M);
  const since = from.trace.time[i]! - from.trace.time[came]!;
  return to.trace.time[there]! + since;
}

/** The first sample at which so much way has been made; the last if it never is. */
function first(way: Float64Array, place: number): number {
  let low = 0;
  let high = way.length - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (way[middle]! >= place) high = middle;
    else low = middle + 1;
  }
  return low;
}
