import type { Run } from '@/core/plan';
import { HOLDS_ENOUGH, SUGGESTING, TRIES_A_SECOND } from '@/core/policy';
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
import { runPlan } from '@/core/plan';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import type { PlanDocument } from '@/document/plan';
import { success, type Result } from '@/document/result';
import { toRunInput } from '@/document/run-input';
import { turnedRound } from './compare';
import { isRefused, type Refusal } from './refusals';
import { workedPlan, workedWays, type WorkedWay } from './worked';

/** Some tries of one of the manoeuvres at hand: with its plan, or as the reference helm handles it. */
export interface Tries {
  readonly of: 'plan' | 'reference helm';
  readonly file: ManoeuvreFile;
  readonly seed: number;
  readonly from: number;
  readonly to: number;
}

/** What became of them: of a plan the trials, of the reference helm which of them it held in. */
export type Tried =
  | { readonly of: 'plan'; readonly trials: readonly Trial[] }
  | { readonly of: 'reference helm'; readonly held: readonly boolean[] };

/** Plays them: in a worker of its own, where there are several. */
export function tryOut({ of, file, seed, from, to }: Tries, spread: Spread): Tried {
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

/** Has tries played, all at once as far as there are cores, and tells of each list what came of it, in their order. */
export type TryAll = (all: readonly (readonly Tries[])[]) => Promise<readonly (readonly Tried[])[]>;

/** A plan that was found, how sure it is, and its run in the conditions that are told. */
export interface SuggestedPlan {
  readonly way: WorkedWay;
  readonly plan: PlanDocument;
  readonly certificate: Certificate;
  readonly run: Run;
}

/** What would make it hold: less wind, or lying the other way round; with the plan that then does. */
export interface Remedy {
  readonly is: 'less wind' | 'other way round';
  /** Wind it is tried in, m/s. */
  readonly wind: number;
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

/** Three ways are as many as anybody looks at. */
const MOST_PLANS = 3;
/** Runs a worker does at a time. */
const AT_ONCE = 5;
/** Winds that are tried as remedies, as shares of what blows. */
const LESS_WIND = [0.75, 0.5, 0.25, 0] as const;

const lots = (tries: Omit<Tries, 'from' | 'to'>, from: number, count: number): Tries[] =>
  Array.from({ length: Math.ceil(count / AT_ONCE) }, (_, i) => ({
    ...tries,
    from: from + i * AT_ONCE,
    to: from + Math.min(count, (i + 1) * AT_ONCE),
  }));

const trialsOf = (tried: readonly Tried[]): Trial[] =>
  tried.flatMap((one) => (one.of === 'plan' ? one.trials : [])).toSorted((a, b) => a.run - b.run);

const shareHeld = (trials: readonly Trial[]) => trials.filter(holds).length / trials.length;

/** Those a certificate is made of are no others' tries. */
const FRESH = 1_000_000;

/** Plans found for a manoeuvre, tried. @param seconds it may take on two cores: so many tries are made, the same for the same seed */
export async function suggestPlans(
  file: ManoeuvreFile,
  { seed, seconds }: { readonly seed: number; readonly seconds: number },
  tryAll: TryAll,
): Promise<Result<Suggestion>> {
  const tries = Math.max(40, Math.round(seconds * TRIES_A_SECOND));
  const found: { way: WorkedWay; plan: PlanDocument }[] = [];
  let refused: Refusal | null = null;
  for (const way of workedWays(file)) {
    const plan = workedPlan(file, way);
    if (!plan.ok) return plan;
    if (isRefused(plan.value)) refused = plan.value.refused;
    else found.push({ way, plan: plan.value });
  }
  if (found.length === 0) return success({ plans: [], reference: null, refused, remedies: [] });

  const each = Math.max(5, Math.round((SUGGESTING.choosing * tries) / found.length));
  const asReference = Math.max(10, Math.round(SUGGESTING.reference * tries));
  const [byReference, ...byPlan] = await tryAll([
    lots({ of: 'reference helm', file, seed }, 0, asReference),
    ...found.map(({ plan }) => lots({ of: 'plan', file: { ...file, plan }, seed }, 0, each)),
  ]);
  const held = byReference!.flatMap((one) => (one.of === 'reference helm' ? one.held : []));
  const best = found
    .map((one, i) => ({ ...one, share: shareHeld(trialsOf(byPlan[i]!)) }))
    .toSorted((a, b) => b.share - a.share)
    .slice(0, MOST_PLANS);
  const certifying = Math.max(20, Math.round(SUGGESTING.certifying * tries));
  const certified = await tryAll(
    best.map(({ plan }, i) =>
      lots({ of: 'plan', file: { ...file, plan }, seed }, FRESH, i === 0 ? certifying : each),
    ),
  );
  const plans = best
    .map(({ way, plan }, i): SuggestedPlan => {
      const input = toRunInput({ ...file, plan });
      if (!input.ok) throw new Error('a plan that was tried can be run');
      return {
        way,
        plan,
        certificate: certificateOf(trialsOf(certified[i]!)),
        run: runPlan(input.value),
      };
    })
    .toSorted((a, b) => b.certificate.least - a.certificate.least);
  const remedies =
    plans[0]!.certificate.share >= HOLDS_ENOUGH
      ? []
      : await remediesFor(file, plans[0]!.way, { seed, count: certifying }, tryAll);
  return success({
    plans,
    reference: shareOf(held.filter(Boolean).length, held.length),
    refused: null,
    remedies,
  });
}

/** One thing at a time made easier, the least of it that holds. */
async function remediesFor(
  file: ManoeuvreFile,
  way: WorkedWay,
  { seed, count }: { readonly seed: number; readonly count: number },
  tryAll: TryAll,
): Promise<Remedy[]> {
  const { conditions, goal, boat } = file;
  const { speed_mps } = conditions.wind;
  const remedies: Remedy[] = [];
  const certify = async (is: Remedy['is'], changed: ManoeuvreFile): Promise<boolean> => {
    const plan = workedPlan(changed, way);
    if (!plan.ok || isRefused(plan.value)) return false;
    const eased = { ...changed, plan: plan.value };
    const [tried] = await tryAll([lots({ of: 'plan', file: eased, seed }, FRESH, count)]);
    const certificate = certificateOf(trialsOf(tried!));
    if (certificate.share < HOLDS_ENOUGH) return false;
    remedies.push({ is, wind: changed.conditions.wind.speed_mps, certificate });
    return true;
  };
  const round = turnedRound(goal, boat);
  if (round) await certify('other way round', { ...file, goal: round });
  for (const share of speed_mps > 0 ? LESS_WIND : []) {
    const { changes: _changes, ...wind } = conditions.wind;
    const less = { ...wind, speed_mps: Math.round(100 * share * speed_mps) / 100 };
    if (await certify('less wind', { ...file, conditions: { ...conditions, wind: less } })) break;
  }
  return remedies;
}
