import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { check, runFileSchema, runSummarySchema } from '@/document';
import { SWEEPING } from '@/core/testing/sweep';
import { demoFile } from '@/document/testing/demo';

const directory = mkdtempSync(join(tmpdir(), 'yawtrope-play-'));
afterAll(() => rmSync(directory, { recursive: true, force: true }));

/** The script that `npm run -s play` makes and runs, which the first test does. */
const SCRIPT = join('build', 'scripts', 'play.mjs');
const play = (...args: string[]) =>
  spawnSync(process.execPath, [SCRIPT, ...args], { encoding: 'utf8' });

function given(value: unknown): string {
  const path = join(directory, 'given.json');
  writeFileSync(path, typeof value === 'string' ? value : JSON.stringify(value));
  return path;
}

it('plays a file that stands alone and one of the library alike, and prints a sound summary', () => {
  const asked = ['run', '-s', 'play', '--', given(demoFile('alongside-wind-off'))];
  const alone = spawnSync('npm', asked, { encoding: 'utf8' });
  expect(alone.status).toBe(0);
  const summary = check(runSummarySchema, JSON.parse(alone.stdout));
  expect(summary).toMatchObject({ ok: true, value: { outcome: 'reached' } });
  expect(play('demo/manoeuvres/alongside-wind-off.json').stdout).toBe(alone.stdout);
}, 60000);

it('plays a run driven by hand again, and looks it over', () => {
  const driven = {
    $schema: 'yawtrope:driven',
    version: 2,
    manoeuvre: demoFile('off-stilt-pontoon'),
    recording: {
      inputs: [
        { timestep: 5, order: { do: 'engine', gear: 'ahead', throttle: 0.5 } },
        { timestep: 60, order: { do: 'engine', gear: 'astern', throttle: 0.5 } },
      ],
      timesteps: 150,
      end: 'done',
    },
  };
  const out = join(directory, 'driven-take.json');
  const done = play(given(driven), '--out', out);
  expect(done.stderr).toBe('');
  const { debrief, ...summary } = JSON.parse(done.stdout) as {
    debrief: { faults: { rule: string }[] };
  };
  expect(check(runSummarySchema, summary).ok).toBe(true);
  expect(debrief.faults.map(({ rule }) => rule)).toContain('no pause in neutral');
  expect(check(runFileSchema, JSON.parse(readFileSync(out, 'utf8'))).ok).toBe(true);
  const late = { ...driven, recording: { ...driven.recording, timesteps: 20 } };
  expect(play(given(late)).stderr).toMatch(/recording\.inputs\[1\].timestep: must come in order/);
}, 60000);

it('writes the run when asked', () => {
  const out = join(directory, 'take.json');
  expect(play('demo/manoeuvres/off-stilt-pontoon.json', '--out', out).status).toBe(0);
  expect(check(runFileSchema, JSON.parse(readFileSync(out, 'utf8'))).ok).toBe(true);
}, 60000);

it('refuses a bad file with path and reason on stderr, exit 2 and nothing written', () => {
  const out = join(directory, 'not-written.json');
  const spoilt = structuredClone(demoFile('off-stilt-pontoon'));
  spoilt.start.heading_deg = 1e9;
  const cases: [string, RegExp][] = [
    [given(spoilt), /start\.heading_deg: give a number from 0 to 360 degrees/],
    [join(directory, 'absent.json'), /cannot be read \(ENOENT\)/],
  ];
  for (const [file, reason] of cases) {
    const done = play(file, '--out', out);
    expect(done.status).toBe(2);
    expect(done.stdout).toBe('');
    expect(done.stderr).toMatch(reason);
    expect(existsSync(out)).toBe(false);
  }
  expect(play(given('{"a":')).stderr).toMatch(/\(file\): is not JSON/);
  expect(play().status).toBe(2);
}, 60000);

it('prints what the planner says of it when asked', () => {
  const done = play('demo/manoeuvres/alongside-wind-off.json', '--look');
  expect(done.status).toBe(0);
  const { look, ...summary } = JSON.parse(done.stdout) as Record<string, unknown> & {
    look: {
      brief: { legs: unknown[]; able: { stop: { distance: number } } };
      moments: { time: number; wayOut: { grade: string } }[];
      windLimit: { wind: number };
    };
  };
  expect(check(runSummarySchema, summary).ok).toBe(true);
  expect(look.brief.legs.length).toBeGreaterThan(3);
  expect(look.brief.able.stop.distance).toBeGreaterThan(1);
  expect(look.moments[0]).toMatchObject({ time: 0, wayOut: { grade: 'open' } });
  expect(look.windLimit.wind).toBeGreaterThan(4);
}, 60000);

it('writes a technique down and plays it when asked, the same each time, and refuses what it cannot', () => {
  const file = 'demo/manoeuvres/quince-backs-out.json';
  const done = play(file, '--propose', 'astern-out');
  expect(done.status).toBe(0);
  const { plan, ...summary } = JSON.parse(done.stdout) as { plan: { steps: { id: string }[] } };
  const checked = check(runSummarySchema, summary);
  expect(checked).toMatchObject({ ok: true, value: { outcome: 'reached' } });
  expect(plan.steps.map(({ id }) => id)).toEqual(['astern', 'clear', 'neutral']);
  if (SWEEPING) expect(play(file, '--propose', 'astern-out').stdout).toBe(done.stdout);
  const unfit = play(file, '--propose', 'ferry-glide-in');
  expect(unfit.status).toBe(2);
  expect(unfit.stderr).toMatch(/technique: it is for coming to lie somewhere/);
  expect(play(file, '--propose', 'backflip').stderr).toMatch(/--propose: is one of: alongside/);
}, 120000);
