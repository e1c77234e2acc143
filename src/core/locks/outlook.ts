import { WATER_RUNS_M3PS } from '../policy';
import { hangUps, pullOnBoat, timeLeft, type HangUp, type LockedBoat } from './boat-in-lock';
import type { End, Lock, LockState } from './lock';
import { headAt, MADE_M, timeToMake } from './work';

/** What the water of a chamber is doing: level with one end; or running, with so much head to go, m, and so long, s. */
export type LevelNow =
  | { readonly is: 'level'; readonly end: End }
  | {
      readonly is: 'runs';
      readonly end: End;
      readonly head: number;
      readonly seconds: number | null;
    };

/** What a lock's water does at a moment, and to a boat in it as the paddles stand. */
export interface LockOutlook {
  /** Null where it stands between the two. */
  readonly level: LevelNow | null;
  readonly hangs: readonly HangUp[];
  /** Until the boat hangs, s, and on what. */
  readonly left: ReturnType<typeof timeLeft>;
  /** Along the chamber, as a share of the boat's weight. */
  readonly pull: number;
}

/** Level at an end once it is, whatever leaks on; else what runs, and how long it takes. */
function levelNow(lock: Lock, state: LockState): LevelNow | null {
  const wound = (at: End) =>
    lock.paddles.some(({ end }, i) => end === at && state.open[i]! + state.wound[i]! > 0);
  for (const end of ['upper', 'lower'] as const)
    if (Math.abs(headAt(state, end)) <= MADE_M && !wound(end === 'upper' ? 'lower' : 'upper'))
      return { is: 'level', end };
  if (Math.abs(state.flowIn) + Math.abs(state.flowOut) <= WATER_RUNS_M3PS) return null;
  const end = state.flowOut > state.flowIn ? 'lower' : 'upper';
  const head = Math.abs(headAt(state, end));
  return { is: 'runs', end, head, seconds: timeToMake(lock, state, end) };
}

/** Looks ahead by working the lock as its paddles stand: some milliseconds. */
export function lockOutlook(lock: Lock, state: LockState, boat: LockedBoat): LockOutlook {
  const hangs = hangUps(lock, state, boat);
  return {
    level: levelNow(lock, state),
    hangs,
    left: hangs.length === 0 ? timeLeft(lock, state, boat) : null,
    pull: pullOnBoat(lock, state, boat),
  };
}
