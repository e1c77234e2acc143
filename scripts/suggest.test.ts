import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { caseOf } from '@/planner/testing/cases';

const directory = mkdtempSync(join(tmpdir(), 'yawtrope-suggest-'));
afterAll(() => rmSync(directory, { recursive: true, force: true }));

const npm = (...args: string[]) => spawnSync('npm', ['run', '-s', ...args], { encoding: 'utf8' });

/** All a suggestion needs of a manoeuvre. */
function bare(n: number): string {
  const { boat, place, berth, start, goal, conditions } = caseOf(n).file;
  const path = join(directory, `bare-${n}.json`);
  writeFileSync(path, JSON.stringify({ boat, place, berth, start, goal, conditions }));
  return path;
}

interface Printed {
  readonly plans: readonly {
    readonly technique: string;
    readonly steps: readonly string[];
    readonly share: number;
    readonly interval: readonly [number, number];
    readonly gearChanges: number;
  }[];
  readonly reference: { readonly share: number } | null;
  readonly remedies: readonly unknown[];
  readonly secondsToPlan: number | null;
  readonly secondsUsed: number;
}

it('suggests plans for a manoeuvre without one, and writes the best as a manoeuvre that is played and certified', () => {
  const out = join(directory, 'plan.json');
  const found = npm('suggest', '--', bare(26), '--seconds', '2', '--out', out);
  expect(found.stderr).toBe('');
  const { plans, reference, secondsToPlan, secondsUsed } = JSON.parse(found.stdout) as Printed;
  expect(reference!.share).toBeGreaterThan(0.5);
  expect(secondsUsed).toBeGreaterThan(0);
  if (plans.some(({ share }) => share >= 0.95)) {
    expect(secondsToPlan).toBeGreaterThan(0);
    expect(secondsToPlan).toBeLessThan(secondsUsed);
  } else expect(secondsToPlan).toBeNull();
  for (const { steps, share, interval, gearChanges } of plans) {
    expect(steps.length).toBeGreaterThan(0);
    expect(steps.join(' ')).not.toMatch(/undefined|NaN|\[object/);
    expect(interval[0]).toBeLessThanOrEqual(share);
    expect(interval[1]).toBeGreaterThanOrEqual(share);
    expect(gearChanges).toBeGreaterThan(0);
  }
  const written: unknown = JSON.parse(readFileSync(out, 'utf8'));
  expect(written).toHaveProperty('plan.steps');
  // Where a manoeuvre says nothing of it, it may take what one that is begun in the app may.
  expect(written).toHaveProperty('limit_s', caseOf(26).file.limit_s);
  expect(JSON.parse(npm('play', '--', out).stdout)).toHaveProperty('outcome', 'reached');
  const sure = JSON.parse(npm('certify', '--', out, '--runs', '20').stdout) as { share: number };
  expect(sure.share).toBeGreaterThan(0.5);
});

it('says what is wrong with what it is asked', () => {
  const script = join('build', 'scripts', 'suggest.mjs');
  const asked = (...args: string[]) =>
    spawnSync(process.execPath, [script, ...args], { encoding: 'utf8' });
  expect(asked().stderr).toMatch(/give one file/);
  expect(asked('a.json', '--seconds', '0').stderr).toMatch(/--seconds/);
  expect(asked('a.json', '--fast').stderr).toMatch(/--fast/);
  expect(asked('--rose').stderr).toMatch(/give one file/);
  expect(asked('nowhere.json', '--rose').stderr).toMatch(/nowhere.json: cannot be read/);
  expect(asked('nowhere.json').stderr).toMatch(/cannot be read/);
  const empty = join(directory, 'empty.json');
  writeFileSync(empty, '{"boat": 3}');
  const refused = asked(empty);
  expect(refused.stderr).toMatch(/boat/);
  expect(refused.status).toBe(2);
});
