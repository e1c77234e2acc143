import { Session, type Profiler } from 'node:inspector/promises';
import { getHeapStatistics } from 'node:v8';
import { benchCases } from './cases';
import { bareSteps, measure } from './measure';

// Where the time of a run goes, by function, and what a bare step allocates. Run bundled, as the app is: `npm run -s profile`.

const RUNS = 200;
const SHOWN = 26;
const STEPS = 20000;
/** Not of the run: the machine's and the profiler's own, and the loop that tells the pace. */
const BESIDE = new Set(['(idle)', '(program)', 'dispatch', 'loopMs', 'sums']);

function selfTimes({ nodes, samples = [], timeDeltas = [] }: Profiler.Profile): [string, number][] {
  const names = new Map(nodes.map(({ id, callFrame }) => [id, callFrame.functionName || '(top)']));
  const times = new Map<string, number>();
  let all = 0;
  samples.forEach((id, i) => {
    const name = names.get(id)!;
    if (BESIDE.has(name)) return;
    all += timeDeltas[i]!;
    times.set(name, (times.get(name) ?? 0) + timeDeltas[i]!);
  });
  return [...times]
    .map(([name, t]): [string, number] => [name, t / all])
    .sort((a, b) => b[1] - a[1]);
}

/** Bytes of heap something leaves behind. */
function left(work: () => void): number {
  const before = getHeapStatistics().used_heap_size;
  work();
  return getHeapStatistics().used_heap_size - before;
}

async function main(): Promise<void> {
  const session = new Session();
  session.connect();
  await session.post('Profiler.enable');
  await session.post('Profiler.setSamplingInterval', { interval: 200 });
  for (const { name, file, lines } of benchCases().slice(0, 3)) {
    measure(file, lines, 60);
    await session.post('Profiler.start');
    const { medianMs, bestMs } = measure(file, lines, RUNS);
    const { profile } = await session.post('Profiler.stop');
    const steps = bareSteps(file, lines);
    steps(STEPS);
    // What twice as many steps leave over once as many: the measuring's own share falls out.
    const once = left(() => steps(STEPS));
    const bytes = (left(() => steps(2 * STEPS)) - once) / STEPS;
    process.stdout.write(
      `\n${name}: median ${medianMs.toFixed(1)} ms, best ${bestMs.toFixed(1)} ms, ${bytes.toFixed(1)} bytes a step\n`,
    );
    for (const [called, share] of selfTimes(profile).slice(0, SHOWN))
      process.stdout.write(`  ${(100 * share).toFixed(1).padStart(5)} %  ${called}\n`);
  }
}

void main();
