import type { Run } from '@/core/plan';
import { sampleBefore, type MoreColumn, type TraceColumn } from '@/core/simulation';

export { sampleBefore };

/** A column of the run at any moment, by straight lines between samples; nought if she has none. Gears step. */
export function readAt(
  run: Pick<Run, 'trace'>,
  column: TraceColumn | MoreColumn,
  at: number,
): number {
  const { trace } = run;
  const i = sampleBefore(trace, at);
  const values = trace[column];
  if (!values) return 0;
  const a = values[i]!;
  const b = values[i + 1];
  if (b === undefined || column.startsWith('gear')) return a;
  const t0 = trace.time[i]!;
  const t1 = trace.time[i + 1]!;
  const share = t1 > t0 ? Math.min(1, Math.max(0, (at - t0) / (t1 - t0))) : 0;
  return a + share * (b - a);
}
