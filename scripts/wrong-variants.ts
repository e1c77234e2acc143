import { spawnSync, type SpawnSyncOptions } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { WRONG_VARIANTS } from './wrong-variants-list';

// Puts each deliberate mistake into a copy of the project and shows that a test catches it.

const COPIED = ['src', 'demo', 'scripts', 'jest.config.mjs', 'tsconfig.json', 'package.json'];

/** Several times what the tests take; a mistake that makes them run on and on is caught as well, and said to be. */
const LONGEST_MS = 240_000;

type Outcome = 'pass' | 'fail' | 'run on';

/** The quick suites first; the slow ones only for what those let through. */
const SLOW = [
  'src/core/score/run.test.ts',
  'src/core/trials/ship.test.ts',
  'src/core/trials/fleet.test.ts',
  'src/document/invariance.test.ts',
];
const QUICK = ['src/core', '--testPathIgnorePatterns', 'src/core/(score/run|trials/|brief/demos)'];

function outcome(directory: string, args: readonly string[]): Outcome {
  const jest = join(directory, 'node_modules', '.bin', 'jest');
  const all = ['--config', 'jest.config.mjs', '--bail', '--silent', '--runInBand', ...args];
  const options = { cwd: directory, stdio: 'ignore', timeout: LONGEST_MS, killSignal: 'SIGKILL' };
  const { status, signal } = spawnSync(jest, all, options as SpawnSyncOptions);
  return status === 0 ? 'pass' : signal ? 'run on' : 'fail';
}

function test(directory: string): Outcome {
  const quick = outcome(directory, QUICK);
  return quick === 'pass' ? outcome(directory, SLOW) : quick;
}

const directory = mkdtempSync(join(tmpdir(), 'yawtrope-wrong-'));
let missed = 0;
try {
  for (const name of COPIED) cpSync(name, join(directory, name), { recursive: true });
  symlinkSync(join(process.cwd(), 'node_modules'), join(directory, 'node_modules'));
  if (test(directory) !== 'pass') throw new Error('the tests fail without any mistake put in');
  for (const { name, file, find, put } of WRONG_VARIANTS) {
    const path = join(directory, file);
    const right = readFileSync(path, 'utf8');
    writeFileSync(
      path,
      right.replace(find, () => put),
    );
    const how = test(directory);
    writeFileSync(path, right);
    if (how === 'pass') missed += 1;
    const word = { pass: 'MISSED', fail: 'caught', 'run on': 'ran on' }[how];
    process.stdout.write(`${word}  ${name}\n`);
  }
} finally {
  rmSync(directory, { recursive: true, force: true });
}
process.stdout.write(`${WRONG_VARIANTS.length - missed} of ${WRONG_VARIANTS.length} caught\n`);
process.exitCode = missed === 0 ? 0 : 1;
