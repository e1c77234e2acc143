import { checkPlan } from '@/core/checks';
import { Random } from '@/core/math';
import { runPlan, runTillHard, type Run } from '@/core/plan';
import { COST_PER_FINDING } from '@/core/policy';
import { cost, patternSearch, robustCost, waysOut } from '@/core/search';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { prepareRun, type PreparedRun } from '@/document/run-input';
import type { PlanDocument } from '@/document/plan';
import { endedAt, named, type PlanTemplate } from './template';
import { withExpectations } from './expect';

/** A technique written down for one boat, place and day, as far as it has been fitted. */
export interface Proposal {
  readonly plan: PlanDocument;
  /** How its run ends, without the trace. */
  readonly run: ProposedEnding;
  /** Moments of it looked at for a way out, and how many of them had none; null while not looked at. */
  readonly wayOut: { readonly looked: number; readonly none: number } | null;
  readonly tries: number;
  readonly of: number;
}

/** Samples of a template for each of its parameters, one more, and the most that go on from there. */
const SAMPLES_PER_PARAMETER = 16;
/** Tried again from other and more samples while none gets there: times as many in each round. */
const ROUNDS = [1, 2] as const;
const FINALISTS = 3;
const PATTERN_TRIES = 70;
const ROBUST_TRIES = 40;
/** Tries spent on one that gets there but leaves no way out somewhere; each such moment costs as much as a finding. */
const OPENING_TRIES = 40;
const TELL_EVERY = 12;
const SEED = 20;

export type ProposedEnding = Pick<Run, 'outcome' | 'duration' | 'goal' | 'margins' | 'events'>;

interface Tried {
  readonly template: PlanTemplate;
  readonly values: readonly number[];
  readonly cost: number;
}

/** What a try is judged by: as much of it as is decided first, the whole of it, or in weaker and stronger winds as well. */
type By = 'first' | 'whole' | 'robust';

/** One that was looked at for its ways out. */
interface TriedSample {
  readonly tried: Tried;
  readonly told: Proposal;
}

/** Every parameter's range in as many strata as there are samples, shuffled (Latin hypercube, McKay et al. 1979). */
function samplesOf(template: PlanTemplate, times: number, random: Random): number[][] {
  const tunables = Object.values(template.parameters);
  const count = times * SAMPLES_PER_PARAMETER * tunables.length;
  const columns = tunables.map(({ least, most }) => {
    const strata = Array.from({ length: count }, (_, i) => i);
    for (let i = count - 1; i > 0; i--) {
      const j = Math.floor(random.uniform() * (i + 1));
      [strata[i], strata[j]] = [strata[j]!, strata[i]!];
    }
    return strata.map((stratum) => least + ((stratum + random.uniform()) / count) * (most - least));
  });
  const spread = Array.from({ length: count }, (_, i) => columns.map((column) => column[i]!));
  return [tunables.map(({ value }) => value), ...spread];
}

const written = (template: PlanTemplate, values: readonly number[]): PlanDocument =>
  template.write(named(template, values));

/** A template's parameters, to be searched on from numbers that were tried. */
const onFrom = ({ template, values }: Tried) =>
  Object.values(template.parameters).map((open, i) => ({ ...open, value: values[i]! }));

const cheaper = (a: Tried, b: Tried) => a.cost - b.cost;

/** Fits the templates of a technique to one manoeuvre, and tells how far it is. */
class Fitting {
  private tries = 0;
  private readonly of: number;
  private readonly inputWith: PreparedRun;

  constructor(
    file: ManoeuvreFile,
    private readonly templates: readonly PlanTemplate[],
  ) {
    this.inputWith = prepareRun(file);
    const open = templates.reduce((sum, { parameters }) => sum + Object.keys(parameters).length, 0);
    this.of = ROUNDS.reduce<number>(
      (sum, times) =>
        sum +
        times * (SAMPLES_PER_PARAMETER * open + FINALISTS * (PATTERN_TRIES + ROBUST_TRIES)) +
        templates.length,
      OPENING_TRIES,
    );
  }

  *run(): Generator<Proposal> {
    let sure: Tried[] = [];
    let best: TriedSample | null = null;
    const random = new Random(SEED);
    for (const times of ROUNDS) {
      sure = [...sure, ...(yield* this.round(times, random))].sort(cheaper);
      best = yield* this.withWayOut(sure);
      if (best?.told.run.outcome !== 'reached') continue;
      if (best.told.wayOut!.none === 0 || best.tried.template.decided !== undefined) return;
    }
    if (best?.told.run.outcome === 'reached') yield* this.opened(best);
  }

  /** One that gets there changed in small steps until a way out stands open all along, or as much of it as can be. */
  private *opened({ tried, told }: TriedSample): Generator<Proposal> {
    const { template } = tried;
    const tunables = onFrom(tried);
    let best = told;
    const cost = (values: readonly number[]) => {
      const input = this.inputWith(written(template, values));
      if (!input.ok) return Infinity;
      const now = this.cost(template, values, 'whole');
      // Only of what gets there is it worth asking.
      if (runTillHard(input.value).outcome !== 'reached') return now;
      const found = waysOut(input.value);
      const none = found.filter(({ grade }) => grade === 'none').length;
      if (none < best.wayOut!.none)
        best = this.told({ template, values, cost: now }, { looked: found.length, none });
      return now + COST_PER_FINDING * none;
    };
    for (const state of patternSearch(tunables, cost, OPENING_TRIES)) {
      this.tries += 1;
      if (state.tries % 4 === 0) yield { ...best, tries: this.tries };
      if (best.wayOut!.none === 0) break;
    }
    yield best;
  }

  private *round(times: number, random: Random): Generator<Proposal, Tried[]> {
    const sampled: Tried[] = [];
    for (const template of this.templates)
      for (const values of samplesOf(template, times, random)) {
        sampled.push({ template, values, cost: this.cost(template, values, 'first') });
        this.tries += 1;
        if (this.tries % TELL_EVERY === 0)
          yield this.told(sampled.reduce((a, b) => (b.cost < a.cost ? b : a)));
      }
    const near: Tried[] = [];
    for (const tried of sampled.sort(cheaper).slice(0, times * FINALISTS))
      near.push(yield* this.fitted(tried, 'first', PATTERN_TRIES));
    const sure: Tried[] = [];
    for (const tried of near.sort(cheaper)) {
      const found = yield* this.fitted(tried, 'robust', ROBUST_TRIES);
      sure.push(found);
      // Of what goes on for long one that gets there is enough.
      const { decided } = found.template;
      if (decided !== undefined && this.told(found).run.outcome === 'reached') break;
    }
    return sure;
  }

  private cost(template: PlanTemplate, values: readonly number[], by: By): number {
    const whole =
      by === 'first' && template.rough
        ? template.rough(named(template, values))
        : written(template, values);
    const short = by === 'first' && template.decided !== undefined;
    const plan = short ? endedAt(whole, template.decided) : whole;
    const input = this.inputWith(plan);
    if (!input.ok) return Infinity;
    const run = runTillHard(input.value);
    // Every step of a template says its way out.
    const said = input.value.plan.steps.map(() => true);
    const findings = COST_PER_FINDING * checkPlan(input.value, run, said).length;
    if (by !== 'robust') return findings + cost(input.value, run);
    // One that was given up at a hard touch has to be run to its end.
    const toItsEnd = run.margins.touch?.grade === 'hard' ? runPlan(input.value) : run;
    return findings + robustCost(input.value, toItsEnd);
  }

  private *fitted(from: Tried, by: By, most: number): Generator<Proposal, Tried> {
    const { template } = from;
    const tunables = onFrom(from);
    const before = this.tries;
    let best = from;
    for (const state of patternSearch(
      tunables,
      (values) => this.cost(template, values, by),
      most,
    )) {
      this.tries = before + state.tries;
      best = { template, values: state.values, cost: state.cost };
      if (state.tries % TELL_EVERY === 0) yield this.told(best);
    }
    this.tries = before + most;
    return best;
  }

  /** Of those that get there the first that always leaves a way out, or the one that mostly does. */
  private *withWayOut(fitted: readonly Tried[]): Generator<Proposal, TriedSample | null> {
    let best: TriedSample | null = null;
    for (const tried of fitted) {
      const input = this.inputWith(written(tried.template, tried.values));
      if (!input.ok) continue;
      const found = waysOut(input.value);
      const none = found.filter(({ grade }) => grade === 'none').length;
      const one = this.told(tried, { looked: found.length, none });
      const better =
        !best ||
        (one.run.outcome === 'reached' &&
          (best.told.run.outcome !== 'reached' || none < best.told.wayOut!.none));
      if (better) best = { tried, told: one };
      yield best!.told;
      if (best!.told.run.outcome === 'reached' && best!.told.wayOut!.none === 0) break;
    }
    return best;
  }

  private told({ template, values }: Tried, wayOut: Proposal['wayOut'] = null): Proposal {
    const plan = written(template, values);
    const input = this.inputWith(plan);
    if (!input.ok) throw new Error('a draft that could be tried can be played');
    const whole = runPlan(input.value);
    const { outcome, duration, goal, margins, events } = whole;
    const run = { outcome, duration, goal, margins, events };
    return { plan: withExpectations(plan, whole), run, wayOut, tries: this.tries, of: this.of };
  }
}

/**
 * Fits the open numbers of a technique's templates by trying: samples all over their ranges first; the best of them then
 * by small steps, in this wind, and after that in weaker and stronger ones as well; of those the one that leaves a way
 * out. A generator, that it can be shown and stopped; the last value is the proposal.
 */
export function proposeFrom(
  file: ManoeuvreFile,
  templates: readonly PlanTemplate[],
): Generator<Proposal> {
  return new Fitting(file, templates).run();
}
