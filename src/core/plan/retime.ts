import type { SimState } from '../simulation';
import { armTrigger, cueDefinition, partsOf, type Trigger } from './cues';
import type { RunInput } from './input';
import { runPlan } from './run-loop';

/** One of the conditions of a cue, as the run goes on while the step is held back. */
export interface PartHeld {
  /** When it first comes true, s; null if never. */
  readonly moment: number | null;
  /** What its figure would have to be to come true then, at each of `times`, SI and radians; null if it has none. */
  readonly figures: Float64Array | null;
}

/** How a run goes on if a step is held back: what its cue would have to say, to come at any moment. */
export interface HeldBack {
  /** When the step before began, s. */
  readonly from: number;
  readonly times: Float64Array;
  /** One of each condition of the cue, in its order; a plain cue has one. */
  readonly parts: readonly PartHeld[];
}

/**
 * Runs a manoeuvre with a step and all after it left out, and reads at every sample what the step's cue would have to
 * say to come there: what a writer needs who moves a step in time.
 *
 * @param step its place in the plan; the number of steps for the end of the plan
 * @param most seconds after the step before
 * @returns null if the step before is never reached
 */
export function holdBack(input: RunInput, step: number, most: number): HeldBack | null {
  const { steps, end } = input.plan;
  const cue = (steps[step] ?? end).cue;
  const parts = partsOf(cue);
  const ending = { cue: { is: 'after', time: most } as const, within: most };
  const held: RunInput = { ...input, plan: { steps: steps.slice(0, step), end: ending } };
  const begins = step === 0 ? 0 : runPlan(held).steps[step - 1]?.time;
  if (begins === undefined) return null;

  const times: number[] = [];
  const figures: number[][] = parts.map(() => []);
  const moments: (number | null)[] = parts.map(() => null);
  let from: SimState | null = null;
  let gates: Trigger[] = [];
  runPlan(held, (state, world, aboard) => {
    if (state.time < begins - 1e-9) return;
    if (from === null) {
      from = { ...state, motion: state.motion.slice(), time: begins };
      gates = parts.map((part) => armTrigger(part, state, world, aboard));
    }
    times.push(state.time);
    parts.forEach((part, i) => {
      figures[i]!.push(cueDefinition(part).figure?.now(part as never, state, world, from!) ?? NaN);
      if (moments[i] === null && gates[i]!.level(state, world) >= 0) moments[i] = state.time;
    });
  });
  return {
    from: begins,
    times: Float64Array.from(times),
    parts: parts.map((part, i) => ({
      moment: moments[i]!,
      figures: cueDefinition(part).figure ? Float64Array.from(figures[i]!) : null,
    })),
  };
}
