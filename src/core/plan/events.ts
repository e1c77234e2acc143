import type { Expectation, Order } from './types';

/** What befell a line. */
export type LineEvent =
  | 'passing'
  | 'missed'
  | 'not passed'
  | 'on'
  | 'on a turn'
  | 'kept snug'
  | 'fast'
  | 'hauled'
  | 'eased'
  | 'let go'
  | 'home'
  | 'not let go'
  | 'left'
  | 'brought up'
  | 'parted'
  | 'picked up'
  | 'anchor down'
  | 'anchor up'
  | 'drags'
  | 'in the propeller'
  /** Made fast in a chamber that begins to fall; and still fast once it has fallen. It loads up, and she hangs on it. */
  | 'fast as it falls'
  | 'fast too long'
  | 'loads up'
  | 'hangs her';

/** What was done at a lock, or could not be, and what befell her in it. */
export type LockEvent =
  | 'paddle up'
  | 'paddle down'
  | 'gates open'
  | 'gates shut'
  | 'not there'
  | 'no way across'
  | 'other gates open'
  | 'never level'
  | 'over the coping'
  | 'over the cill'
  | 'hangs sooner'
  | 'on the cill'
  | 'wedged'
  | 'hangs wedged'
  | 'on a gate'
  | 'caught on a gate'
  | 'under the coping'
  | 'caught under the coping'
  | 'fender under the coping'
  | 'rises to a bridge'
  | 'caught sooner'
  | 'free again';

/** What somebody did or could not do. */
export type CrewEvent =
  | 'ashore'
  | 'aboard'
  | 'at'
  | 'could not step'
  | 'too high to step'
  | 'on a ladder'
  | 'no way across'
  | 'not there'
  | 'in danger'
  | 'helm left'
  | 'helm manned';

/** What happened, when. Steps are counted from 0; the end counts as the step after the last. */
export type RunEvent = { readonly time: number } & (
  | { readonly is: 'step'; readonly step: number }
  | { readonly is: 'order'; readonly step: number; readonly order: Order }
  | {
      readonly is: 'expectation failed';
      readonly step: number;
      /** Its place in the step's list. */
      readonly index: number;
      readonly expectation: Expectation;
      readonly found: number;
    }
  | { readonly is: 'cue never came'; readonly step: number; readonly waited: number }
  | { readonly is: 'way out'; readonly step: number }
  | {
      readonly is: 'line';
      readonly line: number;
      readonly what: LineEvent;
      /** Where its end is, once it is on. */
      readonly x: number;
      readonly y: number;
    }
  | {
      readonly is: 'crew';
      readonly who: number;
      readonly what: CrewEvent;
      readonly aboard: boolean;
      /** Body axes aboard, else on the place, m. */
      readonly x: number;
      readonly y: number;
    }
  | {
      readonly is: 'lock';
      readonly lock: number;
      readonly what: LockEvent;
      /** Somebody of the crew; null for the keeper, or where it is nobody's doing. */
      readonly who: number | null;
      /** Over the cill, wedged, on a gate: seconds until she hangs, if she will. */
      readonly seconds?: number;
    }
  | { readonly is: 'end' }
  /** Somebody else under way was run into, at so much way over ground, m/s. */
  | { readonly is: 'struck'; readonly name: string; readonly speed: number }
  | { readonly is: 'out of time' }
);
