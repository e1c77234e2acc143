import type { MarkOnPlace, PointOnBoat } from './references';

/** A line as the plan knows it: its place among the run's lines is its place here. */
export interface RiggedLine {
  readonly name: string;
  /** Which of the other boats it leads from, from 1; the boat's if not given. Hands aboard there see to it. */
  readonly boat?: number;
  /** Cleat or fairlead it leads from. */
  readonly from: PointOnBoat;
  /** Where aboard it is handled: there, or where it is led to. */
  readonly at: PointOnBoat;
  /** Height of that over the water, m. */
  readonly height: number;
  /** Led round ashore and back, so that it is let go from aboard. */
  readonly doubled: boolean;
  /** Pull of the winch it is led to, N; null for hands alone. */
  readonly winch: number | null;
  /** An anchor at its end, and how deep it is there, m; null for a line. */
  readonly anchor?: { readonly depth: number } | null;
}

/** Where somebody is. */
export type Whereabouts =
  | { readonly aboard: true; readonly point: PointOnBoat }
  | { readonly aboard: false; readonly mark: MarkOnPlace };

export interface Person {
  readonly name: string;
  readonly at: Whereabouts;
  /** Pull they can hold, N, and how far they can throw a line in a calm, m. */
  readonly pull: number;
  readonly throws: number;
}

/** Lines and people of a manoeuvre. */
export interface Rigging {
  readonly lines: readonly RiggedLine[];
  /** Nobody named: hands are where they are wanted, and the helm is never left. */
  readonly crew: readonly Person[];
  /** Helm position; null where the boat names none. */
  readonly helm: PointOnBoat | null;
  readonly seed: number;
}

export const NO_RIGGING: Rigging = { lines: [], crew: [], helm: null, seed: 0 };

/**
 * How far a line can be thrown, m: less against the wind, a little more with it.
 *
 * @param calm range in a calm, m
 * @param against wind blowing from the mark to the thrower, m/s; negative with the throw
 */
export function throwRange(calm: number, against: number): number {
  return calm * Math.max(0.3, Math.min(1.15, 1 - 0.03 * against));
}

/** Likelihood that a throw over a distance is caught: nearly sure at half the range, a fifth at its end, none beyond. */
export function catchChance(distance: number, range: number): number {
  const share = distance / range;
  return share > 1 ? 0 : 1 - 0.8 * share * share * share;
}
