import { runTillHard, type Outcome, type Run, type RunInput } from '../plan';
import { sampleBefore } from '../simulation';
import { drawOf, spreadFor, varied, type Spread } from '../uncertainty';

/** Where a boat was: m and rad. */
export interface Pose {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
}

/** How one run of a manoeuvre went, as far as a share and its causes ask. SI. */
export interface Trial {
  readonly run: number;
  readonly outcome: Outcome;
  readonly seconds: number;
  /** Step that had begun last, −1 before the first. */
  readonly step: number;
  /** Least clearance of anything but the berth, m, and of what; null with nothing about. */
  readonly clearance: { readonly distance: number; readonly name: string } | null;
  /** Hardest touch: m/s, of what, by which part of the boat. */
  readonly touch:
    | (Pose & { readonly speed: number; readonly name: string; readonly part: string })
    | null;
  /** Greatest share of what parts a line; 0 without any. */
  readonly load: number;
  /** Where the boat was as each step that was reached began, and at the end. */
  readonly poses: readonly Pose[];
}

const poseOf = ({ x, y, heading }: Pose): Pose => ({ x, y, heading });

function poseIn({ x, y, heading }: Run['trace'], at: number): Pose {
  return { x: x[at]!, y: y[at]!, heading: heading[at]! };
}

/** Run `k` of a seed, given up at its first hard touch. */
export function trialOf(input: RunInput, spread: Spread, seed: number, k: number): Trial {
  const run = runTillHard(varied(input, drawOf(spreadFor(spread, input.known), seed, k)));
  const { clearance, touch, line } = run.margins;
  return {
    run: k,
    outcome: run.outcome,
    seconds: run.duration,
    step: run.steps.at(-1)?.step ?? -1,
    clearance: clearance && { distance: clearance.distance, name: clearance.name },
    touch: touch && {
      speed: touch.speed,
      name: touch.name,
      part: touch.part,
      ...poseIn(run.trace, sampleBefore(run.trace, touch.time)),
    },
    load: line ? line.tension / line.breaks : 0,
    poses: [...run.steps.map(poseOf), poseIn(run.trace, run.trace.x.length - 1)],
  };
}

/** It holds when it gets there with no hard touch and nobody or nothing come to harm: that is how a run ends that is done. */
export const holds = ({ outcome }: Trial): boolean => outcome === 'reached';
