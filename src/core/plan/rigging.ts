import type { MarkOnPlace, PointOnBoat } from './references';

/** A line as the plan knows it: its place among the run's lines is its place here. */
export interface RiggedLine {
  readonly name: string;
  /** Which of the other boats it leads from, from 1; hers if not given. Hands aboard there see to it. */
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

/** Tension at which a line counts as taut, N: more than its own weight and a pull at it. Judgement. */
export const TAUT_N = 150;

/*
 * What takes how long, and how far hands reach: judgement from practice, ± a half. Seconds, metres, metres a second.
 */
export const WALKS_ABOARD_MPS = 0.8;
export { WALKS_ASHORE_MPS } from '../locks';
export const DROP_REACH_M = 2;
export const DROP_S = 1.5;
/** With a boat hook. */
export const HOOK_REACH_M = 3;
export const THROW_S = 2;
export const FLIES_MPS = 10;
export const MAKE_ON_S = 3;
export const TURN_S = 1.5;
export const MAKE_FAST_S = 3;
export const CAST_OFF_S = 2;
export const HAULS_MPS = 0.6;
export const COMES_HOME_MPS = 1;
export const WINCH_MPS = 0.15;
export const EASES_MPS = 0.4;
/** A line is taken from hand to hand over this. */
export const HAND_OVER_M = 2.5;
/** A loop is lifted off a bollard only while it pulls less than this, N. */
export const LIFTS_OFF_N = 250;
/** How long somebody waits for a reach or a slack line, and to be able to step, s. */
export const WAITS_S = 40;
export const STEP_WAITS_S = 90;
export const THROWS_TRIED = 3;
/** How often somebody who waits for something looks, s. */
export const LOOKS_S = 0.2;
/** Rope on a bollard or cleat. */
export const ROPE_FRICTION = 0.25;
/** One steps over a gap this wide, at this speed over ground and no more; no propeller turns within this. */
export const STEP_GAP_M = 0.6;
/** And up to, or down from, what stands no higher over her deck than this, m: to the hip. What is higher wants a ladder. */
export const STEP_UP_M = 0.8;
/** On a ladder, m/s; and to get on to it and off it, s. */
export const CLIMBS_MPS = 0.3;
export const ON_LADDER_S = 4;
/** The tail of a line round a bollard, left lying while hands are at something else, holds this, N. Judgement, by its weight. */
export const LYING_N = 20;
export const STEP_SPEED_MPS = 0.26;
export const PROPELLER_ROOM_M = 3;
/** How near to a place one has to be to reach what is there without leaving it. */
export const AT_HAND_M = 1.2;

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
