/** What parameters of a plan lead to: points of a boat, marks of a place, and what a line is made on to. */

export interface PointOnBoat {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  /** In a cue or an expectation, which of the other boats it is on, from 1; the boat's own if not given. */
  readonly boat?: number | undefined;
}

export interface MarkOnPlace {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  /** Which of the other boats it is on, from 1: then x is ahead of its midships and y to starboard, m. */
  readonly boat?: number | undefined;
}

/** What a line is made on to ashore. */
export interface LineEnd extends MarkOnPlace {
  /** Height over the water, m, or over the place's nought where a lock is worked; a weight on the bottom lies below it. */
  readonly height: number;
  /** It floats, and so stands as high over whatever water there is. */
  readonly afloat?: boolean | undefined;
  /** Of a ground line: where its tail is picked up. */
  readonly tail?: MarkOnPlace | undefined;
}

/** What a line is asked to be, by a cue or an expectation. */
export const LINE_STATES = ['on', 'fast', 'taut', 'off'] as const;
export type LineState = (typeof LINE_STATES)[number];

/** What a lock is asked to be, by a cue. */
export const LOCK_CUES = [
  'level above',
  'level below',
  'open above',
  'open below',
  'wide above',
  'wide below',
  'shut',
] as const;
export type LockCue = (typeof LOCK_CUES)[number];

export const PASS_HOW = ['drop', 'throw', 'carry'] as const;
export type PassHow = (typeof PASS_HOW)[number];
export const TEND_HOW = ['haul', 'hold', 'turn', 'keep', 'fast', 'ease'] as const;
export type TendHow = (typeof TEND_HOW)[number];

export const SPEEDS_OVER = ['water', 'ground'] as const;
export type SpeedOver = (typeof SPEEDS_OVER)[number];
