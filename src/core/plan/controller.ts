import type { SimState } from '../simulation';
import type { Crew } from './crew';
import type { RunEvent } from './events';

/** Why a run is over. */
export type Finish =
  | 'ended'
  | 'cue never came'
  | 'broke off'
  | 'out of time'
  | 'fouled'
  | 'struck'
  | 'caught overhead';

/** Who says what is done aboard: a plan, or a hand at the helm. The run asks and tells; it never decides. */
export interface Controller {
  readonly events: RunEvent[];
  readonly crew: Crew;
  finish: Finish | null;
  /** Step last begun, −1 before the first. */
  readonly current: number;
  /** The way out has been taken: the run may close as soon as the boat lies stopped. */
  readonly brokenOff: boolean;
  /** The next moment fixed by the clock, s. */
  nextMoment(): number;
  /** Level of a cue whose moment has to be found inside a step: reached at nought. Below it where none is waited for. */
  level(state: SimState): number;
  /** Clearance from anything but the berth, now, m. */
  noteClearance(clearance: number): void;
  /** Begins every step whose cue stands reached at this instant. */
  takeCues(): void;
  /** Does whatever the clock has brought due; tells whether a cue may have been waiting for it. */
  takeMoments(): boolean;
  stopForTime(): void;
}
