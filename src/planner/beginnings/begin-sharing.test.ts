import { runPlan, type Run } from '@/core/plan';
import { manoeuvreFileSchema, type ManoeuvreFile } from '@/document/manoeuvre';
import { check } from '@/document/result';
import { toRunInput } from '@/document/run-input';
import { demoFile } from '@/document/testing/demo';
import { refusalOf, templatesFor } from '../testing/asked';

// Pebble and Wicket in the sea lock: 30 by 8 m, its chamber towards 52 degrees; Wicket lies to the south wall.

const ALONG = (52 * Math.PI) / 180;
type Change = (file: ManoeuvreFile) => void;

function shared(change: Change = () => {}): ManoeuvreFile {
  const file = structuredClone(demoFile('pebble-shares-withen-lock'));
  // The plan is to be written: nothing of the demo's own.
  file.plan.lines = [];
  file.plan.steps = [{ ...file.plan.steps[0]!, orders: [] }];
  change(file);
  const checked = check<ManoeuvreFile>(manoeuvreFileSchema, file);
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return checked.value;
}

/** Wicket further on towards the upper gates, and across to the north, m. */
const wicketAt =
  (on: number, north = 0): Change =>
  ({ others }) => {
    const { start } = others[0]!;
    start.x_m += on * Math.sin(ALONG) - north * Math.cos(ALONG);
    start.y_m += on * Math.cos(ALONG) + north * Math.sin(ALONG);
  };

const unfit = (file: ManoeuvreFile) => refusalOf(file, 'through-the-lock');

function template(file: ManoeuvreFile) {
  const templates = templatesFor(file, 'through-the-lock');
  return templates[0]!;
}

/** Played with numbers as they were fitted for the boat that rises beside Wicket. */
const FITTED = { slow: 0.27, turned: 15.56, stop: 15.92, back: 0.47, angle: 11.3 };

function played(file: ManoeuvreFile): Run {
  const input = toRunInput({ ...file, plan: template(file).write(FITTED) });
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return runPlan(input.value);
}

describe('through a lock with a boat in it', () => {
  it('she lies to the other wall, and goes out after the boat that lies ahead of her', () => {
    const file = shared();
    expect(unfit(file)).toBeNull();
    const plan = template(file).write(FITTED);
    expect(plan.lines.map(({ name, of, fast }) => [name, of, fast?.to])).toEqual([
      ['centre line', undefined, undefined],
      ["Wicket's bow line", 'Wicket', 'south bollard 2'],
      ["Wicket's stern line", 'Wicket', 'south bollard 3'],
    ]);
    const run = played(file);
    expect(run.outcome).toBe('reached');
    const letGo = (line: number) =>
      run.events.find((e) => e.is === 'line' && e.line === line && e.what === 'let go')!.time;
    expect(letGo(0)).toBeGreaterThan(letGo(1) + 20);
    // Wicket is through the gates as Pebble's line comes off, and nobody was pushed about.
    const at = Math.round(10 * letGo(0));
    const { others, x, y } = run.trace;
    const [other] = others;
    const along = (east: number, north: number) => east * Math.sin(ALONG) + north * Math.cos(ALONG);
    expect(along(other!.x[at]!, other!.y[at]!) - along(x[at]!, y[at]!)).toBeGreaterThan(15);
    expect(run.touches.every(({ grade }) => grade !== 'hard')).toBe(true);
    // The boat's lines are kept as the chamber rises: neither parts nor holds it down.
    expect(run.events.some((e) => e.is === 'line' && e.what === 'parted')).toBe(false);
  });

  it('goes out first herself where the other lies behind her', () => {
    const behind = template(shared(wicketAt(-5))).write(FITTED);
    expect(behind.steps.map(({ id }) => id)).not.toContain('before');
    expect(behind.steps.find(({ id }) => id === 'out')!.cue).toMatchObject({ is: 'lock' });
    const ahead = template(shared()).write(FITTED);
    expect(ahead.steps.find(({ id }) => id === 'out')!.cue).toMatchObject({
      of: [{ is: 'abeam', point: 'Wicket: stern' }, { is: 'after' }],
    });
  });

  it('going down her lines are slipped before she goes, and nobody hangs', () => {
    const down = demoFile('quince-alone-down-withen-lock');
    const file = shared((copy) => {
      copy.start = { ...down.start };
      copy.locks = structuredClone(down.locks);
      copy.goal = structuredClone(down.goal);
      copy.others[0]!.start.heading_deg = 232;
      copy.plan.lines = [];
      copy.plan.steps = copy.plan.steps.slice(0, 1);
    });
    expect(unfit(file)).toBeNull();
    const plan = template(file).write({ slow: 0.2, turned: 13.3, stop: 14, back: 0.3, angle: 10 });
    const playedWith = (steps: typeof plan.steps): Run => {
      const input = toRunInput({ ...file, plan: { ...plan, steps } });
      if (!input.ok) throw new Error(JSON.stringify(input.problems));
      return runPlan(input.value);
    };
    const run = playedWith(plan.steps);
    expect(run.outcome).toBe('reached');
    // Left fast, its lines hang it: nobody calls that done.
    const left = playedWith(
      plan.steps.map((step) => ({
        ...step,
        orders: step.orders.filter((one) => !(one.do === 'tend' && one.line.startsWith('Wicket'))),
      })),
    );
    expect(left.outcome).toBe('unsafe');
    const line = (what: string) =>
      run.events.flatMap((e) => (e.is === 'line' && e.what === what ? [e.line] : []));
    expect(line('let go').sort()).toEqual([0, 1, 2]);
    expect(line('not let go')).toEqual([]);
    expect(line('loads up')).toEqual([]);
  });

  it('takes the south wall where the other lies to the north', () => {
    const file = shared(wicketAt(0, 3.9));
    expect(unfit(file)).toBeNull();
    const { lines } = template(file).write(FITTED);
    expect(lines[0]!.from).toContain('starboard');
    expect(lines[1]!.fast!.to).toContain('north');
    expect(lines[1]!.from).toContain('port');
  });

  it('says why not: no room, the wrong way round, not in it yet, more than one', () => {
    expect(unfit(shared(wicketAt(0, 1.9)))).toEqual({ why: 'no room beside', name: 'Wicket' });
    expect(
      unfit(
        shared(({ others }) => {
          others[0]!.start.heading_deg = 232;
        }),
      ),
    ).toMatchObject({ why: 'other not along the chamber' });
    expect(unfit(shared(wicketAt(40)))).toMatchObject({ why: 'other neither in nor before' });
    expect(
      unfit(
        shared(({ others }) => {
          const [wicket] = others;
          others.push({ ...structuredClone(wicket!), id: 'b', name: 'B' });
        }),
      ),
    ).toMatchObject({ why: 'more than one boat shares' });
  });
});
