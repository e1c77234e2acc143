/** `npm test`: everything that must hold, in order, ending with one line that counts it. */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { checkNode, ensureBuilt, ensureInstalled, environment, fail, root, run } from './lib.mjs';

const bin = (name) => join(root, 'node_modules', '.bin', name);
const reports = mkdtempSync(join(tmpdir(), 'yawtrope-reports-'));
let passed = 0;
let failed = 0;

function say(text) {
  process.stdout.write(`\n— ${text}\n`);
}

/** One check that either holds or does not. */
function check(name, command, args) {
  say(name);
  const held = run(command, args, { env: environment }) === 0;
  if (held) passed += 1;
  else failed += 1;
  return held;
}

/** A Jest run, counted test by test; one that could not run at all counts as one failure. */
function jest(name, config, extra = []) {
  say(name);
  const report = join(reports, `${config}.json`);
  const status = run(
    bin('jest'),
    ['--config', config, '--json', `--outputFile=${report}`, ...extra],
    { env: environment },
  );
  if (!existsSync(report)) {
    failed += 1;
    return;
  }
  const result = JSON.parse(readFileSync(report, 'utf8'));
  const unrun = result.numRuntimeErrorTestSuites + result.numPendingTests + result.numTodoTests;
  passed += result.numPassedTests;
  failed += result.numFailedTests + unrun;
  if (result.numTotalTests === 0 || (status !== 0 && result.numFailedTests + unrun === 0)) {
    failed += 1;
  }
}

/** Chromium and its driver: installed by apt when root, asked for otherwise. */
function ensureBrowser() {
  const paths = [
    process.env.CHROMIUM ?? '/usr/bin/chromium',
    process.env.CHROMEDRIVER ?? '/usr/bin/chromedriver',
  ];
  if (paths.every(existsSync)) return;
  const command = 'apt-get install -y chromium chromium-driver';
  if (process.getuid?.() !== 0) {
    fail(
      `The browser tests need Chromium and ChromeDriver. Install them with: sudo ${command} — or name them in CHROMIUM and CHROMEDRIVER.`,
    );
  }
  say('installing Chromium and ChromeDriver');
  const apt = (args) =>
    spawnSync('apt-get', args, {
      stdio: 'inherit',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    }).status;
  if (
    apt(['update', '-qq']) !== 0 ||
    apt(['install', '-y', '-qq', 'chromium', 'chromium-driver']) !== 0
  ) {
    fail(`Chromium could not be installed; run '${command}' and see why.`);
  }
}

checkNode();
ensureInstalled();
ensureBrowser();

check('format', bin('prettier'), ['--check', '.', '--log-level', 'warn']);
check('lint', bin('eslint'), ['.', '--max-warnings', '0']);
// Next writes the types of its routes and style sheets.
check('route types', bin('next'), ['typegen']);
check('types', bin('tsc'), ['--noEmit']);
check('boundaries', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'src']);
jest('unit tests', 'jest.config.mjs');
say('production build');
if (ensureBuilt() === 0) {
  passed += 1;
  jest('browser tests', 'jest.browser.config.mjs', ['--runInBand']);
} else {
  failed += 1;
  process.stdout.write('The browser tests were not run, as there is no build to run them on.\n');
}

rmSync(reports, { recursive: true, force: true });
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed === 0 ? 0 : 1);
