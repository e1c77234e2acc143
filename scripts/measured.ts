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

const directory = mkdtempSync(join(tmpdir(), 'yawtrope-measured-'));
const report = join(directory, 'report.json');
const jest = spawnSync(
  join('node_modules', '.bin', 'jest'),
  ['src/core', '--runInBand', '--json', `--outputFile=${report}`],
  { encoding: 'utf8', maxBuffer: 1 << 26 },
);
const tests = (JSON.parse(readFileSync(report, 'utf8')) as Report).testResults.flatMap(
  (file) => file.assertionResults,
);
rmSync(directory, { recursive: true, force: true });

const checks = tests
  .flatMap(({ fullName, status }) => {
    const id = /\b([A-L]\d)\b/.exec(fullName)?.[1];
    return id ? [{ id, fullName, status }] : [];
  })
  .sort((a, b) => a.id.localeCompare(b.id, 'en', { numeric: true }));
const lines = jest.stdout.split('\n');
const rows = lines.filter((line) => /^(o | {2}) ?\d+ {2}\S/.test(line));
const ship = lines.filter((line) => /^(7-m model|ship): advance/.test(line));

writeFileSync(
  join('docs', 'measured.md'),
  `# Measured against the oracle

Made by \`npm run measured\` from the core's own tests; what each tolerance is stands in the test and in
[physics.md](physics.md).

## Exact checks

| check | what | result |
| ----- | ---- | ------ |
${checks.map(({ id, fullName, status }) => `| ${id} | ${fullName.replaceAll('|', '\\|')} | ${status} |`).join('\n')}

## The published ship, by the general model

${ship.map((line) => `- ${line}`).join('\n')}

## Behaviours over the fleet

Measured beside the range of recalled practice; \`o\` stands before a figure outside it, with the reason behind.

\`\`\`
${rows.join('\n')}
\`\`\`
`,
);
process.stdout.write(`${checks.length} checks, ${rows.length} behaviours: docs/measured.md\n`);
process.exitCode = jest.status ?? 1;
