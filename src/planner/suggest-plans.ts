import {
  BESIDE,
  HOLDS_ENOUGH,
  MOST_PLANS,
  SUGGESTING,
  TRIES_A_SECOND,
  type School,
} from '@/core/policy';
import { certificateOf, holds, shareOf, type Trial } from '@/core/reliability';
import type { Spread } from '@/core/uncertainty';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { success, type Result } from '@/document/result';
import { isRefused, type Refusal, type Unless } from './refusals';
import { remediesFor } from './remedies';
import {
  FRESH,
  NOTHING,
  type Asking,
  type Doing,
  type SuggestedPlan,
  type Suggestion,
  type TryAll,
} from './suggestion';
import { handfuls, laidBy, shareHeld, trialsOf, tryOut, type Tried, type Tries } from './try-out';
import { workedWays, type WorkedPlan, type WorkedWay } from './worked';

/** What is asked of a suggestion: tries by a seed, and how long it may take on two cores; so many are made, the same for the same seed. */
export interface Suggesting {
  readonly seed: number;
  readonly seconds: number;
  /** How whoever asks was taught; the usual where nothing is said. */
  readonly school?: School;
}

/** How many tries are spent on what. */
interface Budget {
  readonly choosing: number;
  readonly certifying: number;
  readonly reference: number;
}

function budgetOf({ seconds }: Suggesting): Budget {
  const tries = seconds * TRIES_A_SECOND;
  const part = ({ share, least }: { readonly share: number; readonly least: number }) =>
    Math.max(least, Math.round(share * tries));
  const { choosing, certifying, reference } = SUGGESTING;
  return { choosing: part(choosing), certifying: part(certifying), reference: part(reference) };
}

/** A way that was laid out, and what share of the tries it was chosen by it held in. */
interface Laid extends WorkedPlan {
  readonly way: WorkedWay;
  readonly share: number;
}

const triesWith = (
  file: ManoeuvreFile,
  { plan }: WorkedPlan,
  seed: number,
  from: number,
  count: number,
): Tries[] => handfuls({ of: 'plan', file: { ...file, plan }, seed }, from, count);

type LaidOut = Result<Unless<readonly (WorkedPlan & { readonly way: WorkedWay })[]>>;

/** The ways of each lot laid out as they are wanted: those of two lots at a time, as there are two cores and more. */
class LaidLots {
  private readonly found: LaidOut[] = [];
  readonly lots: readonly (readonly WorkedWay[])[];

  constructor(
    private readonly file: ManoeuvreFile,
    school: School | undefined,
  ) {
    this.lots = workedWays(file, school);
  }

  /** Those of lot `n` that can be laid out; refused where none of them can. */
  *of(n: number): Asking<LaidOut> {
    if (!this.found[n]) {
      const next = this.lots.slice(n, n + 2);
      const all = next.map((lot) => lot.map((way): Tries => ({ of: 'way', file: this.file, way })));
      const came = yield { doing: 'laying', all, soFar: NOTHING };
      came.forEach((tried, i) => (this.found[n + i] = this.plansOf(next[i]!, tried)));
    }
    return this.found[n]!;
  }

  private plansOf(lot: readonly WorkedWay[], tried: readonly Tried[]): LaidOut {
    const plans: (WorkedPlan & { readonly way: WorkedWay })[] = [];
    let refused: Refusal | null = null;
    for (const [i, one] of tried.entries()) {
      const plan = laidBy(one);
      if (!plan.ok) return plan;
      if (isRefused(plan.value)) refused ??= plan.value.refused;
      else plans.push({ way: lot[i]!, ...plan.value });
    }
    return success(plans.length === 0 && refused ? { refused } : plans);
  }
}

/** Ways tried, lot by lot until one holds in every try that is not known to fail; the best first, the usual one of those as good. */
function* choosing(
  file: ManoeuvreFile,
  laidLots: LaidLots,
  seed: number,
  tries: number,
  failed: WorkedWay | null,
): Asking<Result<Unless<readonly Laid[]>>> {
  const found: Laid[] = [];
  let refused: Refusal | null = null;
  for (const n of laidLots.lots.keys()) {
    const laid = yield* laidLots.of(n);
    if (!laid.ok) return laid;
    if (isRefused(laid.value)) {
      refused ??= laid.value.refused;
      continue;
    }
    const plans = laid.value;
    const came = yield {
      doing: 'choosing',
      all: plans.map((plan) => triesWith(file, plan, seed, 0, tries)),
      soFar: NOTHING,
    };
    plans.forEach((plan, i) => found.push({ ...plan, share: shareHeld(trialsOf(came[i]!)) }));
    if (found.some(({ way, share }) => share === 1 && way !== failed)) break;
  }
  if (found.length === 0 && refused) return success({ refused });
  const sorted = found.toSorted((a, b) => b.share - a.share).slice(0, MOST_PLANS);
  return success(sorted.filter(({ share }, i) => i === 0 || share >= BESIDE * sorted[0]!.share));
}

/** Trials on draws nobody chose by, as many as asked for: those there are of the plan already are the first of them, and none of these is left out. */
function* freshTrials(
  file: ManoeuvreFile,
  plan: WorkedPlan,
  seed: number,
  count: number,
  there: readonly Trial[],
  soFar: Suggestion,
  from = FRESH,
): Asking<readonly Trial[]> {
  const more = count - there.length;
  if (more <= 0) return there;
  const all = [triesWith(file, plan, seed, from + there.length, more)];
  const [came] = yield { doing: 'certifying', all, soFar };
  return [...there, ...trialsOf(came!)];
}

/**
 * The usual way, where nothing else stands beside it: tried at once on the draws it will be told by, some first, and the others where at most one of these does not hold.
 * No choice was made by them.
 */
function* usualAtOnce(
  file: ManoeuvreFile,
  laidLots: LaidLots,
  seed: number,
  { choosing, certifying }: Budget,
): Asking<{ readonly usual: SuggestedPlan | null; readonly trials: readonly Trial[] }> {
  if (laidLots.lots[0]?.length !== 1) return { usual: null, trials: [] };
  const laid = yield* laidLots.of(0);
  if (!laid.ok || isRefused(laid.value)) return { usual: null, trials: [] };
  const [plan] = laid.value;
  const some = yield* freshTrials(file, plan!, seed, choosing, [], NOTHING);
  if (some.length - some.filter(holds).length > 1) return { usual: null, trials: some };
  const trials = yield* freshTrials(file, plan!, seed, certifying, some, NOTHING);
  const certificate = certificateOf(trials);
  const usual = certificate.share >= HOLDS_ENOUGH ? { ...plan!, certificate } : null;
  return { usual, trials };
}

/**
 * Where the plan that stands first does not hold, and one beside it held in all of its few tries, that one comes first. It is told by draws that neither of them was held against the other by: else it would be told better than it is.
 */
function* secondLook(
  file: ManoeuvreFile,
  plans: readonly SuggestedPlan[],
  seed: number,
  { certifying }: Budget,
): Asking<readonly SuggestedPlan[]> {
  const [first] = plans;
  if (!first || first.certificate.share >= HOLDS_ENOUGH) return plans;
  const better = plans.find(({ certificate }) => certificate.share === 1);
  if (!better) return plans;
  const soFar = { ...NOTHING, plans };
  const anew = FRESH + certifying;
  const trials = yield* freshTrials(file, better, seed, certifying, [], soFar, anew);
  const told = { ...better, certificate: certificateOf(trials) };
  return [told, ...plans.filter((one) => one !== better)];
}

/** What the helm that sees everything holds in of some draws, with the same fenders, so that a plan falls short of it by handling alone. */
function* asReference(
  file: ManoeuvreFile,
  soFar: Suggestion,
  seed: number,
  tries: number,
): Asking<Suggestion['reference']> {
  const { fenders } = soFar.plans[0]!.plan;
  const fendered = { ...file, plan: { ...file.plan, fenders } };
  const [came] = yield {
    doing: 'reference helm',
    all: [handfuls({ of: 'reference helm', file: fendered, seed }, 0, tries)],
    soFar,
  };
  const held = came!.flatMap((one) => (one.of === 'reference helm' ? one.held : []));
  return shareOf(held.filter(Boolean).length, held.length);
}

/** Plans found for a manoeuvre: what has to be tried on the way is asked for, and what came of it told back. */
function* suggesting(file: ManoeuvreFile, asked: Suggesting): Asking<Result<Suggestion>> {
  const { seed } = asked;
  const budget = budgetOf(asked);
  const laidLots = new LaidLots(file, asked.school);
  const { usual, trials } = yield* usualAtOnce(file, laidLots, seed, budget);
  const plans: SuggestedPlan[] = usual ? [usual] : [];
  const failed = trials.length > 0 ? laidLots.lots[0]![0]! : null;
  const chosen = usual
    ? success<readonly Laid[]>([])
    : yield* choosing(file, laidLots, seed, budget.choosing, failed);
  if (!chosen.ok) return chosen;
  if (isRefused(chosen.value)) return success({ ...NOTHING, refused: chosen.value.refused });
  // In the order of the tries they were chosen by: by those they are told by the luckiest would come first.
  for (const { share, ...one } of chosen.value) {
    const [first] = plans;
    // Beside one that holds only such as may hold as well are worth the time.
    if (first && first.certificate.share >= HOLDS_ENOUGH && share < 1) continue;
    const count = first ? budget.choosing : budget.certifying;
    const there = one.way === laidLots.lots[0]![0] ? trials : [];
    const soFar = { ...NOTHING, plans: plans.slice() };
    const fresh = yield* freshTrials(file, one, seed, count, there, soFar);
    plans.push({ ...one, certificate: certificateOf(fresh) });
  }
  const found: Suggestion = { ...NOTHING, plans: yield* secondLook(file, plans, seed, budget) };
  const reference = yield* asReference(file, found, seed, budget.reference);
  const whole = { ...found, reference };
  if (hasOneThatHolds(whole)) return success(whole);
  const remedies = yield* remediesFor(whole, file, { seed, count: budget.certifying });
  return success({ ...whole, remedies });
}

/** Does one of the plans hold often enough? */
export const hasOneThatHolds = ({ plans }: Suggestion): boolean =>
  plans.some(({ certificate }) => certificate.share >= HOLDS_ENOUGH);

/**
 * Plans found for a manoeuvre, tried on as many cores as there are.
 *
 * @param note is told what is found so far, before each lot of tries
 */
export async function suggestPlans(
  file: ManoeuvreFile,
  asked: Suggesting,
  tryAll: TryAll,
  note: (soFar: Suggestion) => void = () => undefined,
): Promise<Result<Suggestion>> {
  const steps = suggesting(file, asked);
  let next = steps.next();
  while (!next.done) {
    note(next.value.soFar);
    next = steps.next(await tryAll(next.value.all));
  }
  return next.value;
}

/** How far a suggestion is: what it is at, how many of the tries of that are made, and what is found so far. */
export interface SuggestionSoFar extends Suggestion {
  readonly doing: Doing | null;
  readonly made: number;
  readonly of: number;
}

const runsIn = (tries: Tries) => ('from' in tries ? tries.to - tries.from : 1);
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
