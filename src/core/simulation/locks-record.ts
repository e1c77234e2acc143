import { lockAtRest, type LockState, type SitedLock } from '../locks';
import type { Trace } from './columns';
import { sampleBefore } from './trace';

/** A lock as a record has it at a moment, and how fast its chamber rises then, m/s. */
export interface LockRecorded {
  readonly state: LockState;
  readonly rising: number;
}

/**
 * The kth lock of a record at a time, by straight lines between samples; its paddles are taken to stay as they are. As it begins
 * where the record has none.
 */
export function lockRecorded(
  trace: Trace,
  k: number,
  sited: SitedLock,
  time: number,
): LockRecorded {
  const state = lockAtRest(sited.lock, 'lower');
  const columns = trace.locks[k];
  if (!columns || trace.time.length === 0) return { state: sited.begins, rising: 0 };
  const { chamber, upper, lower, leaves, paddles } = columns;
  const i = sampleBefore(trace, time);
  const last = Math.min(i + 1, trace.time.length - 1);
  const span = trace.time[last]! - trace.time[i]!;
  const share = span > 0 ? Math.max(0, Math.min(1, (time - trace.time[i]!) / span)) : 0;
  const read = (values: Float64Array) => values[i]! + share * (values[last]! - values[i]!);
  state.time = time;
  state.chamber = read(chamber);
  state.upper = read(upper);
  state.lower = read(lower);
  leaves.forEach((leaf, l) => {
    state.leaves[l] = state.leavesTo[l] = read(leaf);
  });
  state.gates.upper = Math.max(state.leaves[0]!, state.leaves[1]!);
  state.gates.lower = Math.max(state.leaves[2]!, state.leaves[3]!);
  for (let p = 0; p < state.open.length; p++) state.open[p] = state.wound[p] = read(paddles[p]!);
  state.cillOut = state.chamber < sited.lock.upperCill ? 1 : 0;
  const rising = span > 0 ? (chamber[last]! - chamber[i]!) / span : 0;
  return { state, rising };
}
