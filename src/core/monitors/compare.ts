import { wrapHalfTurn } from '../math';
import { SEEN_APART_M } from '../policy';
import type { Trace } from '../simulation';
import type { Margins } from './margins';

/** What of two runs is laid side by side. */
export interface Comparable {
  readonly trace: Trace;
  readonly margins: Margins;
  readonly duration: number;
}

/** How one run differs from another that it is held against. SI, radians. */
export interface Difference {
  /** Clearances, the reference's first; null where there was nothing to be clear of. */
  readonly clearance: readonly [number | null, number | null];
  /** Hardest approach speed of a touch; 0 for none. */
  readonly touch: readonly [number, number];
  readonly duration: readonly [number, number];
  readonly fastest: readonly [number, number];
  /** When they part: further than SEEN_APART_M from one another for the first time; null if they never do. */
  readonly partsAt: number | null;
  /** How far apart at most, at the same moment, and when. */
  readonly apart: number;
  readonly apartAt: number;
  /** How far apart the boat ends, m, and how much it has turned away, rad. */
  readonly endsApart: number;
  readonly endsTurned: number;
}

export function compareRuns(reference: Comparable, other: Comparable): Difference {
  const a = reference.trace;
  const b = other.trace;
  const count = Math.min(a.time.length, b.time.length);
  let partsAt: number | null = null;
  let apart = 0;
  let apartAt = 0;
  for (let i = 0; i < count; i++) {
    const far = between(a, i, b, i);
    if (partsAt === null && far > SEEN_APART_M) partsAt = a.time[i]!;
    if (far <= apart) continue;
    apart = far;
    apartAt = a.time[i]!;
  }
  const lastA = a.time.length - 1;
  const lastB = b.time.length - 1;
  return {
    clearance: [
      reference.margins.clearance?.distance ?? null,
      other.margins.clearance?.distance ?? null,
    ],
    touch: [reference.margins.touch?.speed ?? 0, other.margins.touch?.speed ?? 0],
    duration: [reference.duration, other.duration],
    fastest: [reference.margins.fastest, other.margins.fastest],
    partsAt,
    apart,
    apartAt,
    endsApart: between(a, lastA, b, lastB),
    endsTurned: wrapHalfTurn(b.heading[lastB]! - a.heading[lastA]!),
  };
}

function between(a: Trace, i: number, b: Trace, k: number): number {
  const dx = b.x[k]! - a.x[i]!;
  const dy = b.y[k]! - a.y[i]!;
  return Math.sqrt(dx * dx + dy * dy);
}
