import { isMainThread, parentPort, workerData } from 'node:worker_threads';
import type { RunInput } from '@/core/plan';
import {
  certificateOf,
  INFLUENCES,
  influenceOf,
  QUANTILES,
  ROSE_DIRECTIONS,
  roseRange,
  trialOf,
  type Certificate,
  type Influence,
  type InfluenceName,
  type RoseRange,
  type Trial,
} from '@/core/reliability';
import type { Spread } from '@/core/uncertainty';
import {
  failure,
  problemLines,
  success,
  toRunInput,
  type ManoeuvreFile,
  type Result,
} from '@/document';
import { doneByAll, tellResult } from './all-cores';
import { roseIn } from './rose-printed';
import { manoeuvreIn, readText, spreadIn, wholeIn } from './read-manoeuvre';

const USAGE =
  'usage: npm run -s certify -- FILE.json [--runs 1000] [--spread SPREAD.json] [--seed N] [--rose] [--influence]';
const MOST_RUNS = 100_000;
/** Runs a wind of the rose, and a source's influence, are tried with at the most. */
const ROSE_RUNS = 60;
const INFLUENCE_RUNS = 300;
/** Runs a worker does before it tells. */
const AT_ONCE = 10;

interface Asked {
  readonly file: string;
  readonly runs: number;
  readonly seed: number;
  readonly spread: string | null;
  readonly rose: boolean;
  readonly influence: boolean;
}

function askedFor(words: readonly string[]): Result<Asked> {
  const rest = [...words];
  const option = (name: string): string | undefined | null => {
    const at = rest.indexOf(name);
    return at < 0 ? null : rest.splice(at, 2)[1];
  };
  const flag = (name: string) => {
    const at = rest.indexOf(name);
    if (at >= 0) rest.splice(at, 1);
    return at >= 0;
  };
  const [runsText, seedText, spread] = ['--runs', '--seed', '--spread'].map(option);
  const [rose, influence] = ['--rose', '--influence'].map(flag) as [boolean, boolean];
  const runs = runsText === null ? 1000 : wholeIn(runsText, 1, MOST_RUNS);
  const seed = seedText === null ? 1 : wholeIn(seedText, 0, 0x7fffffff);
  if (runs === null)
    return failure({ path: '--runs', message: `give a whole number from 1 to ${MOST_RUNS}` });
  if (seed === null)
    return failure({ path: '--seed', message: 'give a whole number from 0 to 2147483647' });
  if (spread === undefined)
    return failure({ path: '--spread', message: `needs a file name. ${USAGE}` });
  const stray = rest.find((word) => word.startsWith('--'));
  if (stray) return failure({ path: stray, message: `is not an option. ${USAGE}` });
  if (rest.length !== 1) return failure({ path: 'FILE.json', message: `give one file. ${USAGE}` });
  return success({ file: rest[0]!, runs, seed, spread: spread ?? null, rose, influence });
}

/** What a worker is asked: some runs of the whole, one direction of the rose, or one part's influence. */
type Task =
  | { readonly is: 'runs'; readonly from: number; readonly to: number }
  | { readonly is: 'rose'; readonly direction: number }
  | { readonly is: 'influence'; readonly of: InfluenceName };
type Done =
  | { readonly is: 'runs'; readonly trials: readonly Trial[] }
  | { readonly is: 'rose'; readonly range: RoseRange }
  | { readonly is: 'influence'; readonly found: Influence | null };

/** What every worker has from the start. The file is turned into what is run in each: functions do not go from thread to thread. */
interface Given {
  readonly file: ManoeuvreFile;
  readonly spread: Spread;
  readonly seed: number;
  readonly runs: number;
}

function done(input: RunInput, { spread, seed, runs }: Given, task: Task): Done {
  switch (task.is) {
    case 'runs': {
      const trials: Trial[] = [];
      for (let k = task.from; k < task.to; k++) trials.push(trialOf(input, spread, seed, k));
      return { is: 'runs', trials };
    }
    case 'rose':
      return {
        is: 'rose',
        range: roseRange(input, spread, seed, Math.min(runs, ROSE_RUNS), task.direction),
      };
    case 'influence':
      return {
        is: 'influence',
        found: influenceOf(input, spread, task.of, seed, Math.min(runs, INFLUENCE_RUNS)),
      };
  }
}

function work(port: NonNullable<typeof parentPort>): void {
  const given = workerData as Given;
  const input = toRunInput(given.file);
  if (!input.ok) throw new Error(problemLines(input.problems));
  port.on('message', (task: Task) => port.postMessage(done(input.value, given, task)));
}

const rounded = (value: number) => Number(value.toPrecision(6));

/** Quantiles by their names: `p5` … `p95`. */
const byName = (figures: readonly number[] | null) =>
  figures &&
  Object.fromEntries(
    figures.map((value, i) => [`p${Math.round(100 * QUANTILES[i]!)}`, rounded(value)]),
  );

/** What is printed: shares 0 to 1, SI, degrees. */
function printed(asked: Asked, certificate: Certificate, perSecond: number) {
  const { share, least, most, runs, outcomes, causes, quantiles } = certificate;
  return {
    share,
    interval: [rounded(least), rounded(most)],
    runs,
    seed: asked.seed,
    spread: asked.spread ?? 'standard',
    outcomes: Object.fromEntries(
      Object.entries(outcomes).map(([outcome, of]) => [outcome, rounded(of)]),
    ),
    causes: causes.map(({ step, share: of, ...cause }) => ({
      ...cause,
      step: step + 1,
      share: rounded(of),
    })),
    quantiles: {
      clearance_m: byName(quantiles.clearance),
      touch_mps: byName(quantiles.touch),
      lineLoad_share: byName(quantiles.load),
      time_s: byName(quantiles.seconds),
    },
    runsPerSecond: rounded(perSecond),
  };
}

const shareOf = ({ share, least, most, runs }: Influence['alone']) => ({
  share,
  interval: [rounded(least), rounded(most)],
  runs,
});

async function certify(words: readonly string[]): Promise<Result<object>> {
  const asked = askedFor(words);
  if (!asked.ok) return asked;
  const { file: path, runs, seed } = asked.value;
  const spread = spreadIn(asked.value.spread);
  if (!spread.ok) return spread;
  const text = readText(path);
  if (!text.ok) return text;
  const file = manoeuvreIn(text.value, path);
  if (!file.ok) return file;
  const input = toRunInput(file.value);
  if (!input.ok) return input;
  const given = { file: file.value, spread: spread.value, seed, runs };

  const trials: Trial[] = [];
  const lots = Array.from({ length: Math.ceil(runs / AT_ONCE) }, (_, i): Task => ({
    is: 'runs',
    from: i * AT_ONCE,
    to: Math.min(runs, (i + 1) * AT_ONCE),
  }));
  const began = performance.now();
  await doneByAll<Task, Done>(given, lots, (found) => {
    if (found.is === 'runs') trials.push(...found.trials);
  });
  const perSecond = (1000 * runs) / (performance.now() - began);
  const certificate = certificateOf(trials.sort((a, b) => a.run - b.run));

  const ranges: RoseRange[] = [];
  const influences: Influence[] = [];
  const more: Task[] = [
    ...(asked.value.rose
      ? Array.from({ length: ROSE_DIRECTIONS }, (_, direction): Task => ({ is: 'rose', direction }))
      : []),
    ...(asked.value.influence
      ? Object.keys(INFLUENCES).map((of): Task => ({ is: 'influence', of: of as InfluenceName }))
      : []),
  ];
  await doneByAll<Task, Done>(given, more, (found) => {
    if (found.is === 'rose') ranges.push(found.range);
    if (found.is === 'influence' && found.found) influences.push(found.found);
  });
  return success({
    ...printed(asked.value, certificate, perSecond),
    rose: asked.value.rose ? roseIn(ranges, rounded) : null,
    ...(asked.value.influence
      ? {
          influence: influences
            .map(({ of, without, alone }) => ({
              of,
              without: shareOf(without),
              alone: shareOf(alone),
            }))
            .toSorted((a, b) => b.without.share - a.without.share || a.of.localeCompare(b.of)),
        }
      : {}),
  });
}

if (isMainThread) void tellResult(certify(process.argv.slice(2)));
else work(parentPort!);
