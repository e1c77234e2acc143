import { assembleCraft } from '@/core/craft';
import { linesOf, shoreOf, type LineSpec } from '@/core/holding';
import { runTake, type RunInput } from '@/core/score';
import {
  environmentFor,
  initialState,
  makeScratch,
  orderEngine,
  orderRudder,
  step,
  STEP_S,
} from '@/core/sim';
import { check, manoeuvreFileSchema, toRunInput, type ManoeuvreFile } from '@/document';

/** Times of one case: checking the file, one run (first, median, fastest), one bare step. */
export interface Measured {
  readonly checkMs: number;
  readonly firstMs: number;
  readonly medianMs: number;
  readonly bestMs: number;
  readonly stepNs: number;
  readonly simulatedS: number;
}

function inputOf(file: unknown, lines: readonly LineSpec[]): RunInput {
  const checked = check<ManoeuvreFile>(manoeuvreFileSchema, file);
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  const input = toRunInput(checked.value);
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return { ...input.value, lines: linesOf(lines) };
}

const STEPS = 6000;

/** A boat with touches and lines in play, ready for bare steps: no records kept, nothing made in between. */
function stepper(input: RunInput): (steps: number) => void {
  const craft = assembleCraft(input.boat);
  const world = {
    craft,
    obstacles: input.obstacles,
    environment: environmentFor(craft, input.weather),
    lines: input.lines ?? linesOf([]),
    shore: shoreOf(input.obstacles),
  };
  const state = initialState(craft, input.start);
  const s = makeScratch(world);
  orderRudder(state, craft, 0.2);
  craft.spec.drives.forEach((d, i) => orderEngine(state.engines[i]!, d, 1, 0.1));
  return (steps) => {
    for (let i = 0; i < steps; i++) step(state, world, s, STEP_S, null);
  };
}

/** The same from a file. */
export function bareSteps(file: unknown, lines: readonly LineSpec[]): (steps: number) => void {
  return stepper(inputOf(file, lines));
}

/** Nanoseconds of one step with touches and lines in play, the run's keeping of records left out. */
function bareStep(input: RunInput): number {
  const steps = stepper(input);
  let best = Infinity;
  for (let k = 0; k < 5; k++) {
    const from = performance.now();
    steps(STEPS);
    best = Math.min(best, performance.now() - from);
  }
  return (best * 1e6) / STEPS;
}

/** Runs a case `runs` times. In Node and in a browser alike. */
export function measure(file: unknown, lines: readonly LineSpec[], runs: number): Measured {
  const began = performance.now();
  const input = inputOf(file, lines);
  const checkMs = performance.now() - began;
  const times: number[] = [];
  let simulatedS = 0;
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    simulatedS = runTake(input).duration;
    times.push(performance.now() - from);
  }
  const sorted = times.slice().sort((a, b) => a - b);
  return {
    checkMs,
    firstMs: times[0]!,
    medianMs: sorted[Math.floor(sorted.length / 2)]!,
    bestMs: sorted[0]!,
    stepNs: bareStep(input),
    simulatedS,
  };
}

/** Plays the case with wind, start and throttle varied, `from` to before `to`; tells how many reached their end. */
export function varied(
  file: unknown,
  lines: readonly LineSpec[],
  from: number,
  to: number,
): number {
  const input = inputOf(file, lines);
  let done = 0;
  for (let i = from; i < to; i++) {
    // Low-discrepancy spread, so that every share of the thousand is as varied as the whole.
    const a = (i * 0.618033988749895) % 1;
    const b = (i * 0.754877666246693) % 1;
    const take = runTake({
      ...input,
      weather: {
        ...input.weather,
        windSpeed: input.weather.windSpeed * (0.6 + 0.8 * a),
        windFrom: input.weather.windFrom + 0.6 * (b - 0.5),
      },
      start: { ...input.start, heading: input.start.heading + 0.01 * (a - 0.5) },
    });
    if (take.duration >= input.limit - 1) done += 1;
  }
  return done;
}
