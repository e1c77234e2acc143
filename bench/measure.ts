import { runTake } from '@/core/score';
import { check, manoeuvreFileSchema, toRunInput } from '@/document';

/** Times of one case, ms: the first run, the median and the fastest; and the simulated seconds of one. */
export interface Measured {
  readonly firstMs: number;
  readonly medianMs: number;
  readonly bestMs: number;
  readonly simulatedS: number;
}

/** Plays a manoeuvre file `runs` times, checking included, as the worker does. Runs in Node and in a browser. */
export function measure(file: unknown, runs: number): Measured {
  const times: number[] = [];
  let simulatedS = 0;
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    const checked = check(manoeuvreFileSchema, file);
    if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
    const input = toRunInput(checked.value);
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    simulatedS = runTake(input.value).duration;
    times.push(performance.now() - from);
  }
  const sorted = times.slice().sort((a, b) => a - b);
  return {
    firstMs: times[0]!,
    medianMs: sorted[Math.floor(sorted.length / 2)]!,
    bestMs: sorted[0]!,
    simulatedS,
  };
}
