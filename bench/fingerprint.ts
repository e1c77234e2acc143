import { linesOf, type LineSpec } from '@/core/holding';
import { runPlan } from '@/core/plan';
import { namedColumns } from '@/core/simulation';
import { check, manoeuvreFileSchema, toRunInput, type ManoeuvreFile } from '@/document';

/** A hash of every bit of a run's trace (FNV-1a, 32 bits, over each column), as text with its length and last place. */
export function fingerprint(file: unknown, lines: readonly LineSpec[]): string {
  const checked = check<ManoeuvreFile>(manoeuvreFileSchema, file);
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  const input = toRunInput(checked.value);
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  const { trace } = runPlan(
    lines.length > 0 ? { ...input.value, lines: linesOf(lines) } : input.value,
  );
  let hash = 0x811c9dc5;
  const named = namedColumns(trace);
  for (const name of Object.keys(named).sort()) {
    const column = named[name]!;
    for (const byte of new Uint8Array(column.slice().buffer))
      hash = Math.imul(hash ^ byte, 0x01000193);
  }
  return `${(hash >>> 0).toString(16)} ${trace.time.length} ${trace.x.at(-1)}`;
}
