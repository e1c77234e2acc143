import { execFileSync } from 'node:child_process';
import { readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runPlan } from '@/core/plan';
import { certificateOf, trialOf } from '@/core/reliability';
import { STANDARD_SPREAD } from '@/core/uncertainty';
import { lastResultOf, toRunInput, type LastResult } from '@/document';
import { causeText } from '@/ui/words/reliability';
import { manoeuvreIn, readText } from './read-manoeuvre';

// Plays every demo manoeuvre many times over under the standard spread, and writes down what holds: docs/reliability-of-demos.md,
// and what the start page shows of each before it was opened: demo/results.json. A quarter of an hour; with a number, so many runs each instead of 300.

const DEMO = join('demo', 'manoeuvres');
const OUT = join('docs', 'reliability-of-demos.md');
const RESULTS = join('demo', 'results.json');
const SEED = 1;
const runs = Number(process.argv[2] ?? 300);
if (!Number.isInteger(runs) || runs < 1) throw new Error('give a whole number of runs');

/** Nought has no sign. */
const metres = (m: number) => (Math.round(10 * m) / 10 + 0).toFixed(1);
const hundred = (share: number) => Math.round(100 * share);

const results: Record<string, LastResult> = {};
const rows = readdirSync(DEMO)
  .toSorted()
  .map((name) => {
    const path = join(DEMO, name);
    const text = readText(path);
    const file = text.ok ? manoeuvreIn(text.value, path) : text;
    if (!file.ok) throw new Error(JSON.stringify(file.problems));
    const input = toRunInput(file.value);
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    const run = runPlan(input.value);
    const trials = Array.from({ length: runs }, (_, k) =>
      trialOf(input.value, STANDARD_SPREAD, SEED, k),
    );
    const certificate = certificateOf(trials);
    const { share, least, most, causes, quantiles } = certificate;
    results[file.value.id] = lastResultOf(run, {
      held: Math.round(share * certificate.runs),
      of: certificate.runs,
    });
    const [first] = causes;
    const clear = quantiles.clearance;
    process.stderr.write(`${name} ${hundred(share)}\n`);
    return {
      share,
      cells: [
        file.value.title,
        run.outcome,
        hundred(share),
        `${hundred(least)} to ${hundred(most)}`,
        first ? `${causeText(first, file.value.plan)} (${hundred(first.share)})` : '',
        clear ? `${metres(clear[0]!)} to ${metres(clear[4]!)} m` : '–',
      ],
    };
  });

writeFileSync(RESULTS, `${JSON.stringify(results)}\n`);
const held = rows.filter(({ share }) => share >= 0.95).length;
const median = rows.map(({ share }) => share).toSorted((a, b) => a - b)[rows.length >> 1]!;
writeFileSync(
  OUT,
  [
    '# How sure the demos are',
    '',
    `Every demo manoeuvre played ${runs} times under the standard spread (seed ${SEED}): day, boat, start and crew as they may be. Made by \`npm run demo-shares\`.`,
    `${held} of ${rows.length} hold in 95 of 100; the median is ${hundred(median)}. Most go by headings, clocks and distances, and nobody looks again: these do not hold yet, and that is`,
    'said on screen too.',
    '',
    '| manoeuvre | as written | holds in, of 100 | 95 % sure of | what most others come to (of 100) | clearance, 5 to 95 of 100 |',
    '| --- | --- | --- | --- | --- | --- |',
    ...rows.map(({ cells }) => `| ${cells.join(' | ')} |`),
    '',
  ].join('\n'),
);
// Here and not in package.json: a number that is given has to come to this program.
execFileSync(join('node_modules', '.bin', 'oxfmt'), [OUT]);
