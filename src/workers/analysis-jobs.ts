import { z } from 'zod';
import { assembleCraft } from '@/core/boat';
import { briefOf, holdingOf, lockFigures } from '@/core/brief';
import { checkPlan } from '@/core/checks';
import { obstacleSetOf } from '@/core/holding';
import { lockOutlook, type Lock, type LockedBoat, type LockState } from '@/core/locks';
import { measureClearance, measuredTrace } from '@/core/monitors';
import type { RunInput, Run } from '@/core/plan';
import {
  ROSE_TRIES,
  TRIES_FIRST,
  TRIES_SEED,
  TRIES_SHOWN,
  TRYING_MS,
  USUAL_FREEBOARD_M,
  USUAL_LANDING_M,
  SCHOOLS,
} from '@/core/policy';
import {
  ROSE_DIRECTIONS,
  roseRange,
  trialOf,
  type RoseRange,
  type Trial,
} from '@/core/reliability';
import { isVaried, seekWindLimit, surveyRun, vary, windGrid, type Variation } from '@/core/search';
import { STANDARD_SPREAD } from '@/core/uncertainty';
import {
  boatSchema,
  daySchema,
  manoeuvreFileSchema,
  motoredSchema,
  namedMarks,
  ownTechniqueSchema,
  placeSchema,
  radians,
  recordSchema,
  success,
  toBoatSpec,
  toFixes,
  toObstacles,
  toRunInput,
  toVariation,
  variationSchema,
  windsSchema,
  type Boat,
  type ManoeuvreFile,
  type Place,
  type Result,
} from '@/document';
import {
  compareTechniques,
  outlookOf,
  playDay,
  propose,
  suggestHere,
  techniqueIdSchema,
  tunePlan,
  wishSchema,
} from '@/planner';
import type { AnalysisName, AnalysisUpdate, Given, Part, SurveyPart, TriedPart } from './analyses';

/** One kind of analysis: what it takes, its pieces as they are found, and how several of them are told at once. */
export interface Job<G, S, T> {
  readonly given: z.ZodType<G>;
  /** A piece that is a failure refuses the whole. */
  pieces(given: G): Iterable<Result<S>>;
  /** Null where there is nothing to tell. */
  bundle(found: readonly S[]): T | null;
}

type JobOf<K extends AnalysisName, S> = Job<Given<K>, S, AnalysisUpdate<K>>;

const file = manoeuvreFileSchema as z.ZodType<ManoeuvreFile>;
const given = <S extends z.core.$ZodLooseShape>(shape: S) =>
  z.strictObject({ file, ...shape }) as unknown;
const ofFile = given({}) as z.ZodType<Given<'tune'>>;

const newest = <T>(found: readonly T[]): T | null => found.at(-1) ?? null;
const all = <T>(found: readonly T[]): readonly T[] => found.slice();

/** Pieces of what is looked into of a run, each of which is sound. */
function* of<S>(of: ManoeuvreFile, find: (input: RunInput) => Iterable<S>): Generator<Result<S>> {
  const input = toRunInput(of);
  if (!input.ok) return yield input;
  for (const one of find(input.value)) yield success(one);
}

const brief: JobOf<'brief', AnalysisUpdate<'brief'> | null> = {
  given: ofFile,
  pieces: ({ file: manoeuvre }) => {
    const { boat, place } = manoeuvre;
    const outboard = boat.drives.some(({ kind }) => kind === 'outboard');
    return of(manoeuvre, (input) => briefOf(input, outboard, namedMarks(place)));
  },
  bundle: newest,
};

/** Way out and time in hand, what is worth a second look with the first of them, then the wind in which it fails. */
function* surveyed(input: RunInput, said: readonly boolean[]): Generator<Partial<SurveyPart>> {
  const checked: Pick<SurveyPart, 'checks'>[] = [];
  const look = (run: Run) => checked.push({ checks: checkPlan(input, run, said) });
  for (const one of surveyRun(input, look)) yield { surveyed: [one], ...checked.pop() };
  for (const limit of seekWindLimit(input)) yield { limit };
}

const survey: JobOf<'survey', Partial<SurveyPart>> = {
  given: given({ variation: variationSchema }) as z.ZodType<Given<'survey'>>,
  pieces: ({ file: manoeuvre, variation }) => {
    const said = manoeuvre.plan.steps.map(({ wayOut }) => wayOut.note.trim() !== '');
    return of(manoeuvre, (input) => surveyed(vary(input, toVariation(variation)), said));
  },
  bundle: (found) => ({
    surveyed: found.flatMap((part) => part.surveyed ?? []),
    limit: found.find(({ limit }) => limit)?.limit ?? null,
    checks: found.find(({ checks }) => checks)?.checks ?? null,
  }),
};

const WHOLE: Part = { at: 0, of: 1 };
const part = z
  .strictObject({ at: z.number().int().min(0), of: z.number().int().min(1).max(64) })
  .refine(({ at, of: all }) => at < all, { error: 'a part is one of them' })
  .default(WHOLE);
const shared = given({ variation: variationSchema, part });

/** The tries of a part: so many of all, or as many as time allows. */
function* tries(input: RunInput, runs: Iterable<number>): Generator<Trial> {
  const began = performance.now();
  for (const k of runs) {
    if (k >= TRIES_FIRST && performance.now() - began > TRYING_MS) return;
    yield trialOf(input, STANDARD_SPREAD, TRIES_SEED, k);
  }
}

type Tried = Omit<TriedPart, 'part'>;
const NONE_YET: Tried = { trials: [], through: false, asTold: [], told: false };

/** The tries with something made otherwise, and then, if anything is, the same ones as the manoeuvre is told. */
function* triedBoth(
  input: RunInput,
  variation: Variation,
  { at, of: all }: Part,
): Generator<Tried> {
  const runs: number[] = [];
  for (let k = at; k < TRIES_SHOWN; k += all) runs.push(k);
  const made: number[] = [];
  for (const trial of tries(vary(input, variation), runs)) {
    made.push(trial.run);
    yield { ...NONE_YET, trials: [trial] };
  }
  yield { ...NONE_YET, through: true };
  if (!isVaried(variation)) return;
  let asTold = 0;
  for (const trial of tries(input, made)) {
    asTold += 1;
    yield { ...NONE_YET, asTold: [trial] };
  }
  yield { ...NONE_YET, told: asTold === made.length };
}

const certified: JobOf<'certify', TriedPart> = {
  given: shared as z.ZodType<Given<'certify'>>,
  pieces: ({ file: manoeuvre, variation, part: mine = WHOLE }) =>
    of(manoeuvre, function* (input) {
      for (const tried of triedBoth(input, toVariation(variation), mine))
        yield { part: mine, ...tried };
    }),
  bundle: (found) =>
    found.length === 0
      ? null
      : {
          part: found[0]!.part,
          trials: found.flatMap(({ trials }) => trials),
          through: found.some(({ through }) => through),
          asTold: found.flatMap(({ asTold }) => asTold),
          told: found.some(({ told }) => told),
        },
};

/** From each direction of a part in turn. */
function* rose(input: RunInput, { at, of: all }: Part): Generator<RoseRange> {
  for (let direction = at; direction < ROSE_DIRECTIONS; direction += all)
    yield roseRange(input, STANDARD_SPREAD, TRIES_SEED, ROSE_TRIES, direction);
}

const windRose: JobOf<'rose', RoseRange> = {
  given: shared as z.ZodType<Given<'rose'>>,
  pieces: ({ file: manoeuvre, variation, part: mine = WHOLE }) =>
    of(manoeuvre, (input) => rose(vary(input, toVariation(variation)), mine)),
  bundle: all,
};

const grid: JobOf<'grid', AnalysisUpdate<'grid'>[number]> = {
  given: given({ variation: variationSchema, winds: windsSchema }) as z.ZodType<Given<'grid'>>,
  pieces: ({ file: manoeuvre, variation, winds: { from_deg, speeds_mps } }) =>
    of(manoeuvre, (input) =>
      windGrid(input, toVariation(variation), from_deg.map(radians), speeds_mps),
    ),
  bundle: all,
};

const tune: JobOf<'tune', AnalysisUpdate<'tune'>> = {
  given: ofFile,
  pieces: ({ file: manoeuvre }) => tunePlan(manoeuvre),
  bundle: newest,
};

const technique = z.union([techniqueIdSchema, ownTechniqueSchema]);

const proposed: JobOf<'propose', AnalysisUpdate<'propose'>> = {
  given: given({ technique }) as z.ZodType<Given<'propose'>>,
  pieces: ({ file: manoeuvre, technique: which }) => propose(manoeuvre, which),
  bundle: newest,
};

const schoolSchema = z.strictObject({
  throttle: z.enum(SCHOOLS.throttle),
  thruster: z.enum(SCHOOLS.thruster),
  spring: z.enum(SCHOOLS.spring),
});

const suggested: JobOf<'suggest', AnalysisUpdate<'suggest'>> = {
  given: given({
    seconds: z.number().min(1).max(3600),
    school: schoolSchema.optional(),
  }) as z.ZodType<Given<'suggest'>>,
  pieces: ({ file: manoeuvre, seconds, school }) =>
    suggestHere(
      manoeuvre,
      { seed: TRIES_SEED, seconds, ...(school ? { school } : {}) },
      STANDARD_SPREAD,
    ),
  bundle: newest,
};

const compare: JobOf<'compare', AnalysisUpdate<'compare'>> = {
  given: ofFile,
  pieces: ({ file: manoeuvre }) => compareTechniques(manoeuvre),
  bundle: newest,
};

/** Moments of a day: at most one every ten minutes or so. */
const moments = z.array(z.number()).max(200);

function* dayRuns({ file: manoeuvre, day: when, moments: at }: Given<'day'>) {
  for (const run of playDay(manoeuvre, when, at)) yield success(run);
}

const day: JobOf<'day', AnalysisUpdate<'day'>[number]> = {
  given: given({ day: daySchema, moments }) as z.ZodType<Given<'day'>>,
  pieces: dayRuns,
  bundle: all,
};

const hold: JobOf<'hold', AnalysisUpdate<'hold'> | null> = {
  given: given({ motored: motoredSchema }) as z.ZodType<Given<'hold'>>,
  pieces: ({ file: manoeuvre, motored }) => of(manoeuvre, (input) => holdingOf(input, motored)),
  bundle: newest,
};

const outlook: JobOf<'outlook', AnalysisUpdate<'outlook'>> = {
  given: wishSchema,
  pieces: (wish) => [success(outlookOf(wish))],
  bundle: newest,
};

function* looked({ records, boat, place, berth }: Given<'lookOver'>) {
  const shore = obstacleSetOf(toObstacles(place));
  const skip = new Set(shore.obstacles.flatMap(({ id }, i) => (berth.includes(id) ? [i] : [])));
  const craft = assembleCraft(toBoatSpec(boat));
  for (const record of records) {
    const aerial = { x: record.aerial.x_m, y: record.aerial.y_m };
    const { trace, byCourse } = measuredTrace(toFixes(record), aerial);
    const margins = measureClearance(trace, craft, shore, skip);
    yield success({ record, trace, byCourse, margins });
  }
}

const lookOver: JobOf<'lookOver', AnalysisUpdate<'lookOver'>[number]> = {
  given: z.strictObject({
    records: z.array(recordSchema),
    boat: boatSchema as z.ZodType<Boat>,
    place: placeSchema as z.ZodType<Place>,
    berth: z.array(z.string()),
  }),
  pieces: looked,
  bundle: all,
};

/** What the page holds of a lock it has made from a record that was checked: looked at for what it is, not figure by figure. */
const record = (key: string) => (value: unknown) =>
  typeof value === 'object' && value !== null && key in value;
const ofLock = {
  lock: z.custom<Lock>(record('paddles')),
  boat: z.custom<LockedBoat>(record('fromUpper')),
};

const lockAhead: JobOf<'lockOutlook', AnalysisUpdate<'lockOutlook'>> = {
  given: z.strictObject({ ...ofLock, state: z.custom<LockState>(record('leaves')) }),
  pieces: ({ lock, state, boat }) => [success(lockOutlook(lock, state, boat))],
  bundle: newest,
};

const figuresOfLock: JobOf<'lockFigures', AnalysisUpdate<'lockFigures'>> = {
  given: z.strictObject({ ...ofLock, coping: z.number() }),
  pieces: ({ lock, boat, coping }) => {
    const usual = {
      going: 'down',
      freeboard: USUAL_FREEBOARD_M,
      landing: USUAL_LANDING_M,
    } as const;
    return [success(lockFigures(lock, boat, coping, usual))];
  },
  bundle: newest,
};

export const JOBS: { readonly [K in AnalysisName]: JobOf<K, unknown> } = {
  brief,
  survey,
  certify: certified,
  rose: windRose,
  grid,
  tune,
  propose: proposed,
  suggest: suggested,
  compare,
  day,
  hold,
  outlook,
  lookOver,
  lockOutlook: lockAhead,
  lockFigures: figuresOfLock,
};
