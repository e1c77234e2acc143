import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

// Runs the core's tests and writes docs/measured.md: every exact check with its result, the published ship and the
// behaviours with the figures measured. `npm run measured`.

interface Report {
  readonly testResults: readonly {
    readonly assertionResults: readonly { readonly fullName: string; readonly status: string }[];
  }[];
}

interface Noted {
  readonly found: number;
  readonly args: readonly number[];
  readonly count: number;
}

type Matcher =
  | 'toBeCloseTo'
  | 'toBeLessThan'
  | 'toBeLessThanOrEqual'
  | 'toBeGreaterThan'
  | 'toBeGreaterThanOrEqual';

interface Measured {
  readonly test: string;
  readonly kinds: Readonly<Partial<Record<Matcher, Noted>>>;
}

const figure = (x: number) => String(Number(x.toPrecision(6)));

const WORDS: Readonly<Record<Matcher, (found: string, args: readonly number[]) => string>> = {
  toBeCloseTo: (found, [expected, digits = 2]) =>
    `${found} for ${figure(expected!)} ± ${figure(0.5 * 10 ** -digits)}`,
  toBeLessThan: (found, [bound]) => `${found} < ${figure(bound!)}`,
  toBeLessThanOrEqual: (found, [bound]) => `${found} ≤ ${figure(bound!)}`,
  toBeGreaterThan: (found, [bound]) => `${found} > ${figure(bound!)}`,
  toBeGreaterThanOrEqual: (found, [bound]) => `${found} ≥ ${figure(bound!)}`,
};

/** What a test found beside what it had to be; of many alike, the one that came nearest to failing. */
function figures(kinds: Measured['kinds']): string {
  return Object.entries(kinds)
    .map(([matcher, { found, args, count }]) => {
      const words = WORDS[matcher as Matcher](figure(found), args);
      return count > 1 ? `${words} (nearest of ${count})` : words;
    })
    .join('; ');
}

const directory = mkdtempSync(join(tmpdir(), 'yawtrope-measured-'));
const report = join(directory, 'report.json');
const notes = join(directory, 'measured.jsonl');
writeFileSync(notes, '');
const jest = spawnSync(
  join('node_modules', '.bin', 'jest'),
  [
    'src/core',
    '--runInBand',
    '--json',
    `--outputFile=${report}`,
    '--setupFilesAfterEnv=<rootDir>/scripts/jest-measure.mjs',
    '--config=jest.config.mjs',
  ],
  {
    encoding: 'utf8',
    maxBuffer: 1 << 26,
    env: { ...process.env, YAWTROPE_MEASURED: notes },
  },
);
const tests = (JSON.parse(readFileSync(report, 'utf8')) as Report).testResults.flatMap(
  (file) => file.assertionResults,
);
const measured = new Map(
  readFileSync(notes, 'utf8')
    .split('\n')
    .filter(Boolean)
    .map((line) => JSON.parse(line) as Measured)
    .map(({ test, kinds }) => [test, kinds]),
);
rmSync(directory, { recursive: true, force: true });

const checks = tests
  .flatMap(({ fullName, status }) => {
    const id = /\b([A-L]\d)\b/.exec(fullName)?.[1];
    return id ? [{ id, fullName, status }] : [];
  })
  .sort((a, b) => a.id.localeCompare(b.id, 'en', { numeric: true }));
const lines = jest.stdout.split('\n');
const rows = lines
  .filter((line) => line.startsWith('behaviour|'))
  .map((line) => line.split('|').slice(1));
/** Boats inside, by row, before the repairs. */
const before = new Map(
  readFileSync(join('docs', 'measured-before.txt'), 'utf8')
    .split('\n')
    .filter(Boolean)
    .map((line) => line.split('|') as [string, string]),
);

/** The sum of “3 of 4” and its like. */
function insideOf(cells: readonly string[]): string {
  const [inside, all] = cells
    .map((cell) => cell.split(' of ').map(Number))
    .reduce(([a, b], [c, d]) => [a! + c!, b! + d!], [0, 0]);
  return `${inside} of ${all} (${((100 * inside!) / all!).toFixed(1)} %)`;
}

const ship = lines.filter((line) => /^(7-m model|ship): advance/.test(line));

writeFileSync(
  join('docs', 'measured.md'),
  `# Measured against the oracle

Made by \`npm run measured\` from the core's own tests; what each tolerance is stands in the test and in
[physics.md](physics.md).

## Exact checks

Found beside what it had to be; of many figures in one check, the one that came nearest to failing. Where a check is of signs, bits
or words there is no figure.

| check | what | found | result |
| ----- | ---- | ----- | ------ |
${checks
  .map(
    ({ id, fullName, status }) =>
      `| ${id} | ${fullName.replaceAll('|', '\\|')} | ${figures(measured.get(fullName) ?? {})} | ${status} |`,
  )
  .join('\n')}

## The published ship, by the general model

${ship.map((line) => `- ${line}`).join('\n')}

## Behaviours

Over the demo fleet and the boats drawn through the owner's form (\`src/document/testing/generated-boats.jsonl\`), each beside the range of
recalled practice: how many of the boats a row speaks of lie inside, now and before the repairs of the model (0.3.0, measured the same
way), the least, middle and greatest figure, and the boat furthest outside. A row with fewer than 85 in 100 inside says why.

${insideOf(rows.map((row) => row[2]!))} now, ${insideOf([...before.values()])} before.

| row | what | inside | before | range | least, middle, most | furthest outside | why |
| --- | --- | --- | --- | --- | --- | --- | --- |
${rows
  .map(
    ([no, what, inside, range, spread, worst, why]) =>
      `| ${[no, what, inside, before.get(what!) ?? '–', range, spread, worst, why].join(' | ')} |`,
  )
  .join('\n')}
`,
);
process.stdout.write(`${checks.length} checks, ${rows.length} behaviours: docs/measured.md\n`);
process.exitCode = jest.status ?? 1;
