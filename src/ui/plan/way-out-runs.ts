import type { Moment, WayOutGrade } from '@/core/search';

export interface BandRun {
  readonly from: number;
  readonly to: number;
  readonly grade: WayOutGrade;
}

/** Runs of one grade along a run: each moment stands for the time half-way to its neighbours. */
export function bandRuns(moments: readonly Moment[], duration: number): BandRun[] {
  const runs: BandRun[] = [];
  moments.forEach(({ time, wayOut: { grade } }, i) => {
    const before = moments[i - 1];
    const after = moments[i + 1];
    const from = before ? (before.time + time) / 2 : 0;
    const to = after ? (time + after.time) / 2 : duration;
    const last = runs.at(-1);
    if (last?.grade === grade) runs[runs.length - 1] = { ...last, to };
    else runs.push({ from, to, grade });
  });
  return runs;
}
