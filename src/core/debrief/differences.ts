import { playRecording, type DriveInput, type Recording, type Surprise } from '../drive';
import { wrapHalfTurn } from '../math';
import type { RunInput, Run } from '../plan';
import {
  ORDER_MOVED_S,
  FIGURE_CHANGED,
  CAUSE_LEAST_SHARE,
  ORDER_ALONE_COST,
  PLACE_APART_COST,
  FIGURE_APART_COST,
  CLEARANCE_COMPARED_TO_M,
  TOUCH_AS_METRES,
} from '../policy';
import { TIMESTEP_S } from '../simulation';
import { sameBy, wayMade } from './along';
import { byChannel, sameChannel, unlike, type Channel } from './channels';

/** A driven run, and what it was driven in. */
export interface DrivenRun {
  readonly input: RunInput;
  readonly recording: Recording;
}

/** One thing that was otherwise. Times are of the run that is held against the reference, s. */
export type Change =
  | {
      /** The same order at another place: so many seconds later than where the reference gives it. */
      readonly is: 'moved';
      readonly channel: Channel;
      readonly input: DriveInput;
      readonly late: number;
    }
  | {
      /** Another figure of the same order. */
      readonly is: 'other';
      readonly channel: Channel;
      readonly input: DriveInput;
      readonly reference: DriveInput;
    }
  | {
      readonly is: 'missing';
      readonly channel: Channel;
      readonly reference: DriveInput;
      readonly time: number;
    }
  | { readonly is: 'extra'; readonly channel: Channel; readonly input: DriveInput }
  | { readonly is: 'wind' }
  | { readonly is: 'current' }
  | { readonly is: 'start' }
  | { readonly is: 'surprise'; readonly surprise: Surprise; readonly in: 'reference' | 'other' };

/** A change, and how much of the difference between the runs goes away when it alone is undone: 1 for all of it. */
export interface Cause {
  readonly change: Change;
  readonly share: number;
}

/** What two runs came to, the reference first; SI. */
export interface Came {
  readonly clearance: readonly [number, number];
  readonly touch: readonly [number, number];
  readonly apart: number;
  readonly turned: number;
}

export interface Differences {
  readonly came: Came;
  /** Those that mattered, in order of effect. */
  readonly causes: readonly Cause[];
  /** How many were tried by playing again. */
  readonly tried: number;
}

const MOST_TRIED = 80;

interface Result {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
  readonly clearance: number;
  readonly touch: number;
}

function resultOf({ trace, clearance, touches }: Run): Result {
  const last = trace.x.length - 1;
  return {
    x: trace.x[last]!,
    y: trace.y[last]!,
    heading: trace.heading[last]!,
    clearance: Math.min(CLEARANCE_COMPARED_TO_M, clearance?.distance ?? CLEARANCE_COMPARED_TO_M),
    touch: touches.reduce((most, { speed }) => Math.max(most, speed), 0),
  };
}

function apart(a: Result, b: Result, length: number): number {
  const dx = a.x - b.x;
  const dy = a.y - b.y;
  const turned = 0.5 * length * wrapHalfTurn(a.heading - b.heading);
  const clear = a.clearance - b.clearance;
  const touch = TOUCH_AS_METRES * (a.touch - b.touch);
  return Math.sqrt(dx * dx + dy * dy + turned * turned + clear * clear + touch * touch);
}

interface Placed {
  readonly input: DriveInput;
  /** Way made when it was given, m. */
  readonly way: number;
}

/** Lines two rows of orders up, each kept in its order (Needleman & Wunsch 1970): pairs, and those alone. */
function linedUp(a: readonly Placed[], b: readonly Placed[], length: number) {
  const cost = (one: Placed, two: Placed) =>
    (PLACE_APART_COST * Math.abs(one.way - two.way)) / length +
    FIGURE_APART_COST * unlike(one.input.order, two.input.order);
  const width = b.length + 1;
  const best = new Float64Array((a.length + 1) * width);
  for (let i = 0; i <= a.length; i++) {
    for (let k = 0; k <= b.length; k++) {
      if (i === 0 && k === 0) continue;
      const up = i > 0 ? best[(i - 1) * width + k]! + ORDER_ALONE_COST : Infinity;
      const left = k > 0 ? best[i * width + k - 1]! + ORDER_ALONE_COST : Infinity;
      const both =
        i > 0 && k > 0 ? best[(i - 1) * width + k - 1]! + cost(a[i - 1]!, b[k - 1]!) : Infinity;
      best[i * width + k] = Math.min(up, left, both);
    }
  }
  const pairs: { a: Placed | null; b: Placed | null }[] = [];
  let i = a.length;
  let k = b.length;
  while (i > 0 || k > 0) {
    const here = best[i * width + k]!;
    if (i > 0 && k > 0 && here === best[(i - 1) * width + k - 1]! + cost(a[i - 1]!, b[k - 1]!)) {
      pairs.unshift({ a: a[--i]!, b: b[--k]! });
    } else if (i > 0 && here === best[(i - 1) * width + k]! + ORDER_ALONE_COST) {
      pairs.unshift({ a: a[--i]!, b: null });
    } else pairs.unshift({ a: null, b: b[--k]! });
  }
  return pairs;
}

interface Played extends DrivenRun {
  readonly run: Run;
  readonly way: Float64Array;
}

function changesOf(reference: Played, other: Played, length: number): Change[] {
  const on = (played: Played) => ({ trace: played.run.trace, way: played.way });
  const placed = (played: Played) => (input: DriveInput) => ({
    input,
    way: played.way[Math.min(played.way.length - 1, input.timestep)]!,
  });
  const a = byChannel(reference.recording.inputs);
  const b = byChannel(other.recording.inputs);
  const changes: Change[] = [];
  for (const key of new Set([...a.keys(), ...b.keys()])) {
    const { channel } = (a.get(key) ?? b.get(key))!;
    const mine = (a.get(key)?.inputs ?? []).map(placed(reference));
    const theirs = (b.get(key)?.inputs ?? []).map(placed(other));
    for (const pair of linedUp(mine, theirs, length)) {
      if (!pair.a) changes.push({ is: 'extra', channel, input: pair.b!.input });
      else {
        const due = sameBy(on(reference), on(other), pair.a.input.timestep * TIMESTEP_S);
        if (!pair.b) changes.push({ is: 'missing', channel, reference: pair.a.input, time: due });
        else {
          const { input } = pair.b;
          const late = input.timestep * TIMESTEP_S - due;
          if (Math.abs(late) >= ORDER_MOVED_S) changes.push({ is: 'moved', channel, input, late });
          if (unlike(pair.a.input.order, input.order) >= FIGURE_CHANGED)
            changes.push({ is: 'other', channel, input, reference: pair.a.input });
        }
      }
    }
  }
  return [...changes, ...givenOtherwise(reference, other)];
}

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);
const windOf = ({ weather }: RunInput) => {
  const { windFrom, windSpeed, gusts, windStrength, windVeer } = weather;
  return { windFrom, windSpeed, gusts, windStrength, windVeer };
};
const currentOf = ({ weather }: RunInput) => {
  const { currentSet, currentSpeed, current } = weather;
  return { currentSet, currentSpeed, current };
};

/** What of the day, the start and chance was otherwise. */
function givenOtherwise(reference: DrivenRun, other: DrivenRun): Change[] {
  /** Surprises one run had and the other had not, either way round. */
  const lonely = (one: DrivenRun, two: DrivenRun, where: 'reference' | 'other') =>
    one.recording.surprises
      .filter((surprise) => !two.recording.surprises.some((known) => same(known, surprise)))
      .map((surprise): Change => ({ is: 'surprise', surprise, in: where }));
  return [
    ...(same(windOf(reference.input), windOf(other.input)) ? [] : [{ is: 'wind' } as const]),
    ...(same(currentOf(reference.input), currentOf(other.input))
      ? []
      : [{ is: 'current' } as const]),
    ...(same(reference.input.start, other.input.start) ? [] : [{ is: 'start' } as const]),
    ...lonely(other, reference, 'other'),
    ...lonely(reference, other, 'reference'),
  ];
}

/** Keys of a weather that are not there are left out, not put in empty. */
function withWeather(input: RunInput, part: object): RunInput {
  const weather = Object.fromEntries(
    Object.entries({ ...input.weather, ...part }).filter(([, value]) => value !== undefined),
  );
  return { ...input, weather: weather as unknown as RunInput['weather'] };
}

/** The movement of the hand an input ended: what came within it is moved or taken out with it. */
function handOf(
  inputs: readonly DriveInput[],
  { timestep, order }: DriveInput,
): readonly DriveInput[] {
  const alike = (one: DriveInput) =>
    sameChannel(one.order, order) && Number.isFinite(unlike(one.order, order));
  const at = inputs.findIndex((input) => input.timestep === timestep && alike(input));
  if (at < 0) return [];
  const hand = [inputs[at]!];
  for (const next of inputs.slice(at + 1)) {
    if (hand.at(-1)!.order === order) break;
    if (alike(next)) hand.push(next);
  }
  return hand;
}

/** The other run with one change undone. */
function undone(change: Change, reference: DrivenRun, other: DrivenRun): DrivenRun {
  const { recording, input } = other;
  const put = (inputs: readonly DriveInput[]): DrivenRun => ({
    input,
    recording: { ...recording, inputs: inputs.toSorted((a, b) => a.timestep - b.timestep) },
  });
  const without = (gone: readonly DriveInput[]) =>
    recording.inputs.filter((one) => !gone.includes(one));
  const most = recording.timesteps;
  const timestepAt = (time: number) => Math.max(0, Math.min(most, Math.round(time / TIMESTEP_S)));
  switch (change.is) {
    case 'moved': {
      const hand = handOf(recording.inputs, change.input);
      const by = Math.round(change.late / TIMESTEP_S);
      const moved = hand.map(({ timestep, order }) => ({
        timestep: timestepAt((timestep - by) * TIMESTEP_S),
        order,
      }));
      return put([...without(hand), ...moved]);
    }
    case 'other': {
      const hand = handOf(recording.inputs, change.input);
      const { timestep } = change.input;
      return put([...without(hand), { timestep, order: change.reference.order }]);
    }
    case 'missing':
      return put([
        ...recording.inputs,
        { timestep: timestepAt(change.time), order: change.reference.order },
      ]);
    case 'extra':
      return put(without(handOf(recording.inputs, change.input)));
    case 'wind':
      return { input: withWeather(input, windOf(reference.input)), recording };
    case 'current':
      return { input: withWeather(input, currentOf(reference.input)), recording };
    case 'start':
      return { input: { ...input, start: reference.input.start }, recording };
    case 'surprise': {
      const { surprises } = recording;
      const next =
        change.in === 'other'
          ? surprises.filter((one) => one !== change.surprise)
          : [...surprises, change.surprise];
      return { input, recording: { ...recording, surprises: next } };
    }
  }
}

/**
 * What was different between two runs of one manoeuvre, and which of it mattered: orders are lined up by the place along
 * the track they were given at, and every change is undone by itself and the run played again, to see how much of the
 * difference in what it came to goes away.
 */
export function differencesBetween(reference: DrivenRun, other: DrivenRun): Differences {
  const played = (driven: DrivenRun): Played => {
    const { run } = playRecording(driven.input, driven.recording);
    return { ...driven, run, way: wayMade(run.trace) };
  };
  const a = played(reference);
  const b = played(other);
  const { length } = reference.input.boat.hull;
  const meant = resultOf(a.run);
  const found = resultOf(b.run);
  const whole = apart(meant, found, length);
  const changes = changesOf(a, b, length).slice(0, MOST_TRIED);
  const causes = changes.flatMap((change): Cause[] => {
    if (whole === 0) return [];
    const again = undone(change, reference, other);
    const { run } = playRecording(again.input, again.recording);
    const share = 1 - apart(meant, resultOf(run), length) / whole;
    return share >= CAUSE_LEAST_SHARE ? [{ change, share }] : [];
  });
  const dx = meant.x - found.x;
  const dy = meant.y - found.y;
  return {
    came: {
      clearance: [a.run.clearance?.distance ?? Infinity, b.run.clearance?.distance ?? Infinity],
      touch: [meant.touch, found.touch],
      apart: Math.sqrt(dx * dx + dy * dy),
      turned: wrapHalfTurn(found.heading - meant.heading),
    },
    causes: causes.toSorted((one, two) => two.share - one.share),
    tried: changes.length,
  };
}
