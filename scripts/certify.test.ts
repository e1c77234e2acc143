import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const directory = mkdtempSync(join(tmpdir(), 'yawtrope-certify-'));
afterAll(() => rmSync(directory, { recursive: true, force: true }));

const DEMO = 'demo/manoeuvres/tender-out-of-the-gap.json';
/** The script that `npm run -s certify` makes and runs, which the first test does. */
const SCRIPT = join('build', 'scripts', 'certify.mjs');
const certify = (...args: string[]) =>
  spawnSync(process.execPath, [SCRIPT, ...args], { encoding: 'utf8' });

interface Printed {
  readonly share: number;
  readonly interval: readonly [number, number];
  readonly runs: number;
  readonly outcomes: Readonly<Record<string, number>>;
  readonly causes: readonly { readonly share: number }[];
  readonly quantiles: Readonly<Record<string, unknown>>;
  readonly rose: readonly unknown[] | null;
  readonly runsPerSecond: number;
}

function given(name: string, value: unknown): string {
  const path = join(directory, name);
  writeFileSync(path, typeof value === 'string' ? value : JSON.stringify(value));
  return path;
}

it('prints a share with its interval, what becomes of the rest, and how fast it went; the same for the same seed', () => {
  const asked = ['run', '-s', 'certify', '--', DEMO, '--runs', '60', '--seed', '5'];
  const first = spawnSync('npm', asked, { encoding: 'utf8' });
  expect(first.stderr).toBe('');
  const printed = JSON.parse(first.stdout) as Printed;
  expect(Object.keys(printed)[0]).toBe('share');
  const { share, interval, runs, outcomes, causes, rose, runsPerSecond } = printed;
  expect(runs).toBe(60);
  expect(interval[0]).toBeLessThan(share);
  expect(interval[1]).toBeGreaterThan(share);
  expect(outcomes.reached).toBeCloseTo(share, 5);
  const failed = causes.reduce((sum, cause) => sum + cause.share, 0);
  expect(failed).toBeCloseTo(1 - share, 4);
  expect(Object.keys(printed.quantiles)).toEqual([
    'clearance_m',
    'touch_mps',
    'lineLoad_share',
    'time_s',
  ]);
  expect(rose).toBeNull();
  expect(runsPerSecond).toBeGreaterThan(0);
  const again = JSON.parse(certify(DEMO, '--runs', '60', '--seed', '5').stdout) as Printed;
  expect({ ...again, runsPerSecond: 0 }).toEqual({ ...printed, runsPerSecond: 0 });
}, 60000);

it('with nothing spread every run is the same', () => {
  const nothing = {
    environment: {
      windSpeed_factor: null,
      windFrom_offset_deg: null,
      gusts: null,
      calmWind_mps: null,
      current_factor: null,
      currentSet_offset_deg: null,
      lockWater_factor: null,
    },
    boat: {
      thrust_factor: null,
      thrustAstern_factor: null,
      propWalk_factor: null,
      windForce_factor: null,
      windCentre_offset_L: null,
      hullDrag_factor: null,
    },
    start: null,
    person: null,
  };
  const done = certify(DEMO, '--runs', '12', '--spread', given('nothing.json', nothing));
  expect(JSON.parse(done.stdout)).toMatchObject({ share: 1, outcomes: { reached: 1 } });
}, 60000);

it('tells the winds it holds in from 16 directions, and what each part of the spread does', () => {
  const done = certify(DEMO, '--runs', '4', '--rose', '--influence');
  const printed = JSON.parse(done.stdout) as Printed & { influence: { of: string }[] };
  expect(printed.rose).toHaveLength(16);
  expect(printed.rose![0]).toMatchObject({ from_deg: 0 });
  expect(printed.influence.map(({ of }) => of)).toContain('wind');
}, 120000);

it.each([
  [[], /FILE\.json/],
  [[DEMO, '--runs', '0'], /--runs: give a whole number/],
  [[DEMO, '--seed', 'x'], /--seed: give a whole number/],
  [[DEMO, '--fast'], /--fast: is not an option/],
  [['nowhere.json'], /nowhere\.json: cannot be read/],
  [[DEMO, '--spread', 'nowhere.json'], /nowhere\.json: cannot be read/],
])('%j is refused with a path and a reason', (args, reason) => {
  const { status, stdout, stderr } = certify(...args);
  expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
  expect(stderr).toMatch(reason);
});

it('a spread or a manoeuvre that is wrong names where', () => {
  const spread = given('spread.json', { boat: { thrust_factor: { normal: [1, 'much'] } } });
  const wrong = certify(DEMO, '--spread', spread);
  expect(wrong.status).toBe(2);
  expect(wrong.stderr).toMatch(/spread\.json: boat\.thrust_factor\.normal\[1\]: /);
  const beyond = certify(
    DEMO,
    '--spread',
    given('b.json', '{"boat":{"thrust_factor":{"normal":[1e300,0]}}}'),
  );
  expect(beyond.status).toBe(2);
  expect(beyond.stderr).toMatch(
    /b\.json: boat\.thrust_factor\.normal\[0\]: give a number from 0\.05 to 5/,
  );
  const file = certify(given('manoeuvre.json', '{"$schema":"yawtrope:manoeuvre"}'));
  expect(file.status).toBe(2);
  expect(file.stderr).toMatch(/: \S+/);
});
