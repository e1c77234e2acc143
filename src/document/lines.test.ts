import { runPlan, type Run } from '@/core/plan';
import { check, toRunInput, planSchema, type ManoeuvreFile, type PlanDocument } from './';
import { demoFile } from './testing/demo';
import { lineEnds } from './place';

function play(file: ManoeuvreFile): Run {
  const input = toRunInput(file);
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return runPlan(input.value);
}

const problemsOf = (file: ManoeuvreFile) => {
  const input = toRunInput(file);
  return input.ok ? [] : input.problems.map(({ path, message }) => `${path}: ${message}`);
};

const misses = (run: Run) => run.events.filter((e) => e.is === 'line' && e.what === 'missed');

describe('a thrown line', () => {
  const base = demoFile('spring-on-before-she-blows-off');
  const seeded = (seed: number, plan = base.plan): ManoeuvreFile => ({
    ...base,
    plan,
    conditions: {
      ...base.conditions,
      wind: { ...base.conditions.wind, gusts: { intensity: 0.001, timeScale_s: 8, seed } },
    },
  });
  const seeds = Array.from({ length: 40 }, (_, i) => i + 1);
  const missing = seeds.find((seed) => misses(play(seeded(seed))).length > 0)!;
  const caught = seeds.find((seed) => misses(play(seeded(seed))).length === 0)!;

  it('missed comes on later, and changes what becomes of her', () => {
    const on = (run: Run) => run.events.find((e) => e.is === 'line' && e.what === 'on')?.time;
    const late = play(seeded(missing));
    const soon = play(seeded(caught));
    expect(soon.outcome).toBe('reached');
    expect(on(late) ?? Infinity).toBeGreaterThan(on(soon)! + 5);
    const drifted = (run: Run) => run.trace.y.at(-1)!;
    expect(Math.abs(drifted(late) - drifted(soon))).toBeGreaterThan(0.5);
  });

  it('missed with a way out that asks for it: broken off, clear of everything', () => {
    const plan: PlanDocument = {
      ...base.plan,
      steps: base.plan.steps.map((step) =>
        step.id === 'lines'
          ? {
              ...step,
              expect: [{ is: 'line', at: { after_s: 2 }, line: 'first spring', state: 'on' }],
              wayOut: {
                note: 'no line: off and round again',
                automatic: true,
                orders: [
                  { do: 'wheel', after_s: 0, angle_deg: 35 },
                  { do: 'engine', after_s: 2, gear: 'ahead', throttle: 0.3 },
                  { do: 'engine', after_s: 16, gear: 'neutral', throttle: 0 },
                ],
              },
            }
          : step,
      ),
    };
    const away = play(seeded(missing, plan));
    expect(away.outcome).toBe('broke off');
    expect(away.margins.clearance!.distance).toBeGreaterThan(0.5);
  });
});

describe('letting go', () => {
  // Bow and stern held against a wind from ahead and off: the bow line is what holds the boat.
  const base = demoFile('sprung-off-the-pontoon');
  const order = (first: string, second: string): ManoeuvreFile => ({
    ...base,
    conditions: { ...base.conditions, wind: { from_deg: 40, speed_mps: 8 } },
    goal: { is: 'clear', distance_m: 0 },
    plan: planSchema.parse({
      lines: base.plan.lines.filter(({ name }) => name !== 'bow spring'),
      steps: [
        {
          id: 'go',
          cue: { is: 'start' },
          orders: [
            { do: 'letGo', line: first },
            { do: 'letGo', line: second, after_s: 25 },
          ],
        },
      ],
      end: { cue: { is: 'after', time_s: 24 } },
    }),
  });

  it('in the wrong order in a wind is seen to go wrong', () => {
    const turned = (run: Run) =>
      Math.abs(run.trace.heading.at(-1)! - run.trace.heading[0]!) * (180 / Math.PI);
    const right = play(order('stern line', 'bow line'));
    const wrong = play(order('bow line', 'stern line'));
    expect(turned(wrong)).toBeGreaterThan(turned(right) + 20);
  });
});

describe('lines and people of a file', () => {
  const base = demoFile('sprung-off-the-pontoon');
  const rigged = (change: (plan: PlanDocument) => void): ManoeuvreFile => {
    const file = structuredClone(base);
    change(file.plan);
    return file;
  };

  it('are refused with the field and the remedy where a name leads nowhere', () => {
    expect(problemsOf(rigged((s) => (s.lines[0]!.from = 'third cleat')))[0]).toMatch(
      /^plan\.lines\[0\]\.point: .*third cleat.*choose one of/,
    );
    expect(problemsOf(rigged((s) => (s.lines[0]!.fast!.to = 'lamp 2')))[0]).toMatch(
      /^plan\.lines\[0\]\.fast\.to: there is no bollard, pile, ground line.*lamp 2/,
    );
    const order = { do: 'letGo', after_s: 0, line: 'ghost', by: 'Nobody' } as const;
    const [line, by] = problemsOf(rigged((s) => s.steps[0]!.orders.push(order)));
    expect(line).toMatch(/\.line: the plan has no line of that name: 'ghost'/);
    expect(by).toMatch(/\.by: the crew has nobody of that name: 'Nobody'/);
  });

  it('are refused too short for where they go, or stretched beyond reason from the start', () => {
    expect(problemsOf(rigged((s) => (s.lines[0]!.length_m = 6)))[0]).toMatch(
      /length_m: 'bow spring' is 3\.0 m long doubled and has/,
    );
    expect(problemsOf(rigged((s) => (s.lines[0]!.fast!.length_m = 2)))[0]).toMatch(
      /fast\.length_m: .*would be stretched.*give it more length/,
    );
  });

  it('a fender is refused where there is no hull to hang it on', () => {
    expect(problemsOf(rigged((s) => (s.fenders[0]!.x_m = 9)))[0]).toMatch(
      /^plan\.fenders\[0\]\.x_m: .*outside the hull/,
    );
  });

  it('a fender hung out is there to be touched', () => {
    const bare = rigged((s) => (s.fenders = []));
    expect(play(bare).touches.some(({ fender }) => fender?.includes('stem'))).toBe(false);
    expect(play(base).touches.some(({ fender }) => fender?.includes('stem'))).toBe(true);
  });

  it.each([
    [
      'thirteen lines',
      { lines: Array.from({ length: 13 }, (_, i) => ({ name: `l${i}`, from: 'bow' })) },
      /at most 12 lines/,
    ],
    ['a rope of string', { lines: [{ name: 'a', from: 'bow', rope: 'string' }] }, /polyester/],
    ['somebody nowhere', { crew: [{ name: 'a', at: {} }] }, /aboard|ashore/],
    [
      'two of a name',
      { crew: [1, 2].map(() => ({ name: 'a', at: { aboard: 'bow' } })) },
      /used twice/,
    ],
    ['a giant', { crew: [{ name: 'a', at: { aboard: 'bow' }, pull_N: 5000 }] }, /50 to 1000/],
  ])('refuses %s', (_, more, message) => {
    const plan = { ...base.plan, ...more };
    const checked = check(planSchema, plan);
    expect(checked.ok ? '' : checked.problems.map((p) => p.message).join()).toMatch(message);
  });

  it('are not asked for: a plan without them is as before', () => {
    const { lines, crew, fenders } = planSchema.parse({
      steps: [{ id: 'a', cue: { is: 'start' } }],
      end: { cue: { is: 'stopped' } },
    });
    expect([lines, crew, fenders]).toEqual([[], [], []]);
  });

  it('are made on to bollards and piles, never to marks', () => {
    const names = lineEnds(base.place).map(({ name }) => name);
    expect(names).toContain('cleat 7');
    expect(names).toContain('pile 4');
    expect(names).not.toContain('lamp 2');
  });
});
