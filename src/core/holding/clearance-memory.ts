import type { HullShape } from '../boat';
import { NEAREST_COLUMNS } from '../math';
import type { ObstacleSet } from './obstacle-set';

/** Columns of a finding while it is being looked for. */
export const FOUND = { DISTANCE: 0, X: 1, Y: 2 } as const;
/**
 * Columns of the memory: how far the boat's furthest point can have moved so far, where it is, and how far it may
 * have moved before anything not listed as near can have come nearest; which was nearest, and a bound of the other near ones.
 */
export const PAST = {
  TRAVELLED: 0,
  X: 1,
  Y: 2,
  HEADING: 3,
  SAFE: 4,
  SIN: 5,
  COS: 6,
  MOVED: 7,
  NEAREST: 8,
  OTHERS: 9,
} as const;
const PAST_COLUMNS = 10;

/**
 * What of solid `of` and of the boat can be nearest one another until it has travelled UNTIL: its edges, its corners, its
 * corners. All corners left out are no nearer than REST, edges than LIMIT, less what has been travelled.
 */
export interface About {
  of: number;
  edgeCount: number;
  readonly edges: Int32Array;
  /** What each corner of the boat cannot have been under, as that of `ashore`. */
  readonly corners: Float64Array;
  hullCount: number;
  readonly hull: Int32Array;
  shoreCount: number;
  readonly shore: Int32Array;
  readonly row: Float64Array;
}
export const ABOUT = { UNTIL: 0, REST: 1, LIMIT: 2 } as const;

/** The boat's sides that can be nearest to pile `of` until it has travelled UNTIL. */
export interface AboutPile {
  of: number;
  count: number;
  readonly sides: Int32Array;
  readonly until: Float64Array;
}

/**
 * Memory of a run of clearances: how far each obstacle was when last measured, and how far the boat's
 * furthest point can have moved since. What cannot have come nearest is passed over.
 */
export interface ClearanceMemory {
  readonly shapes: readonly HullShape[];
  readonly distance: Float64Array;
  readonly odometer: Float64Array;
  readonly past: Float64Array;
  readonly found: Float64Array;
  readonly nearest: Float64Array;
  /** What was nearest on each obstacle last: corner of the boat, or −1 − corner of the obstacle. */
  readonly hint: Int32Array;
  /**
   * What each corner ashore cannot have been under when last looked at, with what had been travelled then added: less what
   * has been travelled now it is a bound still.
   */
  readonly ashore: Float64Array;
  /** Of the solids looked at last, the newest first. */
  readonly about: About[];
  readonly pile: AboutPile;
  /** What was left out last time, and as a mark each; with other things left out, all is looked at anew. */
  skipped: ReadonlySet<number> | null;
  readonly left: Uint8Array;
  /** What is about as near as the nearest. */
  readonly near: Int32Array;
  nearCount: number;
}

/** So many are looked at in turn where the boat is between them. */
const ABOUT_SOLIDS = 3;

function aboutNone(sides: number, corners: number): About {
  return {
    of: -1,
    edgeCount: 0,
    edges: new Int32Array(corners),
    corners: new Float64Array(sides),
    hullCount: 0,
    hull: new Int32Array(sides),
    shoreCount: 0,
    shore: new Int32Array(corners),
    row: new Float64Array(3),
  };
}

/** Is anything known of solid `i`? */
export function knowsSolid({ about }: ClearanceMemory, i: number): boolean {
  for (let k = 0; k < about.length; k++) if (about[k]!.of === i) return true;
  return false;
}

/** What is known of solid `i`, brought to the front; the oldest, of nothing by now, if nothing is. */
export function aboutSolid({ about }: ClearanceMemory, i: number): About {
  let k = 0;
  while (k < about.length - 1 && about[k]!.of !== i) k++;
  const found = about[k]!;
  for (; k > 0; k--) about[k] = about[k - 1]!;
  about[0] = found;
  if (found.of === i) return found;
  found.of = -1;
  return found;
}

/** @param shapes the boat's side as each obstacle meets it */
export function clearanceMemory(shore: ObstacleSet, shapes: readonly HullShape[]): ClearanceMemory {
  const sides = (shapes[0]?.ring.length ?? 0) / 2;
  return {
    shapes,
    distance: new Float64Array(shore.count).fill(-Infinity),
    odometer: new Float64Array(shore.count),
    past: new Float64Array(PAST_COLUMNS),
    found: new Float64Array(3),
    nearest: new Float64Array(NEAREST_COLUMNS),
    hint: new Int32Array(shore.count),
    ashore: new Float64Array(shore.corners.length / 2).fill(-Infinity),
    about: Array.from({ length: ABOUT_SOLIDS }, () => aboutNone(sides, shore.corners.length / 2)),
    pile: { of: -1, count: 0, sides: new Int32Array(sides), until: new Float64Array(1) },
    skipped: null,
    left: new Uint8Array(shore.count),
    near: new Int32Array(shore.count),
    nearCount: 0,
  };
}
