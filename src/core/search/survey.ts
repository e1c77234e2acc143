import { runPlan, type RunInput, type Run } from '../plan';
import type { SimState } from '../simulation';
import { Surroundings } from './rollout';
import { timeToContactFrom, type TimeToContact } from './time-to-contact';
import { wayOutAt, type WayOutAt } from './way-out';

/** What stands open at a moment of a run. */
export interface Moment {
  readonly time: number;
  readonly wayOut: WayOutAt;
  /** Time in hand with the controls as they are, and with engines in neutral; null until it is looked into. */
  readonly timeToContact: {
    readonly alone: TimeToContact | null;
    readonly neutral: TimeToContact | null;
  } | null;
}

/** A moment found, or found more of, and its place among `of`. */
export interface Surveyed {
  readonly index: number;
  readonly of: number;
  readonly moment: Moment;
}

const MOMENTS = 48;
const LEAST_APART_S = 0.5;
/** The first look is at every twelfth moment, the next at every sixth: a band is there at once, if coarse. */
const STRIDE = 12;

/** Order in which moments are looked at: a coarse pass over the whole first, then what lies between. */
export function coarseToFine(count: number, stride: number): number[] {
  const order: number[] = [];
  const seen = new Set<number>();
  const add = (i: number) => {
    if (i >= count || seen.has(i)) return;
    seen.add(i);
    order.push(i);
  };
  for (let by = stride; by >= 1; by = Math.floor(by / 2)) {
    for (let i = 0; i < count; i += by) add(i);
    if (by === stride) add(count - 1);
  }
  return order;
}

/** The boat's state at moments spread evenly over a run, first and last included; the run itself is told. */
export function momentsOf(
  input: RunInput,
  about: Surroundings,
  told?: (run: Run) => void,
): SimState[] {
  const samples: SimState[] = [];
  const run = runPlan(input, (state) => {
    samples.push(about.copyOf(state));
  });
  told?.(run);
  const count = Math.max(2, Math.min(MOMENTS, Math.floor(run.duration / LEAST_APART_S) + 1));
  const last = samples.length - 1;
  if (last < count) return samples;
  return Array.from({ length: count }, (_, i) => samples[Math.round((i * last) / (count - 1))]!);
}

/** The way out from moments all over a run, and nothing else. */
export function waysOut(input: RunInput): readonly WayOutAt[] {
  const about = new Surroundings(input);
  return waysOutFrom(about, momentsOf(input, about));
}

/** The same from moments that are known, in their order. */
export function waysOutFrom(about: Surroundings, states: readonly SimState[]): readonly WayOutAt[] {
  let before: WayOutAt | null = null;
  return states.map((from) => {
    before = wayOutAt(about, from, before?.by ?? null);
    return before;
  });
}

/**
 * Looks from moments all over a run at what stands open: the way out from every one first, then the time in hand. A
 * generator, so that whoever asks can show what is known and stop; every moment comes twice.
 *
 * @param told gets the run that is looked at, before anything of it is known
 */
export function* surveyRun(input: RunInput, told?: (run: Run) => void): Generator<Surveyed> {
  const about = new Surroundings(input);
  const states = momentsOf(input, about, told);
  const order = coarseToFine(states.length, STRIDE);
  const ways = new Array<WayOutAt | undefined>(states.length);
  const of = states.length;
  for (const index of order) {
    const { time } = states[index]!;
    const before = ways.slice(0, index).findLast((way) => way !== undefined);
    const wayOut = wayOutAt(about, states[index]!, before?.by ?? null);
    ways[index] = wayOut;
    yield { index, of, moment: { time, wayOut, timeToContact: null } };
  }
  // Following the boat for a minute each way takes longer than all the escapes; the band does not wait for it.
  for (const index of order) {
    const from = states[index]!;
    const timeToContact = {
      alone: timeToContactFrom(about, from, 'as they are'),
      neutral: timeToContactFrom(about, from, 'neutral'),
    };
    yield { index, of, moment: { time: from.time, wayOut: ways[index]!, timeToContact } };
  }
}

/** All that a survey finds, in the order of time. */
export function surveyed(input: RunInput): readonly Moment[] {
  const moments: Moment[] = [];
  for (const { index, moment } of surveyRun(input)) moments[index] = moment;
  return moments;
}
