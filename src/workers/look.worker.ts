import { z } from 'zod';
import { releaseProxy } from 'comlink';
import { briefOf, holdingOf } from '@/core/brief';
import { checkPlan } from '@/core/checks';
import type { RunInput, Run } from '@/core/plan';
import { seekWindLimit, surveyRun, vary, windGrid } from '@/core/search';
import {
  check,
  daySchema,
  manoeuvreFileSchema,
  motoredSchema,
  namedMarks,
  ownTechniqueSchema,
  radians,
  success,
  toRunInput,
  toVariation,
  variationSchema,
  windsSchema,
  type Day,
  type ManoeuvreFile,
  type OwnTechnique,
  type Result,
} from '@/document';
import {
  compareTechniques,
  techniqueIdSchema,
  tunePlan,
  playDay,
  propose,
  type Comparison,
  type TechniqueId,
  type Tuned,
  type Proposal,
} from '@/planner';
import { live } from './lifeline';
import type { AnalysisUpdate, LookEnd, LookWorker } from './protocol';

/** Moments of a day: at most one every ten minutes or so. */
const momentsSchema = z.array(z.number()).max(200);
const anyTechniqueSchema = z.union([techniqueIdSchema, ownTechniqueSchema]);

const NOTHING: AnalysisUpdate = {
  brief: null,
  surveyed: [],
  limit: null,
  checks: null,
  cells: [],
  fitted: null,
  proposed: null,
  held: null,
  compared: null,
  dayRuns: [],
};
/** What is found is told this often, ms: often enough to be seen growing, seldom enough to cost nothing. */
const TELL_EVERY_MS = 40;

let latest = 0;

/** Lets messages in; a timer would be held to 4 ms. */
function breathe(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });
}

/** Goes through what a generator finds, telling it in bundles, until it is through or something newer is asked. */
async function follow<T>(
  finding: Iterable<T>,
  bundle: (found: readonly T[]) => AnalysisUpdate,
  tell: (found: AnalysisUpdate) => void,
): Promise<Result<LookEnd>> {
  const turn = ++latest;
  let found: T[] = [];
  let told = performance.now();
  try {
    for (const one of finding) {
      found.push(one);
      if (performance.now() - told >= TELL_EVERY_MS) {
        tell(bundle(found));
        found = [];
        told = performance.now();
      }
      await breathe();
      if (turn !== latest) return success('overtaken');
    }
    tell(bundle(found));
    return success('done');
  } finally {
    // Its port would stay open for good.
    (tell as { [releaseProxy]?: () => void })[releaseProxy]?.();
  }
}

function read(file: unknown): Result<{ input: RunInput; file: ManoeuvreFile }> {
  const checked = check(manoeuvreFileSchema, file);
  if (!checked.ok) return checked;
  const input = toRunInput(checked.value);
  return input.ok ? success({ input: input.value, file: checked.value }) : input;
}

/** Way out and time in hand, what is worth a second look with the first of them, then the wind in which it fails. */
function* survey(input: RunInput, said: readonly boolean[]): Generator<Partial<AnalysisUpdate>> {
  const checked: Pick<AnalysisUpdate, 'checks'>[] = [];
  const look = (run: Run) => checked.push({ checks: checkPlan(input, run, said) });
  for (const surveyed of surveyRun(input, look)) yield { surveyed: [surveyed], ...checked.pop() };
  for (const limit of seekWindLimit(input)) yield { limit };
}

const worker: LookWorker = {
  async brief(file, tell) {
    const opened = read(file);
    if (!opened.ok) return opened;
    const { boat, place } = opened.value.file;
    const outboard = boat.drives.some(({ kind }) => kind === 'outboard');
    const last = (found: readonly AnalysisUpdate['brief'][]) => ({
      ...NOTHING,
      brief: found.at(-1) ?? null,
    });
    return follow(briefOf(opened.value.input, outboard, namedMarks(place)), last, tell);
  },
  async survey(file, variation, tell) {
    const opened = read(file);
    if (!opened.ok) return opened;
    const varied = check(variationSchema, variation);
    if (!varied.ok) return varied;
    const input = vary(opened.value.input, toVariation(varied.value));
    const said = opened.value.file.plan.steps.map(({ wayOut }) => wayOut.note.trim() !== '');
    const all = (found: readonly Partial<AnalysisUpdate>[]) => ({
      ...NOTHING,
      surveyed: found.flatMap(({ surveyed }) => surveyed ?? []),
      limit: found.find(({ limit }) => limit)?.limit ?? null,
      checks: found.find(({ checks }) => checks)?.checks ?? null,
    });
    return follow(survey(input, said), all, tell);
  },
  async grid(file, variation, winds, tell) {
    const opened = read(file);
    if (!opened.ok) return opened;
    const varied = check(variationSchema, variation);
    if (!varied.ok) return varied;
    const asked = check(windsSchema, winds);
    if (!asked.ok) return asked;
    const cells = windGrid(
      opened.value.input,
      toVariation(varied.value),
      asked.value.from_deg.map(radians),
      asked.value.speeds_mps,
    );
    return follow(cells, (found) => ({ ...NOTHING, cells: found.slice() }), tell);
  },
  async fit(file, tell) {
    const opened = read(file);
    if (!opened.ok) return opened;
    const last = (found: readonly Result<Tuned>[]) => {
      const fitted = found.at(-1);
      return { ...NOTHING, fitted: fitted?.ok ? fitted.value : null };
    };
    return follow(tunePlan(opened.value.file), last, tell);
  },
  async propose(file, technique, tell) {
    const opened = read(file);
    if (!opened.ok) return opened;
    const asked = check<TechniqueId | OwnTechnique>(anyTechniqueSchema, technique);
    if (!asked.ok) return asked;
    let refused: Result<Proposal> | null = null;
    const last = (found: readonly Result<Proposal>[]) => {
      const proposed = found.at(-1);
      if (proposed && !proposed.ok) refused = proposed;
      return { ...NOTHING, proposed: proposed?.ok ? proposed.value : null };
    };
    const end = await follow(propose(opened.value.file, asked.value), last, tell);
    return refused ?? end;
  },
  async compare(file, tell) {
    const opened = read(file);
    if (!opened.ok) return opened;
    const last = (found: readonly Result<Comparison<TechniqueId>>[]) => {
      const compared = found.at(-1);
      return { ...NOTHING, compared: compared?.ok ? compared.value : null };
    };
    return follow(compareTechniques(opened.value.file), last, tell);
  },
  async day(file, day, moments, tell) {
    const checked = check<ManoeuvreFile>(manoeuvreFileSchema, file);
    if (!checked.ok) return checked;
    const told = check<Day>(daySchema, day);
    if (!told.ok) return told;
    const asked = check<number[]>(momentsSchema, moments);
    if (!asked.ok) return asked;
    const runs = playDay(checked.value, told.value, asked.value);
    return follow(runs, (found) => ({ ...NOTHING, dayRuns: found.slice() }), tell);
  },
  async hold(file, motored, tell) {
    const opened = read(file);
    if (!opened.ok) return opened;
    const asked = check(motoredSchema, motored);
    if (!asked.ok) return asked;
    const last = (found: readonly AnalysisUpdate['held'][]) => ({
      ...NOTHING,
      held: found.at(-1) ?? null,
    });
    return follow(holdingOf(opened.value.input, asked.value), last, tell);
  },
  stop() {
    latest += 1;
  },
};

live(worker);
