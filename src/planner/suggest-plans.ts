import {
  AT_ONCE,
  HOLDS_ENOUGH,
  LESS_WIND,
  MOST_PLANS,
  REMEDY_FIRST,
  SUGGESTING,
  TRIES_A_SECOND,
} from '@/core/policy';
import {
  certificateOf,
  holds,
  shareOf,
  trialOf,
  type Certificate,
  type Share,
  type Trial,
} from '@/core/reliability';
import { referenceOutlook, referenceRun } from '@/core/reference';
import { drawOf, spreadFor, varied, type Spread } from '@/core/uncertainty';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import type { PlanDocument } from '@/document/plan';
import { success, type Result } from '@/document/result';
import { toRunInput } from '@/document/run-input';
import { turnedRound } from './compare';
import { isRefused, type Refusal, type Unless } from './refusals';
import { workedPlan, workedWays, type WorkedPlan, type WorkedWay } from './worked';

/** Something to be played of one of the manoeuvres at hand: a way of working it laid out, or some tries with its plan, or as the reference helm handles it. */
export type Tries =
  | { readonly of: 'way'; readonly file: ManoeuvreFile; readonly way: WorkedWay }
  | {
      readonly of: 'plan' | 'reference helm';
      readonly file: ManoeuvreFile;
      readonly seed: number;
      readonly from: number;
      readonly to: number;
    };

/** What became of it: of a way its plan, of a plan the trials, of the reference helm which of them it held in. */
export type Tried =
  | { readonly of: 'way'; readonly laid: Result<Unless<WorkedPlan>> }
  | { readonly of: 'plan'; readonly trials: readonly Trial[] }
  | { readonly of: 'reference helm'; readonly held: readonly boolean[] };

/** Plays them: in a worker of its own, where there are several. */
export function tryOut(tries: Tries, spread: Spread): Tried {
  if (tries.of === 'way') return { of: 'way', laid: workedPlan(tries.file, tries.way) };
  const { of, file, seed, from, to } = tries;
  const input = toRunInput(file);
  if (!input.ok) throw new Error('a manoeuvre that was looked through can be run');
  const runs = Array.from({ length: to - from }, (_, i) => from + i);
  if (of === 'plan') return { of, trials: runs.map((k) => trialOf(input.value, spread, seed, k)) };
  const about = referenceOutlook(input.value);
  const known = spreadFor(spread, input.value.known);
  const held = runs.map(
    (k) =>
      referenceRun(about, varied(input.value, drawOf(known, seed, k))).run.outcome === 'reached',
  );
  return { of, held };
}

/** What a suggestion is at just now: how far the way is clear, which way is tried out, what is made easier. */
export type Doing = 'laying' | 'reference helm' | 'choosing' | 'certifying' | Remedy['is'];

/** Tries a suggestion wants to have played: lists of them, what for, and what is found so far. */
export interface Wanted {
  readonly doing: Doing;
  readonly all: readonly (readonly Tries[])[];
  readonly soFar: Suggestion;
}
/** What came of each list, in their order. */
type Answers = readonly (readonly Tried[])[];
type Asking<T> = Generator<Wanted, T, Answers>;

/** Has tries played, all at once as far as there are cores, and tells of each list what came of it, in their order. */
export type TryAll = (all: readonly (readonly Tries[])[]) => Promise<Answers>;

/** A plan that was found and how sure it is. */
export interface SuggestedPlan extends WorkedPlan {
  readonly way: WorkedWay;
  readonly certificate: Certificate;
}

/** What would make it hold: less wind, or lying the other way round; with the plan that then does. */
export interface Remedy {
  readonly is: 'less wind' | 'other way round';
  /** Wind it is tried in, m/s. */
  readonly wind: number;
  readonly goal: ManoeuvreFile['goal'];
  readonly plan: PlanDocument;
  readonly certificate: Certificate;
}

export interface Suggestion {
  /** Best first. */
  readonly plans: readonly SuggestedPlan[];
  /** What the helm that sees everything holds in; null where the goal is none it knows. */
  readonly reference: Share | null;
  readonly refused: Refusal | null;
  readonly remedies: readonly Remedy[];
}

const lots = (
  tries: Pick<Extract<Tries, { readonly from: number }>, 'of' | 'file' | 'seed'>,
  from: number,
  count: number,
): Tries[] =>
  Array.from({ length: Math.ceil(count / AT_ONCE) }, (_, i) => ({
    ...tries,
    from: from + i * AT_ONCE,
    to: from + Math.min(count, (i + 1) * AT_ONCE),
  }));

const trialsOf = (tried: readonly Tried[]): Trial[] =>
  tried.flatMap((one) => (one.of === 'plan' ? one.trials : [])).toSorted((a, b) => a.run - b.run);

const laidBy = (tried: Tried): Result<Unless<WorkedPlan>> => {
  if (tried.of !== 'way') throw new Error('a way that was to be laid out comes back as a plan');
  return tried.laid;
};

const shareHeld = (trials: readonly Trial[]) => trials.filter(holds).length / trials.length;

/** Those a certificate is made of are no others' tries. */
const FRESH = 1_000_000;

interface Laid extends WorkedPlan {
  readonly way: WorkedWay;
}

const NOTHING: Suggestion = { plans: [], reference: null, refused: null, remedies: [] };

/** What is asked of a suggestion: tries by a seed, and how long it may take on two cores; so many are made, the same for the same seed. */
export interface Suggesting {
  readonly seed: number;
  readonly seconds: number;
}

/** Plans found for a manoeuvre: what has to be tried on the way is asked for, and what came of it told back. */
function* suggesting(
  file: ManoeuvreFile,
  { seed, seconds }: Suggesting,
): Asking<Result<Suggestion>> {
  const tries = Math.max(SUGGESTING.least, Math.round(seconds * TRIES_A_SECOND));
  const found: Laid[] = [];
  const ways = workedWays(file);
  const laid = yield {
    doing: 'laying',
    all: [ways.map((way) => ({ of: 'way', file, way }))],
    soFar: NOTHING,
  };
  for (const [i, one] of laid[0]!.entries()) {
    const plan = laidBy(one);
    if (!plan.ok) return plan;
    if (isRefused(plan.value)) return success({ ...NOTHING, refused: plan.value.refused });
    found.push({ way: ways[i]!, ...plan.value });
  }
  const each = Math.max(5, Math.round((SUGGESTING.choosing * tries) / found.length));
  const tried = ({ plan }: Laid, from: number, count: number) =>
    lots({ of: 'plan', file: { ...file, plan }, seed }, from, count);
  const byPlan = yield {
    doing: 'choosing',
    all: found.map((one) => tried(one, 0, each)),
    soFar: NOTHING,
  };
  const best = found
    .map((one, i) => ({ ...one, share: shareHeld(trialsOf(byPlan[i]!)) }))
    .toSorted((a, b) => b.share - a.share)
    .slice(0, MOST_PLANS);
  const certifying = Math.max(20, Math.round(SUGGESTING.certifying * tries));
  const plans: SuggestedPlan[] = [];
  const sorted = () => plans.toSorted((a, b) => b.certificate.least - a.certificate.least);
  for (const [i, one] of best.entries()) {
    const list = tried(one, FRESH, i === 0 ? certifying : each);
    const [came] = yield {
      doing: 'certifying',
      all: [list],
      soFar: { ...NOTHING, plans: sorted() },
    };
    plans.push({ ...one, certificate: certificateOf(trialsOf(came!)) });
  }
  // The same fenders for it, so that the plan falls short of it by handling alone.
  const { fenders } = best[0]!.plan;
  const fendered = { ...file, plan: { ...file.plan, fenders } };
  const asReference = Math.max(10, Math.round(SUGGESTING.reference * tries));
  const [byReference] = yield {
    doing: 'reference helm',
    all: [lots({ of: 'reference helm', file: fendered, seed }, 0, asReference)],
    soFar: { ...NOTHING, plans: sorted() },
  };
  const held = byReference!.flatMap((one) => (one.of === 'reference helm' ? one.held : []));
  const whole: Suggestion = {
    ...NOTHING,
    plans: sorted(),
    reference: shareOf(held.filter(Boolean).length, held.length),
  };
  const [surest] = whole.plans;
  if (surest!.certificate.share >= HOLDS_ENOUGH) return success(whole);
  const remedies = yield* remediesFor(whole, file, { seed, count: certifying });
  return success({ ...whole, remedies });
}

/** One thing at a time made easier, the least of it that holds. */
function* remediesFor(
  soFar: Suggestion,
  file: ManoeuvreFile,
  { seed, count }: { readonly seed: number; readonly count: number },
): Asking<Remedy[]> {
  const { conditions, goal, boat } = file;
  const { way } = soFar.plans[0]!;
  const { speed_mps } = conditions.wind;
  const remedies: Remedy[] = [];
  function* certify(is: Remedy['is'], changed: ManoeuvreFile): Asking<boolean> {
    const now = { ...soFar, remedies: remedies.slice() };
    const [laid] = yield { doing: is, all: [[{ of: 'way', file: changed, way }]], soFar: now };
    const worked = laidBy(laid![0]!);
    if (!worked.ok || isRefused(worked.value)) return false;
    const { plan } = worked.value;
    const some = (from: number, to: number) =>
      lots({ of: 'plan', file: { ...changed, plan }, seed }, FRESH + from, to - from);
    const few = Math.min(REMEDY_FIRST, count);
    const [first] = yield { doing: is, all: [some(0, few)], soFar: now };
    // One of a few may fail of nineteen in twenty; two of them mostly do not.
    if (trialsOf(first!).filter(holds).length < few - 1) return false;
    // What it was let through by does not count: it would tell better of it than it is.
    const [rest] = yield { doing: is, all: [some(few, few + count)], soFar: now };
    const certificate = certificateOf(trialsOf(rest!));
    if (certificate.share < HOLDS_ENOUGH) return false;
    const { wind } = changed.conditions;
    remedies.push({ is, wind: wind.speed_mps, goal: changed.goal, plan, certificate });
    return true;
  }
  const round = turnedRound(goal, boat);
  if (round) yield* certify('other way round', { ...file, goal: round });
  for (const share of speed_mps > 0 ? LESS_WIND : []) {
    const { changes: _changes, ...wind } = conditions.wind;
    const less = { ...wind, speed_mps: Math.round(100 * share * speed_mps) / 100 };
    const eased = { ...file, conditions: { ...conditions, wind: less } };
    if (yield* certify('less wind', eased)) break;
  }
  return remedies;
}

/** Plans found for a manoeuvre, tried on as many cores as there are. */
export async function suggestPlans(
  file: ManoeuvreFile,
  asked: Suggesting,
  tryAll: TryAll,
): Promise<Result<Suggestion>> {
  const steps = suggesting(file, asked);
  let next = steps.next();
  while (!next.done) next = steps.next(await tryAll(next.value.all));
  return next.value;
}

/** How far a suggestion is: what it is at, how many of the tries of that are made, and what is found so far. */
export interface SuggestionSoFar extends Suggestion {
  readonly doing: Doing | null;
  readonly made: number;
  readonly of: number;
}

const runsIn = (tries: Tries) => (tries.of === 'way' ? 1 : tries.to - tries.from);
const runsOf = (lists: readonly (readonly Tries[])[]) =>
  lists.flat().reduce((sum, tries) => sum + runsIn(tries), 0);

/** The same plans, tried one after the other where one is: how far it is after each few. */
export function* suggestHere(
  file: ManoeuvreFile,
  asked: Suggesting,
  spread: Spread,
): Generator<Result<SuggestionSoFar>> {
  const steps = suggesting(file, asked);
  let next = steps.next();
  while (!next.done) {
    const { doing, all, soFar } = next.value;
    const of = runsOf(all);
    let made = 0;
    yield success({ ...soFar, doing, made, of });
    const answers: Tried[][] = [];
    for (const list of all) {
      const came: Tried[] = [];
      for (const tries of list) {
        came.push(tryOut(tries, spread));
        made += runsIn(tries);
        yield success({ ...soFar, doing, made, of });
      }
      answers.push(came);
    }
    next = steps.next(answers);
  }
  const { value } = next;
  yield value.ok ? success({ ...value.value, doing: null, made: 0, of: 0 }) : value;
}
