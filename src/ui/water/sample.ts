import type { Take } from '@/core/score';
import type { MoreColumn, Trace, TraceColumn } from '@/core/sim';

/** Index of the last sample at or before a time. */
export function sampleBefore({ time }: Trace, at: number): number {
  let low = 0;
  let high = time.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (time[middle]! <= at) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** A column of the take at any moment, by straight lines between samples; nought if she has none. Gears step. */
export function readAt(
  take: Pick<Take, 'trace'>,
  column: TraceColumn | MoreColumn,
  at: number,
): number {
  const { trace } = take;
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
