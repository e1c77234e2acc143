import { runTake, type RunInput } from '../score';
import type { SimState } from '../sim';
import { Surroundings } from './episode';
import { inHandFrom, type InHand } from './in-hand';
import { wayOutAt, type WayOutAt } from './way-out';

/** What stands open at a moment of a take. */
export interface Moment {
  readonly time: number;
  readonly wayOut: WayOutAt;
  /** Time in hand with the controls as they are, and with engines in neutral. */
  readonly alone: InHand | null;
  readonly neutral: InHand | null;
}

/** A moment found, its place among `of`, and how many are known by now. */
export interface Surveyed {
  readonly index: number;
  readonly of: number;
  readonly known: number;
  readonly moment: Moment;
}

const MOMENTS = 48;
const LEAST_APART_S = 0.5;
/** The first look is at every sixth moment. */
const STRIDE = 6;

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

/** Her state at moments spread evenly over a take, first and last included. */
export function momentsOf(input: RunInput, about: Surroundings): SimState[] {
  const samples: SimState[] = [];
  const take = runTake(input, (state) => {
    samples.push(about.copyOf(state));
  });
  const count = Math.max(2, Math.min(MOMENTS, Math.floor(take.duration / LEAST_APART_S) + 1));
  const last = samples.length - 1;
  if (last < count) return samples;
  return Array.from({ length: count }, (_, i) => samples[Math.round((i * last) / (count - 1))]!);
}

/** The way out from moments all over a take, and nothing else. */
export function waysOut(input: RunInput): readonly WayOutAt[] {
  const about = new Surroundings(input);
  let before: WayOutAt | null = null;
  return momentsOf(input, about).map((from) => {
    before = wayOutAt(about, from, before?.by ?? null);
    return before;
  });
}

/**
 * Looks from moments all over a take at what stands open: the way out, and the time in hand. A generator, so that
 * whoever asks can show what is known and stop.
 */
export function* surveyTake(input: RunInput): Generator<Surveyed> {
  const about = new Surroundings(input);
  const states = momentsOf(input, about);
  const found = new Array<Moment | undefined>(states.length);
  let known = 0;
  for (const index of coarseToFine(states.length, STRIDE)) {
    const from = states[index]!;
    const before = found.slice(0, index).findLast((moment) => moment !== undefined);
    const moment: Moment = {
      time: from.time,
      wayOut: wayOutAt(about, from, before?.wayOut.by ?? null),
      alone: inHandFrom(about, from, 'as they are'),
      neutral: inHandFrom(about, from, 'neutral'),
    };
    found[index] = moment;
    known += 1;
    yield { index, of: states.length, known, moment };
  }
}
