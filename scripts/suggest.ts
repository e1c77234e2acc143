import { writeFileSync } from 'node:fs';
import { isMainThread } from 'node:worker_threads';
import { QUANTILES, type Certificate, type Share } from '@/core/reliability';
import { SCHOOLS, USUAL_SCHOOL, type School, type SchoolOf } from '@/core/policy';
import { failure, success, type ManoeuvreFile, type Result } from '@/document';
import {
  crewFor,
  hasOneThatHolds,
  roseOf,
  roseTries,
  suggestPlans,
  type Suggestion,
} from '@/planner';
import { refusalWords } from '@/ui/words/refusals';
import { causeText } from '@/ui/words/reliability';
import { stepSentence } from '@/ui/words/steps';
import { tellResult } from './all-cores';
import { bareManoeuvreIn, readText, spreadIn, wholeIn } from './read-manoeuvre';
import { roseIn } from './rose-printed';
import { coresToTryOn, triedBy, tryAsAsked } from './tried-by';

const USAGE =
  'usage: npm run -s suggest -- FILE.json [--seconds 10] [--spread SPREAD.json] [--seed N] [--school KEY=VALUE]... [--rose] [--out PLAN.json]';
const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;
const MOST_SECONDS = 3600;

interface Asked {
  readonly file: string;
  readonly seconds: number;
  readonly seed: number;
  readonly spread: string | null;
  readonly school: School;
  readonly rose: boolean;
  readonly out: string | null;
}

/** A school by what was said of it, KEY=VALUE each. */
function schoolIn(said: readonly (string | undefined)[]): Result<School> {
  const school: Record<string, string> = { ...USUAL_SCHOOL };
  for (const one of said) {
    const [key = '', value = ''] = (one ?? '').split('=');
    const values: readonly string[] | undefined = Object.hasOwn(SCHOOLS, key)
      ? SCHOOLS[key as SchoolOf]
      : undefined;
    const chosen = values?.find((name) => name === value || name.replaceAll(' ', '-') === value);
    if (!chosen)
      return failure({
        path: '--school',
        message: values
          ? `${key} is ${values.map((name) => `'${name}'`).join(', ')}, not '${value}'`
          : `give KEY=VALUE, KEY one of ${Object.keys(SCHOOLS).join(', ')}`,
      });
    school[key] = chosen;
  }
  return success(school as unknown as School);
}

function askedFor(words: readonly string[]): Result<Asked> {
  const rest = [...words];
  const option = (name: string): string | undefined | null => {
    const at = rest.indexOf(name);
    return at < 0 ? null : rest.splice(at, 2)[1];
  };
  const [secondsText, seedText, spread, out] = ['--seconds', '--seed', '--spread', '--out'].map(
    option,
  );
  const schools: (string | undefined)[] = [];
  for (let said = option('--school'); said !== null; said = option('--school')) schools.push(said);
  const school = schoolIn(schools);
  if (!school.ok) return school;
  const roseAt = rest.indexOf('--rose');
  if (roseAt >= 0) rest.splice(roseAt, 1);
  const seconds = secondsText === null ? 10 : wholeIn(secondsText, 1, MOST_SECONDS);
  const seed = seedText === null ? 1 : wholeIn(seedText, 0, 0x7fffffff);
  if (seconds === null)
    return failure({ path: '--seconds', message: `give a whole number from 1 to ${MOST_SECONDS}` });
  if (seed === null)
    return failure({ path: '--seed', message: 'give a whole number from 0 to 2147483647' });
  for (const [name, value] of [
    ['--spread', spread],
    ['--out', out],
  ] as const)
    if (value === undefined) return failure({ path: name, message: `needs a file name. ${USAGE}` });
  const stray = rest.find((word) => word.startsWith('--'));
  if (stray) return failure({ path: stray, message: `is not an option. ${USAGE}` });
  if (rest.length !== 1) return failure({ path: 'FILE.json', message: `give one file. ${USAGE}` });
  return success({
    file: rest[0]!,
    seconds,
    seed,
    school: school.value,
    rose: roseAt >= 0,
    spread: spread ?? null,
    out: out ?? null,
  });
}

const rounded = (value: number) => Number(value.toPrecision(4));
const interval = ({ least, most }: Share) => [rounded(least), rounded(most)];

const quantilesOf = ({ quantiles: { clearance, touch, seconds } }: Certificate) => {
  const byName = (figures: readonly number[] | null) =>
    figures &&
    Object.fromEntries(
      figures.map((value, i) => [`p${Math.round(100 * QUANTILES[i]!)}`, rounded(value)]),
    );
  return { clearance_m: byName(clearance), touch_mps: byName(touch), time_s: byName(seconds) };
};

function printed(
  file: ManoeuvreFile,
  asked: Asked,
  { plans, reference, refused, remedies }: Suggestion,
  rose: readonly object[] | null,
  took: { readonly all: number; readonly toPlan: number | null },
) {
  return {
    plans: plans.map((one, i) => ({
      technique: one.way.spring ? 'in on a bow spring' : 'worked by short bursts',
      steps: one.plan.steps.map((step) => stepSentence(step, UNITS)),
      share: rounded(one.certificate.share),
      interval: interval(one.certificate),
      runs: one.certificate.runs,
      causes: one.certificate.causes.slice(0, 3).map((cause) => ({
        share: rounded(cause.share),
        says: causeText(cause, one.plan),
      })),
      quantiles: quantilesOf(one.certificate),
      rose: i === 0 ? rose : null,
      crew: crewFor(one.way, one.plan),
      gearChanges: one.gearChanges,
    })),
    reference: reference && {
      share: rounded(reference.share),
      interval: interval(reference),
      runs: reference.runs,
    },
    reason: refused && refusalWords(refused),
    remedies: remedies.map(({ is, wind, certificate }) => ({
      is,
      wind_mps: wind,
      share: rounded(certificate.share),
      interval: interval(certificate),
      runs: certificate.runs,
    })),
    school: asked.school,
    seed: asked.seed,
    spread: asked.spread ?? 'standard',
    // Until the first plan that holds was certified; and until everything else was told as well.
    secondsToPlan: took.toPlan === null ? null : rounded(took.toPlan),
    secondsUsed: rounded(took.all),
    title: file.title,
  };
}

/** Plans found, the first written where that is asked for, and all of it as it is printed. */
async function foundBy(
  tryAll: ReturnType<typeof triedBy>,
  file: ManoeuvreFile,
  asked: Asked,
): Promise<Result<object>> {
  const began = performance.now();
  const since = () => (performance.now() - began) / 1000;
  let toPlan: number | null = null;
  const found = await suggestPlans(file, asked, tryAll, (soFar) => {
    if (hasOneThatHolds(soFar)) toPlan ??= since();
  });
  if (!found.ok) return found;
  const [best] = found.value.plans;
  const planned = best && { ...file, plan: best.plan };
  if (asked.out !== null && planned)
    writeFileSync(asked.out, `${JSON.stringify(planned, null, 2)}\n`);
  const [came] = asked.rose && planned ? await tryAll([roseTries(planned, asked.seed)]) : [];
  const rose = came ? roseIn(roseOf(came), rounded) : null;
  return success(printed(file, asked, found.value, rose, { all: since(), toPlan }));
}

async function suggest(words: readonly string[]): Promise<Result<object>> {
  const asked = askedFor(words);
  if (!asked.ok) return asked;
  const spread = spreadIn(asked.value.spread);
  if (!spread.ok) return spread;
  const text = readText(asked.value.file);
  if (!text.ok) return text;
  const file = bareManoeuvreIn(text.value, asked.value.file);
  if (!file.ok) return file;
  // The workers stay: each knows the ways it found.
  const cores = coresToTryOn(spread.value);
  return foundBy(triedBy(cores), file.value, asked.value).finally(() => cores.end());
}

if (isMainThread) void tellResult(suggest(process.argv.slice(2)));
else tryAsAsked();
