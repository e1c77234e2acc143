import { spawnSync, type SpawnSyncOptions } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { WRONG_VARIANTS } from './wrong-variants-list';

// Puts each deliberate mistake into a copy of the project and shows that a test catches it.

const COPIED = ['src', 'demo', 'scripts', 'jest.config.mjs', 'tsconfig.json', 'package.json'];

/** Several times what the tests take; a mistake that makes them run on and on is caught as well, and said to be. */
const LONGEST_MS = 1_200_000;

type Outcome = 'pass' | 'fail' | 'run on';

/** The slow ones only for what all others let through. */
const SLOW = [
  'src/core/plan/run-loop.test.ts',
  'src/core/trials/',
  'src/document/invariance.test.ts',
];
const notSlow = ['--testPathIgnorePatterns', 'src/core/(plan/run|trials/|brief/demos)'];

/** First those beside the file that is wrong: most mistakes are caught there, in seconds. */
const beside = (file: string): readonly string[] => [
  `${dirname(file)}/`,
  '--passWithNoTests',
  ...notSlow,
];
const ALL = ['src/core', ...notSlow];

function outcome(directory: string, args: readonly string[]): Outcome {
  const jest = join(directory, 'node_modules', '.bin', 'jest');
  const all = ['--config', 'jest.config.mjs', '--bail', '--silent', ...args];
  const options = { cwd: directory, stdio: 'ignore', timeout: LONGEST_MS, killSignal: 'SIGKILL' };
  const { status, signal } = spawnSync(jest, all, options as SpawnSyncOptions);
  return status === 0 ? 'pass' : signal ? 'run on' : 'fail';
}

/** Runs one lot of tests after another as long as they let it through. */
function test(directory: string, ...lots: readonly (readonly string[])[]): Outcome {
  for (const lot of lots) {
    const how = outcome(directory, lot);
    if (how !== 'pass') return how;
  }
  return 'pass';
}

/** Names given on the command line: only those mistakes whose names have one of them. */
const wanted = process.argv.slice(2);
const variants = WRONG_VARIANTS.filter(
  ({ name }) => wanted.length === 0 || wanted.some((part) => name.includes(part)),
);

const directory = mkdtempSync(join(tmpdir(), 'yawtrope-wrong-'));
let missed = 0;
try {
  for (const name of COPIED) cpSync(name, join(directory, name), { recursive: true });
  symlinkSync(join(process.cwd(), 'node_modules'), join(directory, 'node_modules'));
  if (test(directory, ALL, SLOW) !== 'pass')
    throw new Error('the tests fail without any mistake put in');
  for (const { name, file, find, put } of variants) {
    const path = join(directory, file);
    const right = readFileSync(path, 'utf8');
    writeFileSync(
      path,
      right.replace(find, () => put),
    );
    const how = test(directory, beside(file), ALL, SLOW);
    writeFileSync(path, right);
    if (how === 'pass') missed += 1;
    const word = { pass: 'MISSED', fail: 'caught', 'run on': 'ran on' }[how];
    process.stdout.write(`${word}  ${name}\n`);
  }
} finally {
  rmSync(directory, { recursive: true, force: true });
}
process.stdout.write(`${variants.length - missed} of ${variants.length} caught\n`);
process.exitCode = missed === 0 ? 0 : 1;
