import type { Expectation } from './expectations';
import type { Order } from './orders';
import type { CrewEvent, LineEvent, LockEvent } from './event-names';

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
  /** Round again: the plan goes on with a step, for the first time, the second … */
  | { readonly is: 'again'; readonly step: number; readonly round: number }
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
      /** Over the cill, wedged, on a gate: seconds until the boat hangs, if it will. */
      readonly seconds?: number;
    }
  | { readonly is: 'end' }
  /** Somebody else under way was run into, at so much way over ground, m/s. */
  | { readonly is: 'struck'; readonly name: string; readonly speed: number }
  | { readonly is: 'out of time' }
);
