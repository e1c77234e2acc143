/**
 * `npm test`: everything that must hold. What wants no build runs beside it, the browser tests after both; at the end
 * stands where the time went, and one line that counts it all.
 */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { checkNode, ensureBuilt, ensureInstalled, environment, fail, root } from './lib.mjs';

const bin = (name) => join(root, 'node_modules', '.bin', name);
const reports = mkdtempSync(join(tmpdir(), 'yawtrope-reports-'));
/** What took how long, s. */
const times = [];
let passed = 0;
let failed = 0;

const say = (text) => process.stdout.write(`\n— ${text}\n`);
const seconds = (since) => (Date.now() - since) / 1000;

/** Runs a program to its end; what it says is shown as a whole, so that two at once can be read. */
function finish(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, env: environment });
    let text = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk) => (text += String(chunk)));
    child.once('error', (error) => resolve({ status: 1, text: String(error) }));
    child.once('close', (status) => resolve({ status: status ?? 1, text }));
  });
}

/** One check that either holds or does not. */
async function check(name, command, args) {
  const began = Date.now();
  const { status, text } = await finish(command, args);
  count(name, began, status === 0);
  if (status !== 0) process.stdout.write(text);
  return status === 0;
}

function count(name, began, held) {
  if (held) passed += 1;
  else failed += 1;
  times.push([name, seconds(began)]);
  say(`${name}: ${held ? 'holds' : 'does not hold'} (${seconds(began).toFixed(0)} s)`);
}

/** A Jest run, counted test by test; one that could not run at all counts as one failure. */
async function jest(name, config, extra = []) {
  const began = Date.now();
  const report = join(reports, `${config}.json`);
  const args = ['--config', config, '--json', `--outputFile=${report}`, ...extra];
  const child = spawn(bin('jest'), args, { cwd: root, env: environment, stdio: 'inherit' });
  const status = await new Promise((resolve) => child.once('close', resolve));
  times.push([name, seconds(began)]);
  if (!existsSync(report)) {
    failed += 1;
    return;
  }
  const result = JSON.parse(readFileSync(report, 'utf8'));
  for (const { name: file, startTime, endTime } of result.testResults)
    times.push([relative(root, file), (endTime - startTime) / 1000]);
  const unrun = result.numRuntimeErrorTestSuites + result.numPendingTests + result.numTodoTests;
  passed += result.numPassedTests;
  failed += result.numFailedTests + unrun;
  if (result.numTotalTests === 0 || (status !== 0 && result.numFailedTests + unrun === 0))
    failed += 1;
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

/** The production build: one for all browser tests. */
async function build() {
  const began = Date.now();
  const held = (await ensureBuilt({ quiet: true })) === 0;
  count('production build', began, held);
  return held;
}

/** The slowest, so that what grows is seen. */
function table() {
  const rows = times.toSorted((a, b) => b[1] - a[1]).slice(0, 25);
  say('where the time went, s');
  for (const [name, took] of rows)
    process.stdout.write(`${took.toFixed(1).padStart(8)}  ${name}\n`);
}

const began = Date.now();
checkNode();
ensureInstalled();
ensureBrowser();

const LINT = [
  '.',
  '--max-warnings',
  '0',
  '--cache',
  '--cache-location',
  'node_modules/.cache/eslint/',
];
/** The compiler made of machine code; ESLint and Next still want the older one. */
const TYPES = join(root, 'node_modules', 'typescript7', 'bin', 'tsc');
// While the build leaves a core idle now and then, tests that want no build take it; browser tests come when both are.
const [built] = await Promise.all([
  (async () => {
    const held = await build();
    // Next writes the types of its routes and style sheets while it builds.
    await check('types', process.execPath, [TYPES, '--noEmit']);
    return held;
  })(),
  (async () => {
    await check('lint', bin('eslint'), LINT);
    await check('boundaries', bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'src']);
    await check('unused', bin('knip'), []);
    await check('format', bin('oxfmt'), ['--check']);
    await jest('unit tests', 'jest.config.mjs');
  })(),
]);
if (built) await jest('browser tests', 'jest.browser.config.mjs');
else say('The browser tests were not run, as there is no build to run them on.');

rmSync(reports, { recursive: true, force: true });
table();
say(`${(seconds(began) / 60).toFixed(1)} minutes in all`);
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed === 0 ? 0 : 1);
