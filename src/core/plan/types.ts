import type { LockOrder } from '../locks';
import type { Gear } from '../simulation';

/** A plan in SI units and radians, as the interpreter plays it. */
export interface Plan {
  readonly steps: readonly PlanStep[];
  /** When the manoeuvre is over, counted as the cue after the last step. */
  readonly end: Ending;
}

export interface Ending {
  readonly cue: Cue;
  /** Longest wait for the cue, s. */
  readonly within: number;
}

export interface PlanStep {
  readonly id: string;
  readonly cue: Cue;
  /** Longest wait for the cue after the step before, s. */
  readonly within: number;
  readonly orders: readonly TimedOrder[];
  readonly expect: readonly Expectation[];
  readonly wayOut: WayOut;
}

export interface WayOut {
  /** Played when an expectation fails or the next cue does not come, if `automatic` is set. */
  readonly automatic: boolean;
  readonly orders: readonly TimedOrder[];
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

export type SpeedOver = 'water' | 'ground';

export type Cue =
  | { readonly is: 'start' }
  | { readonly is: 'after'; readonly time: number }
  | { readonly is: 'heading'; readonly heading: number }
  /** Turned through since the last step; positive to starboard. */
  | { readonly is: 'turned'; readonly by: number }
  | {
      readonly is: 'speed';
      readonly over: SpeedOver;
      readonly compare: 'below' | 'above';
      readonly speed: number;
    }
  | { readonly is: 'abeam'; readonly point: PointOnBoat; readonly mark: MarkOnPlace }
  | {
      readonly is: 'within';
      readonly point: PointOnBoat;
      readonly mark: MarkOnPlace;
      readonly distance: number;
    }
  /** She has had way and has none; of one of the other boats by her number, from 1. */
  | { readonly is: 'stopped'; readonly boat?: number | undefined }
  | { readonly is: 'sternway' }
  /** A line is on, fast, taut, or off and home. */
  | { readonly is: 'line'; readonly line: number; readonly state: LineState }
  /** A lock's levels are made at an end, gates of an end stand open, or everything is shut. */
  | { readonly is: 'lock'; readonly lock: number; readonly state: LockCue }
  /** Somebody of the crew stands ashore, or aboard again. */
  | { readonly is: 'crew'; readonly who: number; readonly where: 'ashore' | 'aboard' }
  | { readonly is: 'any'; readonly of: readonly Cue[] }
  | { readonly is: 'all'; readonly of: readonly Cue[] };

export interface PointOnBoat {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  /** In a cue or an expectation, which of the other boats it is on, from 1; hers if not given. */
  readonly boat?: number | undefined;
}

export interface MarkOnPlace {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  /** Which of the other boats it is on, from 1: then x is ahead of her midships and y to starboard, m. */
  readonly boat?: number | undefined;
}

export interface TimedOrder {
  /** Seconds after the cue. */
  readonly after: number;
  readonly order: Order;
}

/** What the helm does, and what is called. */
export type ControlOrder =
  | { readonly do: 'wheel'; readonly angle: number }
  /** The helm steers by itself from here: a heading, or for a mark, until the wheel is ordered. */
  | { readonly do: 'steer'; readonly heading: number }
  /** `first` is the end of her that is to point there. */
  | { readonly do: 'steerFor'; readonly mark: MarkOnPlace; readonly first: 'bow' | 'stern' }
  /** One engine by its index, or all of them (null). */
  | {
      readonly do: 'engine';
      readonly engine: number | null;
      readonly gear: Gear;
      readonly throttle: number;
    }
  /** Power −1 … 1, positive pushing to starboard. */
  | { readonly do: 'thruster'; readonly thruster: number; readonly power: number }
  /** Each −1 … 1 of what the boat can do: ahead, to starboard, bow to starboard. */
  | {
      readonly do: 'joystick';
      readonly surge: number;
      readonly sway: number;
      readonly yaw: number;
    }
  /** The helm's sign to those at the paddles that she is held and they may wind. */
  | { readonly do: 'signal' }
  /**
   * Another boat gets under way: her engines, and a heading her own helm keeps or a mark her bow is kept on, if one is told.
   * `boat` counts from 1.
   */
  | {
      readonly do: 'other';
      readonly boat: number;
      readonly gear: Gear;
      readonly throttle: number;
      readonly heading: number | null;
      readonly mark?: MarkOnPlace | undefined;
    }
  | { readonly do: 'call'; readonly text: string };

export type Order = ControlOrder | HandsOrder;

/** What people do. `by` is a person by their place in the crew, null for whoever is at hand. */
export type HandsOrder =
  | {
      readonly do: 'pass';
      readonly line: number;
      readonly by: number | null;
      readonly mark: LineEnd;
      readonly how: PassHow;
      /** Length it is made fast at as soon as it is on; held in the hand if null. */
      readonly length: number | null;
    }
  | {
      readonly do: 'tend';
      readonly line: number;
      readonly by: number | null;
      readonly how: TendHow;
      /** Metres to haul to or to ease by; null for as far as it goes. */
      readonly length: number | null;
      /** Turns to hold it by. */
      readonly turns: number;
      readonly winch: boolean;
    }
  | { readonly do: 'letGo'; readonly line: number; readonly by: number | null }
  /** An anchor dropped, its chain running out to a length or to its end; or hove in and up. */
  | {
      readonly do: 'anchor';
      readonly line: number;
      readonly by: number | null;
      readonly how: 'drop' | 'weigh';
      readonly length: number | null;
    }
  /** A paddle wound or gates swung at a lock; by the keeper if nobody is named. */
  | {
      readonly do: 'lock';
      readonly lock: number;
      readonly by: number | null;
      readonly order: LockOrder;
    }
  | { readonly do: 'stepAshore'; readonly by: number; readonly mark: MarkOnPlace }
  | { readonly do: 'stepAboard'; readonly by: number; readonly point: PointOnBoat }
  | { readonly do: 'go'; readonly by: number; readonly point: PointOnBoat };

export const PASS_HOW = ['drop', 'throw', 'carry'] as const;
export type PassHow = (typeof PASS_HOW)[number];
export const TEND_HOW = ['haul', 'hold', 'turn', 'keep', 'fast', 'ease'] as const;
export type TendHow = (typeof TEND_HOW)[number];

/** What a line is made on to ashore. */
export interface LineEnd extends MarkOnPlace {
  /** Height over the water, m, or over the place's nought where a lock is worked; a weight on the bottom lies below it. */
  readonly height: number;
  /** It floats, and so stands as high over whatever water there is. */
  readonly afloat?: boolean | undefined;
  /** Of a ground line: where its tail is picked up. */
  readonly tail?: MarkOnPlace | undefined;
}

export type ExpectAt = { readonly after: number } | 'next';

export type Expectation = {
  /** Seconds after the cue, or at the cue of the next step. 'clear' is watched all the way there. */
  readonly at: ExpectAt;
} & (
  | { readonly is: 'heading'; readonly heading: number; readonly within: number }
  | {
      readonly is: 'speed';
      readonly over: SpeedOver;
      readonly least: number;
      readonly most: number;
    }
  | { readonly is: 'turning'; readonly to: 'port' | 'starboard' }
  | { readonly is: 'clear'; readonly least: number }
  | {
      readonly is: 'near';
      readonly point: PointOnBoat;
      readonly mark: MarkOnPlace;
      readonly within: number;
    }
  | { readonly is: 'line'; readonly line: number; readonly state: LineState }
);
