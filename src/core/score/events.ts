import type { Expectation, Order } from './types';

/** What happened, when. Beats are counted from 0; the end counts as the beat after the last. */
export type TakeEvent = { readonly time: number } & (
  | { readonly is: 'beat'; readonly beat: number }
  | { readonly is: 'order'; readonly beat: number; readonly order: Order }
  | {
      readonly is: 'expectation failed';
      readonly beat: number;
      /** Its place in the beat's list. */
      readonly index: number;
      readonly expectation: Expectation;
      readonly found: number;
    }
  | { readonly is: 'cue never came'; readonly beat: number; readonly waited: number }
  | { readonly is: 'way out'; readonly beat: number }
  | { readonly is: 'end' }
  | { readonly is: 'out of time' }
);
