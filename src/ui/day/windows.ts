import { withinLimits, type DayRun } from '@/planner';

/** A stretch of a day in which every run is within limits: from its first to its last, seconds since 1970 UTC. */
export interface DayWindow {
  readonly from: number;
  readonly to: number;
}

/** Stretches of runs within limits, one after the other without one between that is not. */
export function windowsOf(runs: readonly DayRun[]): DayWindow[] {
  const windows: { from: number; to: number }[] = [];
  runs.forEach((run, i) => {
    if (!withinLimits(run)) return;
    const open = windows.at(-1);
    const before = runs[i - 1];
    if (open && before && withinLimits(before)) open.to = run.at;
    else windows.push({ from: run.at, to: run.at });
  });
  return windows;
}
