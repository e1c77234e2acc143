import { runPlan, type Run } from '@/core/plan';
import type { ManoeuvreFile } from '@/document/manoeuvre';
import { namedMarks } from '@/document/place';
import { toRunInput } from '@/document/run-input';
import { demoFile } from '@/document/testing/demo';
import { fleetRecord } from '@/document/testing/fleet';
import { templatesFor } from '../testing/asked';

// Nell through Cobnut Lock with one aboard and one ashore, who is taken up again at the landing beyond.

type Change = (file: ManoeuvreFile) => void;

function passage(going: 'up' | 'down', change: Change = () => {}): ManoeuvreFile {
  const file = structuredClone(demoFile(`nell-${going}-cobnut-lock`));
  file.limit_s = 1500;
  file.plan.lines = [];
  file.plan.end = { cue: { is: 'after', time_s: 5 }, within_s: 20 };
  file.plan.steps = file.plan.steps.slice(0, 1).map((step) => ({ ...step, orders: [] }));
  change(file);
  return file;
}

/** With numbers that take the boat through either way. */
const FITTED = { slow: 0.06, turned: 18.13, stop: 8.26, back: 0.56, angle: 0.09 };

function written(file: ManoeuvreFile) {
  const templates = templatesFor(file, 'through-the-lock');
  return templates[0]!.write(FITTED);
}

function played(file: ManoeuvreFile): Run {
  const input = toRunInput({ ...file, plan: written(file) });
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return runPlan(input.value);
}

const ids = (file: ManoeuvreFile) => written(file).steps.map(({ id }) => id);

/** When something of the crew, or of the lock, was told of, s. */
const times = (run: Run, is: 'crew' | 'lock', what: string) =>
  run.events.flatMap((e) => (e.is === is && e.what === what ? [e.time] : []));

describe.each(['up', 'down'] as const)('going %s, whoever worked the lock', (going) => {
  const run = played(passage(going));

  it('is aboard again at the end, the gates shut and every paddle down behind her', () => {
    expect(run.goal.every(({ met }) => met)).toBe(true);
    const [stepped] = times(run, 'crew', 'aboard');
    expect(stepped).toBeGreaterThan(times(run, 'lock', 'gates open')[0]!);
    const { leaves, paddles } = run.trace.locks[0]!;
    for (const column of [...leaves, ...paddles]) expect(column.at(-1)!).toBe(0);
    expect(run.duration).toBeGreaterThan(stepped!);
  });

  it('steps over with no gear in, and she still and held by a line', () => {
    const [stepped] = times(run, 'crew', 'aboard');
    const { groundSpeed, engines, lines } = run.trace;
    const from = Math.floor(10 * (stepped! - 3));
    for (let i = from; i < 10 * stepped!; i++) expect(engines[0]!.gear[i]).toBe(0);
    expect(groundSpeed[Math.floor(10 * stepped!)]!).toBeLessThan(0.26);
    expect(lines[1]!.made[Math.floor(10 * stepped!)]!).toBeGreaterThan(1);
    expect(times(run, 'crew', 'in danger')).toEqual([]);
  });
});

describe('the pick-up of a passage', () => {
  it('is left out where the keeper works the lock, or nobody is left ashore', () => {
    const alone = passage('up', ({ plan }) => {
      plan.crew = plan.crew.slice(0, 1);
    });
    const keeper = passage('up', ({ plan }) => {
      plan.crew = [];
    });
    for (const file of [alone, keeper]) {
      expect(ids(file)).not.toContain('line-ashore');
      expect(ids(file).at(-1)).toBe('clear');
    }
    expect(ids(passage('up')).slice(-5)).toEqual([
      'clear',
      'landing',
      'line-ashore',
      'held-there',
      'aboard',
    ]);
  });

  it('is left out where there is no landing with rings beyond the gates', () => {
    const bare = passage('up', ({ place }) => {
      place.features = place.features.filter(
        (f) => !(f.kind === 'bollard' && f.name.startsWith('ring above')),
      );
    });
    expect(ids(bare).at(-1)).toBe('clear');
  });

  it('leaves the gates to a boat that comes out after her', () => {
    const middle = namedMarks(passage('up').place).find(({ name }) => name.endsWith('middle'))!;
    const up = (334 * Math.PI) / 180;
    const beside = (on: number) =>
      written(
        passage('up', ({ others }) => {
          others.push({
            id: 'flotsam',
            name: 'Flotsam',
            boat: fleetRecord('flotsam'),
            start: {
              x_m: middle.x + on * Math.sin(up) + 1.2 * Math.cos(up),
              y_m: middle.y + on * Math.cos(up) - 1.2 * Math.sin(up),
              heading_deg: 334,
            },
          });
        }),
      );
    const shut = ({ steps }: ReturnType<typeof written>) =>
      steps
        .find(({ id }) => id === 'held-there')!
        .orders.some((order) => order.do === 'gates' || order.do === 'paddle');
    expect(shut(beside(-5))).toBe(false);
    expect(shut(beside(8))).toBe(true);
  });

  it('goes to the side the landing is on: her line, the sheer and the cleat they step over', () => {
    const here = written(passage('up'));
    const line = here.lines.find(({ name }) => name === 'line to the landing')!;
    expect(line.from).toBe('port midship cleat');
    const sheer = here.steps.find(({ id }) => id === 'clear')!.orders[0]!;
    const straight = here.steps.find(({ id }) => id === 'straight')!.orders[0]!;
    if (sheer.do !== 'steer' || straight.do !== 'steer') throw new Error('she is steered');
    // To port of the lock's own line, and not by much.
    const over = (straight.heading_deg - sheer.heading_deg + 360) % 360;
    expect(over).toBeGreaterThan(2);
    expect(over).toBeLessThan(13);
    const down = written(passage('down')).lines.find(({ name }) => name === line.name)!;
    expect(down.from).toBe('starboard midship cleat');
  });
});
