import type { Order, Run } from '../plan';
import type { Traffic } from './traffic';

/** Something done at the helm, or called to the crew, at a timestep of the grid: before the boat takes that timestep. */
export interface DriveInput {
  readonly timestep: number;
  readonly order: Order;
}

/** How a driven run came to its end: made fast or clear and done with, or broken off on purpose. */
export type DriveEnd = 'done' | 'broke off';

/** All that has to be known of a driven run to play it again, bit for bit, on the manoeuvre it was driven in. */
export interface Recording {
  /** In the order they were given. */
  readonly inputs: readonly DriveInput[];
  /** Steps of the grid driven so far. */
  readonly timesteps: number;
  /** Null while it goes on, and where it ended by itself. */
  readonly end: DriveEnd | null;
  readonly surprises: readonly Surprise[];
  /** Steps at which the helm went on to the next step of the plan without its cue, in order. */
  readonly skips: readonly number[];
}

/** What nobody at the helm has asked for. Times in s since the start; SI, radians. */
export type Surprise = { readonly at: number } & (
  | {
      readonly is: 'gust';
      /** Share the wind grows by, and how long it blows so. */
      readonly by: number;
      readonly lasts: number;
    }
  | { readonly is: 'veer'; readonly by: number }
  /** The current comes to set otherwise within so many seconds. */
  | { readonly is: 'current'; readonly set: number; readonly speed: number; readonly over: number }
  /** A gear that does not go astern any more. */
  | { readonly is: 'no astern'; readonly engine: number }
  | { readonly is: 'thruster quits'; readonly thruster: number }
  | { readonly is: 'joystick fails' }
  /** Hands are late with the next line by so many seconds. */
  | { readonly is: 'line late'; readonly by: number }
  | { readonly is: 'line missed' }
  /** Somebody else under way, from then on as they please. */
  | { readonly is: 'traffic'; readonly traffic: Traffic }
);

export type SurpriseKind = Surprise['is'];

/** A driven run played again. */
export interface Driven {
  readonly run: Run;
  /** When each step of the plan it followed would have begun is in `run.steps`; this says whether its end came too. */
  readonly planDone: boolean;
}

/** Everybody else under way in a run. */
export function trafficOf({ surprises }: Pick<Recording, 'surprises'>): readonly Traffic[] {
  return surprises.flatMap((surprise) => (surprise.is === 'traffic' ? [surprise.traffic] : []));
}
