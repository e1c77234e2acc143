/** Shared by the start scripts: plain Node, so that they run before anything is installed. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { dirname, join, relative, resolve } from 'node:path';
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

/** A program's exit code once it has ended; where it was to be quiet, what it said is shown if it failed. */
const finished = (child) =>
  new Promise((resolve) => {
    let said = '';
    for (const stream of [child.stdout, child.stderr])
      stream?.on('data', (chunk) => (said += String(chunk)));
    child.once('error', () => resolve(1));
    child.once('close', (code) => {
      if (code !== 0) process.stderr.write(said);
      resolve(code ?? 1);
    });
  });

/** Has somebody run npm install since the lock file last changed? */
function installedByHand() {
  const own = join(root, 'node_modules', '.package-lock.json');
  const native = join(
    root,
    'node_modules',
    'better-sqlite3',
    'build',
    'Release',
    'better_sqlite3.node',
  );
  if (!existsSync(own) || !existsSync(native)) return false;
  return statSync(own).mtimeMs >= statSync(join(root, 'package-lock.json')).mtimeMs;
}

/** Installs packages if the lock file has changed since the last install. Says so on stderr. */
export function ensureInstalled({ quiet = false } = {}) {
  const lock = hash([readFileSync(join(root, 'package-lock.json')), process.versions.modules]);
  if (isStamped('installed', lock)) return;
  if (installedByHand()) {
    stamp('installed', lock);
    return;
  }
  process.stderr.write('Installing packages (the first time takes a few minutes) …\n');
  // Not `npm ci`: it asks for every platform's optional package, and a registry mirror need not hold them.
  const status = run(
    'npm',
    ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error'],
    {
      stdio: quiet ? ['ignore', 2, 2] : 'inherit',
    },
  );
  if (status !== 0) {
    fail(
      'Packages could not be installed: see the lines above; check that the npm registry is reachable and that python3, make and g++ are there.',
    );
  }
  stamp('installed', lock);
}

const BUILD_INPUTS = [
  'src',
  'scripts/build-server.mjs',
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

function hashed(path) {
  return filesBelow(path).flatMap((file) => [relative(root, file), readFileSync(file)]);
}

function sourceHash() {
  return hash(BUILD_INPUTS.flatMap((name) => hashed(join(root, name))));
}

const nextBinary = join(root, 'node_modules', 'next', 'dist', 'bin', 'next');
export const environment = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };

/** Builds what runs beside Next, see build-server.mjs; it needs the packages, so it is come to late. */
export async function buildServer() {
  await (await import('./build-server.mjs')).buildServer();
}

/** Builds the app if its sources have changed since the last build. */
export async function ensureBuilt({ quiet = false } = {}) {
  const sources = sourceHash();
  const made = [join(root, '.next', 'BUILD_ID'), join(root, 'build', 'server.cjs')];
  if (made.every(existsSync) && isStamped('built', sources)) return 0;
  if (!quiet) process.stderr.write('Building the app …\n');
  // Not waited for by standing still: others run beside it.
  const status = await finished(
    spawn(process.execPath, [nextBinary, 'build'], {
      cwd: root,
      env: environment,
      stdio: quiet ? 'pipe' : 'inherit',
    }),
  );
  if (status !== 0) return status;
  const { tightenServer } = await import('./build-server.mjs');
  await tightenServer();
  await buildServer();
  stamp('built', sources);
  return 0;
}

/** Runs a TypeScript program of this project, where it was called from. Returns its exit code. */
export async function runTypeScript(file, args) {
  const script = await (await import('./build-server.mjs')).buildScript(file);
  return run(process.execPath, ['--enable-source-maps', script, ...args], { cwd: process.cwd() });
}

/** Starts the server around Next: `dev` or `start`. */
function startServer(how, env) {
  return spawn(process.execPath, [join(root, 'build', 'server.cjs'), how], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: {
      ...environment,
      NODE_ENV: how === 'dev' ? 'development' : 'production',
      // Every thread would keep freed memory of its own.
      MALLOC_ARENA_MAX: '2',
      ...env,
    },
  });
}

/** The port asked for by YAWTROPE_PORT, or 4780. */
export function wantedPort() {
  const given = process.env.YAWTROPE_PORT;
  if (given === undefined || given === '') return 4780;
  const port = Number(given);
  if (!Number.isInteger(port) || port < 1 || port > 65535) {
    fail(`YAWTROPE_PORT is '${given}'; give a port number from 1 to 65535.`);
  }
  return port;
}

/** Ends the program if the port is taken or may not be used. */
export async function checkPort(port) {
  const server = createServer();
  const error = await new Promise((resolve) => {
    server.once('error', resolve);
    server.listen({ port, host: '127.0.0.1', exclusive: true }, () => resolve(null));
  });
  if (error) {
    const why = error.code === 'EADDRINUSE' ? 'is in use' : `cannot be used (${error.code})`;
    fail(`Port ${port} on 127.0.0.1 ${why}; set YAWTROPE_PORT to another one.`);
  }
  await new Promise((resolve) => server.close(resolve));
}

/** Step by step: mkdir's own recursion never ends on file systems that refuse it, such as /proc. */
function makeDirectory(path) {
  if (existsSync(path)) return;
  makeDirectory(dirname(path));
  mkdirSync(path);
}

/** Where data is kept, and that it can be. */
export function checkData() {
  const directory = resolve(process.env.YAWTROPE_DATA_DIR || join(root, '.yawtrope'));
  try {
    makeDirectory(directory);
    const probe = join(directory, `.probe-${process.pid}`);
    writeFileSync(probe, '');
    rmSync(probe);
  } catch (error) {
    fail(
      `The data directory '${directory}' cannot be written (${error.code}); set YAWTROPE_DATA_DIR to one that can.`,
    );
  }
  return directory;
}

/** What every start needs first: a port and a directory that can be had, and the packages. */
export async function prepare() {
  checkNode();
  const port = wantedPort();
  await checkPort(port);
  const directory = checkData();
  ensureInstalled();
  return { port, directory };
}

/** Runs the server until it ends or is told to; says where it is once it answers. It brings the data up to date itself. */
export async function serve(how, { port, directory }) {
  const child = startServer(how, { YAWTROPE_PORT: String(port), YAWTROPE_DATA_DIR: directory });
  child.stderr.pipe(process.stderr);
  let log = '';
  child.stdout.on('data', (chunk) => (log += chunk));
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  const ended = new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 0)));
  const address = `http://127.0.0.1:${port}`;
  const up = await Promise.race([answers(address), ended.then(() => false)]);
  if (!up) fail(`The server did not start: see above.\n${log}`);
  process.stdout.write(`Yawtrope is at ${address}\nData in ${directory}. Stop with Ctrl C.\n`);
  process.exit(await ended);
}

async function answers(address) {
  for (;;) {
    try {
      await fetch(address, { redirect: 'manual' });
      return true;
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  }
}
