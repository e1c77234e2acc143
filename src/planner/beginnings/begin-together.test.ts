import { runPlan, type Run } from '@/core/plan';
import { SWEEPING } from '@/core/testing/sweep';
import { templatesOf } from '../suggestions';
import { manoeuvreFileSchema, type ManoeuvreFile } from '@/document/manoeuvre';
import { check } from '@/document/result';
import { toRunInput } from '@/document/run-input';
import { demoFile } from '@/document/testing/demo';
import { fleetRecord } from '@/document/testing/fleet';
import { type Numbers } from '../template';
import { refusalOf, templatesFor } from '../testing/asked';

// Pebble and Wicket both come from the landing below the sea lock, one before the other.

/** The landing's edge from its west end, along it, and off it to the north, m. */
const WEST = { x: -3.06, y: -19.14 };
const ALONG = Math.atan2(33.07, 29.14);
const at = (along: number, off: number) => ({
  x_m: WEST.x + along * Math.sin(ALONG) - off * Math.cos(ALONG),
  y_m: WEST.y + along * Math.cos(ALONG) + off * Math.sin(ALONG),
  heading_deg: (ALONG * 180) / Math.PI,
});

interface Where {
  readonly pebble: number;
  readonly wicket: number;
  readonly change?: (file: ManoeuvreFile) => void;
}

function together({ pebble, wicket, change = () => {} }: Where): ManoeuvreFile {
  const file = structuredClone(demoFile('pebble-shares-withen-lock'));
  file.start = { ...at(pebble, 1.9), speed_mps: 0 };
  file.others[0]!.start = at(wicket, 2.35);
  file.plan.lines = [];
  file.plan.steps = [{ ...file.plan.steps[0]!, orders: [] }];
  change(file);
  const checked = check<ManoeuvreFile>(manoeuvreFileSchema, file);
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return checked.value;
}

const unfit = (file: ManoeuvreFile) => refusalOf(file, 'through-the-lock');

/** Played with numbers near those it was fitted to: dead slow, way off, stopped, how hard astern, and the angle out. */
function played(file: ManoeuvreFile, numbers: Numbers): { run: Run; ids: string[] } {
  const templates = templatesFor(file, 'through-the-lock');
  const plan = templates[0]!.write(numbers);
  const input = toRunInput({ ...file, plan });
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return { run: runPlan(input.value), ids: plan.steps.map(({ id }) => id) };
}

const lineAt = (run: Run, line: number, what: string) =>
  run.events.find((e) => e.is === 'line' && e.line === line && e.what === what)?.time ?? NaN;

describe('two that come to a lock together', () => {
  // Set against them, in this order, below.
  if (SWEEPING)
    it('the one behind waits on her lines until the other lies on hers, and goes out after her', () => {
      const file = together({ pebble: 24, wicket: 37 });
      expect(unfit(file)).toBeNull();
      const { run, ids } = played(file, {
        slow: 0,
        turned: 13.3,
        stop: 15.9,
        back: 0.35,
        angle: 9,
      });
      expect(ids.indexOf('her-lines-on')).toBeLessThan(ids.indexOf('slip'));
      expect(ids.indexOf('before')).toBeLessThan(ids.indexOf('out'));
      expect(run.outcome).toBe('reached');
      // Lines: the centre line, two to the landing, two of Wicket's; the boat's come off once both of Wicket's are on.
      const on = Math.max(lineAt(run, 3, 'on'), lineAt(run, 4, 'on'));
      expect(lineAt(run, 1, 'let go')).toBeGreaterThan(on);
      expect(lineAt(run, 0, 'let go')).toBeGreaterThan(lineAt(run, 3, 'let go') + 20);
      expect(run.touches.every(({ grade }) => grade !== 'hard')).toBe(true);
    });

  it('the one before goes in and is held before the other slips; the gates shut behind both, and she is out first', () => {
    const file = together({ pebble: 37, wicket: 23.5 });
    expect(unfit(file)).toBeNull();
    const { run, ids } = played(file, {
      slow: 0.1,
      turned: 15.15,
      stop: 19.09,
      back: 0.52,
      angle: 8.89,
    });
    expect(ids.indexOf('her-slip')).toBeGreaterThan(ids.indexOf('line'));
    expect(ids).not.toContain('before');
    expect(run.outcome).toBe('reached');
    const shut = run.events.find((e) => e.is === 'lock' && e.what === 'gates shut')!.time;
    // Of Wicket's four lines those to the landing come off once the boat's own is on, and the gates wait for those in the chamber.
    expect(lineAt(run, 1, 'let go')).toBeGreaterThan(lineAt(run, 0, 'on'));
    expect(shut).toBeGreaterThanOrEqual(Math.max(lineAt(run, 3, 'on'), lineAt(run, 4, 'on')));
    expect(run.touches.every(({ grade }) => grade !== 'hard')).toBe(true);
  });

  const against = (file: ManoeuvreFile) => {
    Object.assign(file.locks[0]!, { set: 'upper', gates: 'shut' });
    file.limit_s = 1800;
  };

  it('with the lock set against them both wait on their lines while it is emptied, then in one after the other', () => {
    const file = together({ pebble: 24, wicket: 37, change: against });
    expect(unfit(file)).toBeNull();
    const { run, ids } = played(file, {
      slow: 0,
      turned: 10.9,
      stop: 19.44,
      back: 0.45,
      angle: 10.83,
    });
    expect(ids.slice(0, 5)).toEqual(['wait', 'wash', 'made', 'her-slip', 'her-in']);
    expect(run.outcome).toBe('reached');
    const wide = run.events.find((e) => e.is === 'lock' && e.what === 'gates open')!.time;
    // Of Wicket's lines the first two lead to the landing: off once the gates are open, and Pebble's once the boat's are on.
    expect(lineAt(run, 3, 'let go')).toBeGreaterThan(wide);
    expect(lineAt(run, 1, 'let go')).toBeGreaterThan(lineAt(run, 5, 'on'));
    expect(run.touches.every(({ grade }) => grade !== 'hard')).toBe(true);
  });

  // Between them the two above and this one have both orders, set for them and against them.
  if (SWEEPING)
    it('the same where she is the first of the two', () => {
      const file = together({ pebble: 35, wicket: 22, change: against });
      expect(unfit(file)).toBeNull();
      const { run, ids } = played(file, { slow: 0, turned: 13.3, stop: 16.3, back: 0.3, angle: 9 });
      expect(ids.slice(0, 5)).toEqual(['wait', 'wash', 'made', 'slip', 'go']);
      expect(ids.indexOf('her-slip')).toBeGreaterThan(ids.indexOf('line'));
      expect(run.outcome).toBe('reached');
      expect(run.touches.every(({ grade }) => grade !== 'hard')).toBe(true);
    });

  it('says so where the other has no engine to come in by, and refuses one that does not get there', () => {
    const other = (boat: ReturnType<typeof fleetRecord>) =>
      together({
        pebble: 24,
        wicket: 37,
        change: ({ others }) => {
          others[0]!.boat = boat;
        },
      });
    const wicket = fleetRecord('wicket');
    expect(unfit(other({ ...wicket, drives: [], rudders: [] }))).toEqual({
      why: 'other has no engine',
      name: 'Wicket',
    });
    // The boat's screw hardly turns at idle: only a trial shows it.
    const feeble = structuredClone(wicket);
    for (const drive of feeble.drives) drive.idle_rpm = 5;
    const templates = templatesOf(other(feeble), 'through-the-lock');
    expect(templates).toEqual({ ok: true, value: { refused: { why: 'cannot be laid out' } } });
  });

  it('says why not: nothing to wait on, also while the lock is made ready, and heading off', () => {
    const off = at(24, 7);
    expect(
      unfit(
        together({
          pebble: 24,
          wicket: 37,
          change: (file) => {
            file.start = { ...off, speed_mps: 0 };
          },
        }),
      ),
    ).toEqual({ why: 'drifts while another goes in', name: 'Wicket' });
    expect(
      unfit(
        together({
          pebble: 37,
          wicket: 23.5,
          change: ({ others }) => {
            others[0]!.start = at(23.5, 14);
          },
        }),
      ),
    ).toEqual({ why: 'other drifts', name: 'Wicket', while: 'the first goes in' });
    expect(
      unfit(
        together({
          pebble: 24,
          wicket: 37,
          change: (file) => {
            against(file);
            file.others[0]!.start = at(37, 14);
          },
        }),
      ),
    ).toEqual({ why: 'other drifts', name: 'Wicket', while: 'the lock is made ready' });
    expect(
      unfit(
        together({
          pebble: 24,
          wicket: 37,
          change: ({ others }) => {
            others[0]!.start.heading_deg += 180;
          },
        }),
      ),
    ).toEqual({ why: 'other neither in nor before', name: 'Wicket' });
  });
});
