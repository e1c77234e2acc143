import {
  headAt,
  isShut,
  LEAF,
  leafSides,
  MADE_M,
  type End,
  type Lock,
  type LockState,
} from '../../locks';
import type { SimState, World } from '../../simulation';
import { LOCK_CUES, type LockCue } from '../references';
import { cue } from './definition';

/** A lock's levels are made at an end, gates of an end stand open, or everything is shut. */
export const lock = cue('lock', {
  parameters: { lock: { kind: 'lock' }, state: { kind: 'choice', of: LOCK_CUES } },
  arm: ({ lock: which, state }) => ({ level: (s, w) => lockLevel(s, w, which, state) }),
});

/** How far a lock is from a state: metres of head over what counts as made, or the share its gates have yet to swing. */
function lockLevel(state: SimState, world: World, which: number, wanted: LockCue): number {
  const now = state.locks[which]!;
  const sited = world.gates!.locks[which]!;
  switch (wanted) {
    case 'level above':
      return MADE_M - Math.abs(headAt(now, 'upper'));
    case 'level below':
      return MADE_M - Math.abs(headAt(now, 'lower'));
    case 'open above':
      return now.gates.upper - 1 + 1e-9;
    case 'open below':
      return now.gates.lower - 1 + 1e-9;
    case 'wide above':
      return widest(sited.lock, now, 'upper');
    case 'wide below':
      return widest(sited.lock, now, 'lower');
    case 'shut':
      return isShut(sited.lock, now, 'upper') && isShut(sited.lock, now, 'lower') ? 1 : -1;
  }
}

/** The share the gate that is least open has yet to swing. */
function widest(of: Lock, { leaves }: LockState, end: End): number {
  return Math.min(...leafSides(of, end).map((side) => leaves[LEAF[end][side]]!)) - 1 + 1e-9;
}
