import { execFileSync } from 'node:child_process';
import { appendFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { isMainThread } from 'node:worker_threads';
import { median } from 'd3-array';
import { HOLDS_ENOUGH } from '@/core/policy';
import type { Share } from '@/core/reliability';
import { STANDARD_SPREAD } from '@/core/uncertainty';
import { suggestPlans } from '@/planner';
import { caseOf, CASES } from '@/planner/testing/cases';
import { refusalWords } from '@/ui/words/refusals';
import { causeText } from '@/ui/words/reliability';
import { techniqueWords } from '@/ui/words/suggestions';
import { windSpeed } from '@/ui/words/units';
import { coresToTryOn, triedBy, tryAsAsked } from './tried-by';

// Has plans suggested for the half of the drawn cases that no judgement was formed on, as whoever asks for one gets them, and writes down what came of it:
// docs/suggested-held-back.md. An hour and more; what is done is kept in build/, and it goes on from there. `node scripts/run-ts.mjs scripts/suggested.ts [SECONDS]`.

const seconds = Number(process.argv[2] ?? 10);
const KEPT = join('build', `suggested-${seconds}.jsonl`);
const OUT = join('docs', 'suggested-held-back.md');
const SEED = 1;
const UNITS = { speed: 'kn', length: 'm', force: 'N' } as const;

type Counted = Pick<Share, 'share' | 'least' | 'most' | 'runs'>;

interface Row {
  readonly case: number;
  readonly kind: string;
  readonly boat: string;
  readonly wind: number;
  readonly technique: string;
  readonly plan: Counted | null;
  readonly reference: Counted | null;
  readonly took: number;
  readonly cause: string;
  readonly remedies: readonly { readonly says: string; readonly certified: Counted }[];
}

const counted = ({ share, least, most, runs }: Share): Counted => ({ share, least, most, runs });

async function rowOf(n: number, cores: ReturnType<typeof coresToTryOn>): Promise<Row> {
  const { kind, file } = caseOf(n);
  const began = performance.now();
  const found = await suggestPlans(file, { seed: SEED, seconds }, triedBy(cores));
  const took = (performance.now() - began) / 1000;
  if (!found.ok) throw new Error(`${n}: ${JSON.stringify(found.problems)}`);
  const { plans, reference, refused, remedies } = found.value;
  const [best] = plans;
  const cause = best?.certificate.causes[0];
  return {
    case: n,
    kind,
    boat: file.boat.id,
    wind: file.conditions.wind.speed_mps,
    technique: best ? techniqueWords(best.way) : '–',
    plan: best ? counted(best.certificate) : null,
    reference: reference && counted(reference),
    took,
    cause: refused ? refusalWords(refused) : cause && best ? causeText(cause, best.plan) : '',
    remedies: remedies.map(({ is, wind, certificate }) => ({
      says: is === 'less wind' ? `${windSpeed(wind, UNITS)} of wind` : is,
      certified: counted(certificate),
    })),
  };
}

const hundred = (share: number) => Math.round(100 * share);
const held = ({ share, runs }: Counted) => `${Math.round(share * runs)} of ${runs}`;
const interval = ({ least, most }: Counted) => `${hundred(least)}–${hundred(most)}`;
const holds = ({ plan }: Row) => plan !== null && plan.share >= HOLDS_ENOUGH;

function summary(rows: readonly Row[]): string[] {
  const solvable = rows.filter(({ reference }) => (reference?.share ?? 0) >= HOLDS_ENOUGH);
  const ofAll = (these: readonly Row[]) => {
    const runs = these.reduce((sum, { plan }) => sum + (plan?.runs ?? 0), 0);
    return hundred(
      these.reduce((sum, { plan }) => sum + (plan ? plan.share * plan.runs : 0), 0) / runs,
    );
  };
  const times = rows.filter(holds).map(({ took }) => took);
  const under = (most: number) => times.filter((took) => took <= most).length;
  const short = rows.filter((row) => !holds(row));
  const mended = short.filter(({ remedies }) => remedies.length > 0);
  return [
    `Of ${rows.length} cases ${rows.filter(holds).length} are given a plan that holds in 95 of 100 of its tries; of all tries of the best plans ${ofAll(rows)} in 100 hold.`,
    `In ${solvable.length} cases the helm that sees everything holds in as many (of few tries: it is a first look). In these the best plan holds in 95 of 100 in ${solvable.filter(holds).length}, in 85 in ${solvable.filter(({ plan }) => (plan?.share ?? 0) >= 0.85).length}, and ${ofAll(solvable)} in 100 of all tries hold.`,
    '',
    `Where a plan holds the whole of a suggestion took ${median(times)?.toFixed(0)} s at the median; ${under(10)} of ${times.length} took 10 s or less, ${under(20)} 20 s or less. Of the ${short.length} others ${mended.length} have a remedy that was certified.`,
  ];
}

function kinds(rows: readonly Row[]): string[] {
  const names = [...new Set(rows.map(({ kind }) => kind))];
  const line = (kind: string) => {
    const these = rows.filter((row) => row.kind === kind);
    const mean = (of: (row: Row) => number) =>
      hundred(these.reduce((sum, row) => sum + of(row), 0) / these.length);
    return `| ${kind} | ${these.length} | ${these.filter(holds).length} | ${mean(({ plan }) => plan?.share ?? 0)} | ${mean(({ reference }) => reference?.share ?? 0)} |`;
  };
  return [
    '| kind | cases | hold in 95 of 100 | best plan, of 100 | sees everything, of 100 |',
    '| --- | --- | --- | --- | --- |',
    ...names.map(line),
  ];
}

const table = (rows: readonly Row[]): string[] => [
  '| case | kind | boat | wind | technique | held | interval, of 100 | sees everything | s | most that fail come to | remedies |',
  '| --- | --- | --- | --- | --- | --- | --- | --- | --- | --- | --- |',
  ...rows.map(({ plan, reference, remedies, ...row }) =>
    [
      '',
      row.case,
      row.kind,
      row.boat,
      windSpeed(row.wind, UNITS),
      row.technique,
      plan ? held(plan) : '–',
      plan ? interval(plan) : '–',
      reference ? held(reference) : '–',
      row.took.toFixed(0),
      row.cause,
      remedies.map(({ says, certified }) => `${says}: ${held(certified)}`).join('; '),
      '',
    ]
      .join(' | ')
      .trim(),
  ),
];

async function suggested(): Promise<void> {
  mkdirSync('build', { recursive: true });
  const kept = existsSync(KEPT) ? readFileSync(KEPT, 'utf8').trim().split('\n') : [];
  const rows = kept.filter(Boolean).map((line) => JSON.parse(line) as Row);
  const done = new Set(rows.map((row) => row.case));
  for (let n = 1; n < CASES; n += 2) {
    if (done.has(n)) continue;
    // Workers know the ways they found: of a case alone, as for whoever asks once.
    const cores = coresToTryOn(STANDARD_SPREAD);
    const row = await rowOf(n, cores).finally(() => cores.end());
    rows.push(row);
    appendFileSync(KEPT, `${JSON.stringify(row)}\n`);
    process.stderr.write(
      `${n} ${row.plan ? held(row.plan) : row.cause} ${row.took.toFixed(0)} s\n`,
    );
  }
  rows.sort((a, b) => a.case - b.case);
  writeFileSync(
    OUT,
    [
      '# Plans suggested for the held-back half',
      '',
      `The odd cases of \`src/planner/testing/cases.ts\`, which no judgement was formed on, each with plans suggested as \`npm run -s suggest -- FILE.json --seconds ${seconds}\` does (seed ${SEED}), under the standard spread with a person's eye and lateness. Made by \`npm run suggested\`.`,
      'Held: of the tries the best plan is certified by, which are none of those it was chosen by. Interval: 95 %, by the score. Seconds: the whole suggestion with the reference helm and, where none holds, the remedies, from workers that begin anew.',
      '',
      ...summary(rows),
      '',
      ...kinds(rows),
      '',
      ...table(rows),
      '',
    ].join('\n'),
  );
  // Here and not in package.json: a number that is given has to come to this program.
  execFileSync(join('node_modules', '.bin', 'oxfmt'), [OUT]);
}

if (isMainThread) void suggested();
else tryAsAsked();
