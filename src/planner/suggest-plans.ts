import {
  BESIDE,
  HOLDS_ENOUGH,
  MOST_PLANS,
  SUGGESTING,
  TRIES_A_SECOND,
  type School,
} from '@/core/policy';
import { certificateOf, shareOf } from '@/core/reliability';
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

/** Ways laid out and tried, lot by lot until one holds in every try; the best first, the usual one of those as good. */
function* choosing(
  file: ManoeuvreFile,
  { seed, school }: Suggesting,
  tries: number,
): Asking<Result<Unless<readonly Laid[]>>> {
  const found: Laid[] = [];
  let refused: Refusal | null = null;
  for (const lot of workedWays(file, school)) {
    const [laid] = yield {
      doing: 'laying',
      all: [lot.map((way): Tries => ({ of: 'way', file, way }))],
      soFar: NOTHING,
    };
    const plans: (WorkedPlan & { readonly way: WorkedWay })[] = [];
    for (const [i, one] of laid!.entries()) {
      const plan = laidBy(one);
      if (!plan.ok) return plan;
      if (isRefused(plan.value)) refused ??= plan.value.refused;
      else plans.push({ way: lot[i]!, ...plan.value });
    }
    if (plans.length === 0) continue;
    const came = yield {
      doing: 'choosing',
      all: plans.map((plan) => triesWith(file, plan, seed, 0, tries)),
      soFar: NOTHING,
    };
    plans.forEach((plan, i) => found.push({ ...plan, share: shareHeld(trialsOf(came[i]!)) }));
    if (found.some(({ share }) => share === 1)) break;
  }
  if (found.length === 0 && refused) return success({ refused });
  const sorted = found.toSorted((a, b) => b.share - a.share).slice(0, MOST_PLANS);
  return success(sorted.filter(({ share }, i) => i === 0 || share >= BESIDE * sorted[0]!.share));
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
  const chosen = yield* choosing(file, asked, budget.choosing);
  if (!chosen.ok) return chosen;
  if (isRefused(chosen.value)) return success({ ...NOTHING, refused: chosen.value.refused });
  // In the order of the tries they were chosen by: by those they are told by the luckiest would come first.
  const plans: SuggestedPlan[] = [];
  for (const { share, ...one } of chosen.value) {
    const [first] = plans;
    // Beside one that holds only such as may hold as well are worth the time.
    if (first && first.certificate.share >= HOLDS_ENOUGH && share < 1) continue;
    const count = first ? budget.choosing : budget.certifying;
    const [came] = yield {
      doing: 'certifying',
      all: [triesWith(file, one, seed, FRESH, count)],
      soFar: { ...NOTHING, plans: plans.slice() },
    };
    plans.push({ ...one, certificate: certificateOf(trialsOf(came!)) });
  }
  const found: Suggestion = { ...NOTHING, plans };
  const reference = yield* asReference(file, found, seed, budget.reference);
  const whole = { ...found, reference };
  if (plans.some(({ certificate }) => certificate.share >= HOLDS_ENOUGH)) return success(whole);
  const remedies = yield* remediesFor(whole, file, { seed, count: budget.certifying });
  return success({ ...whole, remedies });
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
