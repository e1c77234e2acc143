import { assembleCraft } from '@/core/boat';
import { linesOf, obstacleSetOf, type LineSpec } from '@/core/holding';
import { runPlan, type RunInput } from '@/core/plan';
import {
  environmentFor,
  initialState,
  orderEngine,
  orderRudder,
  timestep,
  vesselOf,
  TIMESTEP_S,
} from '@/core/simulation';
import { check, manoeuvreFileSchema, toRunInput, type ManoeuvreFile } from '@/document';

/**
 * Times of one case: checking the file, one run (first, median, fastest), one bare step. A fixed loop timed between runs
 * tells how fast the machine goes: a run's length in such loops (median), and the loop's own time (median, and that of the tenth part that went fastest: a core may go faster still for a moment).
 */
export interface Measured {
  readonly checkMs: number;
  readonly firstMs: number;
  readonly medianMs: number;
  readonly bestMs: number;
  readonly loops: number;
  readonly loopMs: number;
  readonly bestLoopMs: number;
  readonly stepNs: number;
  readonly simulatedS: number;
}

const LOOPS = 300;
const LOOP = 2000;
const ROW = Float64Array.from({ length: 512 }, (_, i) => 0.2 + i / 1024);

/** Arithmetic of the step's kind: several sums at once out of a small array. */
function sums(): number {
  let a = 0;
  let b = 0;
  let c = 0;
  let d = 0;
  for (let i = 0; i < LOOP; i++) {
    const x = ROW[i & 511]!;
    const y = ROW[(i * 7) & 511]!;
    a += x * y;
    b += Math.sqrt(x + y);
    c += x > y ? x - y : y * x;
    d += x / (1 + y);
  }
  return a + b + c + d;
}

/**
 * Milliseconds of a fixed amount of such arithmetic, so that a neighbour on the same core is felt as the step feels
 * him. In many short calls, as an engine makes its best of a function by how often it is called.
 */
function loopMs(): number {
  const from = performance.now();
  let sum = 0;
  for (let k = 0; k < LOOPS; k++) sum += sums();
  const ms = performance.now() - from;
  // Looked at, so that it is not left out.
  return sum < 0 ? Infinity : ms;
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

function quantile(values: readonly number[], share: number): number {
  return values.slice().sort((a, b) => a - b)[Math.floor(values.length * share)]!;
}

function median(values: readonly number[]): number {
  return quantile(values, 0.5);
}

function inputOf(file: unknown, lines: readonly LineSpec[]): RunInput {
  const checked = check<ManoeuvreFile>(manoeuvreFileSchema, file);
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  const input = toRunInput(checked.value);
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  // Without lines of the bench's own, those of the plan are tended by its hands.
  return lines.length > 0 ? { ...input.value, lines: linesOf(lines) } : input.value;
}

const STEPS = 6000;
const WARM_UPS = 30;

/** A boat with touches and lines in play, ready for bare steps: no records kept, nothing made in between. */
function stepper(input: RunInput): (steps: number) => void {
  const craft = assembleCraft(input.boat);
  const world = {
    craft,
    obstacles: input.obstacles,
    environment: environmentFor(craft, input.weather),
    lines: input.lines ?? linesOf([]),
    shore: obstacleSetOf(input.obstacles),
  };
  const state = initialState(craft, input.start, world.lines);
  const vessel = vesselOf(world, state);
  orderRudder(state, craft, 0.2);
  craft.spec.drives.forEach((d, i) => orderEngine(state.engines[i]!, d, 1, 0.1));
  return (steps) => {
    for (let i = 0; i < steps; i++) timestep(vessel, TIMESTEP_S);
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
  for (let i = 0; i < WARM_UPS; i++) loopMs();
  const loops = [loopMs()];
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    simulatedS = runPlan(input).duration;
    times.push(performance.now() - from);
    loops.push(loopMs());
  }
  // The machine is shared: its cores run now at one speed, now at half of it.
  const inLoops = times.map((ms, i) => (2 * ms) / (loops[i]! + loops[i + 1]!));
  return {
    checkMs,
    firstMs: times[0]!,
    medianMs: median(times),
    bestMs: Math.min(...times),
    loops: median(inLoops),
    loopMs: median(loops),
    bestLoopMs: quantile(loops, 0.1),
    stepNs: bareStep(input),
    simulatedS,
  };
}

/** Of many varied runs: how many reached their end, and the fixed loop's mean time meanwhile and that of its fastest tenth. */
export interface Varied {
  readonly done: number;
  readonly loopMs: number;
  readonly bestLoopMs: number;
}

const LOOK_EVERY = 10;

/** Plays the case with wind and start varied, number `from` to before `to`. */
export function varied(
  file: unknown,
  lines: readonly LineSpec[],
  from: number,
  to: number,
): Varied {
  const input = inputOf(file, lines);
  let done = 0;
  for (let i = 0; i < WARM_UPS; i++) loopMs();
  const loops = [loopMs()];
  for (let i = from; i < to; i++) {
    if (i % LOOK_EVERY === 0) loops.push(loopMs());
    // Low-discrepancy spread, so that every share of the thousand is as varied as the whole.
    const a = (i * 0.618033988749895) % 1;
    const b = (i * 0.754877666246693) % 1;
    const run = runPlan({
      ...input,
      weather: {
        ...input.weather,
        windSpeed: input.weather.windSpeed * (0.6 + 0.8 * a),
        windFrom: input.weather.windFrom + 0.6 * (b - 0.5),
      },
      start: { ...input.start, heading: input.start.heading + 0.01 * (a - 0.5) },
    });
    if (run.duration >= input.limit - 1) done += 1;
  }
  return { done, loopMs: mean(loops), bestLoopMs: quantile(loops, 0.1) };
}
