import type { Run } from '@/core/plan';
import { sampleBefore, type OwnColumn } from '@/core/simulation';

export { sampleBefore };

/** A column of the run at any moment, by straight lines between samples; nought if there is none. */
export function readAt(
  run: Pick<Run, 'trace'>,
  column: OwnColumn | Float64Array | null | undefined,
  at: number,
): number {
  const { trace } = run;
  const i = sampleBefore(trace, at);
  const values = typeof column === 'string' ? trace[column] : column;
  if (!values) return 0;
  const a = values[i]!;
  const b = values[i + 1];
  if (b === undefined) return a;
  const t0 = trace.time[i]!;
  const t1 = trace.time[i + 1]!;
  const share = t1 > t0 ? Math.min(1, Math.max(0, (at - t0) / (t1 - t0))) : 0;
  return a + share * (b - a);
}
