/**
 * `npm run sweep [-- FILES]`: every case of the tests that `npm test` goes through by a fixed choice. To be run before
 * an issue that touches one of them is closed; it takes an hour.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { checkNode, ensureBuilt, ensureInstalled, environment, fail, root } from './lib.mjs';

checkNode();
ensureInstalled();

/** Files of a folder that leave something to the sweep. */
const swept = (folder, ends, says) =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .map((name) => join(root, folder, name))
    .filter((name) => ends.test(name) && says.test(readFileSync(name, 'utf8')));
const UNIT = {
  config: 'jest.config.mjs',
  files: [
    ...swept('src', /\.test\.ts$/, /testing\/sweep'|SOME_DEMOS/),
    ...swept('scripts', /\.test\.ts$/, /testing\/sweep'/),
  ],
};
const BROWSER = {
  config: 'jest.browser.config.mjs',
  files: [
    ...swept('e2e', /\.(test|part)\.ts$/, /(support|testing)\/sweep'/),
    ...swept('e2e', /\.sweep\.test\.ts$/, /./),
  ],
};

const asked = process.argv.slice(2);
const wanted = ({ files }) =>
  asked.length === 0 ? files : files.filter((file) => asked.some((part) => file.includes(part)));

let passed = 0;
let failed = 0;
const times = [];
if (asked.length === 0) {
  // With the rules that npm test leaves out, see eslint.config.mjs.
  const began = Date.now();
  const lint = spawnSync(
    join(root, 'node_modules', '.bin', 'eslint'),
    ['.', '--max-warnings', '0'],
    {
      cwd: root,
      env: { ...environment, YAWTROPE_SWEEP: '1' },
      stdio: 'inherit',
    },
  );
  if (lint.status === 0) passed += 1;
  else failed += 1;
  times.push([(Date.now() - began) / 1000, 1, 'lint, with the rules of the React compiler']);
}
for (const part of [UNIT, BROWSER]) {
  const files = wanted(part);
  if (files.length === 0) continue;
  if (part === BROWSER && (await ensureBuilt()) !== 0) fail('The app could not be built.');
  const report = join(tmpdir(), `yawtrope-sweep-${process.pid}.json`);
  const args = ['--config', part.config, '--testTimeout', '600000'];
  spawnSync(
    join(root, 'node_modules', '.bin', 'jest'),
    [...args, '--json', `--outputFile=${report}`, '--runTestsByPath', ...new Set(files)],
    { cwd: root, env: { ...environment, YAWTROPE_SWEEP: '1' }, stdio: 'inherit' },
  );
  if (!existsSync(report)) {
    failed += 1;
    continue;
  }
  const result = JSON.parse(readFileSync(report, 'utf8'));
  rmSync(report);
  passed += result.numPassedTests;
  failed += result.numFailedTests + result.numRuntimeErrorTestSuites;
  for (const { name, startTime, endTime, assertionResults } of result.testResults)
    times.push([(endTime - startTime) / 1000, assertionResults.length, relative(root, name)]);
}
process.stdout.write('\n      s  tests  file\n');
for (const [took, count, name] of times.toSorted((a, b) => b[0] - a[0]))
  process.stdout.write(`${took.toFixed(1).padStart(7)} ${String(count).padStart(6)}  ${name}\n`);
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
