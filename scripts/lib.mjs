/** Shared by the start scripts: plain Node, so that they run before anything is installed. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const STAMPS = join(root, 'node_modules', '.yawtrope');

/** Ends the program with one sentence. */
export function fail(sentence) {
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}

/** Next 16 and better-sqlite3 12 need at least this. */
const LEAST_NODE = [20, 9];

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  const old = major < LEAST_NODE[0] || (major === LEAST_NODE[0] && minor < LEAST_NODE[1]);
  if (old) {
    fail(
      `Yawtrope needs Node.js ${LEAST_NODE.join('.')} or newer; this is ${process.versions.node}. Install a newer Node.js and try again.`,
    );
  }
}

function hash(parts) {
  const sum = createHash('sha256');
  for (const part of parts) sum.update(part);
  return sum.digest('hex');
}

function stampPath(name) {
  return join(STAMPS, name);
}

function isStamped(name, value) {
  return existsSync(stampPath(name)) && readFileSync(stampPath(name), 'utf8') === value;
}

function stamp(name, value) {
  mkdirSync(STAMPS, { recursive: true });
  writeFileSync(stampPath(name), value);
}

export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  return done.status ?? 1;
}

/** Installs packages if the lock file has changed since the last install. Says so on stderr. */
export function ensureInstalled({ quiet = false } = {}) {
  const lock = hash([readFileSync(join(root, 'package-lock.json')), process.versions.modules]);
  if (isStamped('installed', lock)) return;
  process.stderr.write('Installing packages (the first time takes a few minutes) …\n');
  const status = run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    stdio: quiet ? ['ignore', 2, 2] : 'inherit',
  });
  if (status !== 0) {
    fail(
      'Packages could not be installed: see the lines above; check that the npm registry is reachable and that python3, make and g++ are there.',
    );
  }
  stamp('installed', lock);
}

const BUILD_INPUTS = [
  'src',
  'package-lock.json',
  'next.config.ts',
  'tsconfig.json',
  'postcss.config.mjs',
];

function filesBelow(path) {
  if (!existsSync(path)) return [];
  if (statSync(path).isFile()) return [path];
  return readdirSync(path, { withFileTypes: true })
    .sort((a, b) => (a.name < b.name ? -1 : 1))
    .flatMap((entry) => filesBelow(join(path, entry.name)));
}

function sourceHash() {
  const files = BUILD_INPUTS.flatMap((name) => filesBelow(join(root, name)));
  return hash(files.flatMap((file) => [relative(root, file), readFileSync(file)]));
}

const nextBinary = join(root, 'node_modules', 'next', 'dist', 'bin', 'next');
export const environment = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };

/** Builds the app if its sources have changed since the last build. */
export function ensureBuilt({ output = 'inherit' } = {}) {
  const sources = sourceHash();
  const id = join(root, '.next', 'BUILD_ID');
  if (existsSync(id) && isStamped('built', sources)) return 0;
  process.stderr.write('Building the app …\n');
  const status = run(process.execPath, [nextBinary, 'build'], { env: environment, stdio: output });
  if (status === 0) stamp('built', sources);
  return status;
}

/** Runs a TypeScript program of this project. */
export function runTypeScript(file, args, options = {}) {
  const tsx = join(root, 'node_modules', 'tsx', 'dist', 'cli.mjs');
  return run(process.execPath, [tsx, join(root, file), ...args], {
    cwd: process.cwd(),
    ...options,
  });
}

export function startNext(args, env) {
  return spawn(process.execPath, [nextBinary, ...args], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...environment, ...env },
  });
}
