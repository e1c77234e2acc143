import type { Goal } from '@/core/plan';

/** What a manoeuvre is for. */
export type GoalKind = Goal['is'];

type Nothing = Record<never, never>;
/** A boat, a lock or a bridge by its name. */
interface Named {
  readonly name: string;
}

/**
 * Why a technique is not for a boat, goal or day: each reason with what it goes by. Screens and scripts say it in words
 * (`ui/words/refusals`).
 */
export interface RefusalData {
  /** It is for another goal than this manoeuvre's. */
  'other goal': { readonly for: GoalKind; readonly is: GoalKind };
  /** The same of one of the user's own: the goal it was written for. */
  'written for another goal': { readonly for: GoalKind; readonly is: GoalKind };
  /** It shows only in a trial, as of another boat that does not stop where it is to lie. */
  'cannot be laid out': Nothing;

  // The boat.
  'no engine': Nothing;
  'no thruster': Nothing;
  'neither joystick nor thruster': Nothing;
  'no two shafts apart': Nothing;
  'no rudder in a race': Nothing;
  'no helm named': Nothing;

  // Where it begins and ends.
  'names no berth': Nothing;
  'not at its berth': Nothing;
  'along the berth already': Nothing;
  'an end to the berth': Nothing;
  'for open water': Nothing;
  'turn right round': Nothing;
  'turn into it': Nothing;
  'turn too much for one engine': Nothing;
  'turn to make': Nothing;
  'hardly a turn': Nothing;
  'not lying there yet': Nothing;
  'berth along the way': Nothing;
  'lies the other way round': { readonly bow: 'in' | 'out' };
  'not bow to something': Nothing;
  'not stern to the quay': Nothing;
  'no buoy': Nothing;
  'not bow at the buoy': Nothing;
  'not staying alongside': Nothing;
  'not shifting along': Nothing;

  // The water.
  'no current': Nothing;
  'current not from ahead': Nothing;

  // What lines lead to.
  'no bollard for a spring': { readonly end: 'bow' | 'stern' };
  'no bollard for a spring aft': Nothing;
  'no open water beside the berth': Nothing;
  'no bollard near midships': Nothing;
  'no bollard abreast of midships': Nothing;
  'no bollard abreast of the quarter': Nothing;
  'no bollards for both quarters': Nothing;
  'no bollards to warp by': Nothing;
  'further than a line reaches': Nothing;
  'no pile': { readonly side: 'port' | 'starboard' };
  'nothing ahead for bow lines': Nothing;
  'no ground line': Nothing;
  'ground lines in the way': Nothing;

  // Rafts.
  'against no other boat': Nothing;
  'no cleat abreast': Named;
  'no boat outside': Nothing;
  'no bollards for the boat outside': Nothing;

  // Crew.
  'no crew named': Nothing;
  'nobody to step ashore': Nothing;
  'nobody to take up': Nothing;
  'no landing': Nothing;
  'nobody at the helm': Nothing;

  // Locks.
  'too broad for the chamber': Nothing;
  'too long for the chamber': Nothing;
  'too little water over the cill': Nothing;
  'bridge too low': Named;
  'in the chamber already': Nothing;
  'not before the gates': Nothing;
  'not heading for the gates': Nothing;
  'lock set against': { readonly set: 'above' | 'below' };
  'gates shut': Nothing;
  'nothing along the chamber': Nothing;
  /** `least`, `limit`: what the passage takes and what the manoeuvre gives it, s. */
  'too little time': { readonly least: number; readonly limit: number; readonly alone: boolean };
  'no staircase': Nothing;
  'staircase not full': { readonly upper: string; readonly lower: string };
  'staircase not empty': { readonly upper: string; readonly lower: string };
  'staircase without water': { readonly upper: string; readonly lower: string };

  // Sharing a lock.
  'more than one boat shares': Nothing;
  'staircase shared': Nothing;
  'drifts while another goes in': Named;
  'other not along the chamber': Named;
  'other neither in nor before': Named;
  'no room beside': Named;
  'other between the gates': Named;
  'other has no engine': Named;
  'nothing for the lines of': Named;
  'other too long': Named;
  'other drifts': Named & { readonly while: 'the lock is made ready' | 'the first goes in' };

  // Alone through a lock.
  'not one person': Nothing;
  'alone beside another': Nothing;
  'alone through a staircase': Nothing;
  'no ladder': Nothing;
  'gates shut to one alone': Nothing;
  'too slow by one side': Nothing;
}

export type RefusalCode = keyof RefusalData;
export type Refusal = {
  [C in RefusalCode]: { readonly why: C } & RefusalData[C];
}[RefusalCode];

export const refusal = <C extends RefusalCode>(
  why: C,
  ...[data]: [keyof RefusalData[C]] extends [never] ? [] : [RefusalData[C]]
): Refusal => ({ why, ...data }) as Refusal;

export const isRefusal = (value: object | null): value is Refusal =>
  value !== null && 'why' in value;

/** What stands instead of what was asked for, where the technique is not for the manoeuvre. */
export interface Refused {
  readonly refused: Refusal;
}
export type Unless<T> = T | Refused;
export const isRefused = (value: object): value is Refused => 'refused' in value;
