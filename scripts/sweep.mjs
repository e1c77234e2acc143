/**
 * `npm run sweep [-- FILES]`: every case of the tests that `npm test` goes through by a fixed choice. To be run before
 * an issue that touches one of them is closed; it takes half an hour.
 */
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { checkNode, ensureInstalled, environment, root } from './lib.mjs';

checkNode();
ensureInstalled();

/** Test files that leave something to the sweep. */
const swept = () =>
  readdirSync(join(root, 'src'), { recursive: true, encoding: 'utf8' })
    .map((name) => join(root, 'src', name))
    .filter((name) => name.endsWith('.test.ts'))
    .filter((name) => /testing\/sweep'|SOME_DEMOS/.test(readFileSync(name, 'utf8')));

const asked = process.argv.slice(2);
const report = join(tmpdir(), `yawtrope-sweep-${process.pid}.json`);
const files = asked.length > 0 ? asked : swept();
const { status } = spawnSync(
  join(root, 'node_modules', '.bin', 'jest'),
  [
    '--config',
    'jest.config.mjs',
    '--testTimeout',
    '600000',
    '--json',
    `--outputFile=${report}`,
    ...files,
  ],
  { cwd: root, env: { ...environment, YAWTROPE_SWEEP: '1' }, stdio: 'inherit' },
);
const { testResults, numPassedTests, numFailedTests } = JSON.parse(readFileSync(report, 'utf8'));
rmSync(report);
process.stdout.write('\n      s  tests  file\n');
for (const { name, startTime, endTime, assertionResults } of testResults.toSorted(
  (a, b) => b.endTime - b.startTime - (a.endTime - a.startTime),
)) {
  const took = ((endTime - startTime) / 1000).toFixed(1).padStart(7);
  const count = String(assertionResults.length).padStart(6);
  process.stdout.write(`${took} ${count}  ${relative(root, name)}\n`);
}
process.stdout.write(`\n${numPassedTests} passed, ${numFailedTests} failed\n`);
process.exit(status ?? 1);
