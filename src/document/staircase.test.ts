import { runPlan } from '@/core/plan';
import {
  check,
  lockWorkingSchema,
  placeSchema,
  toRunInput,
  underLock,
  usualLock,
  type LockWorking,
  type ManoeuvreFile,
  type Place,
} from './';
import { demoFile } from './testing/demo';

// Cobnut Lock made the upper one of two: a second chamber below it, whose upper gates are its lower gates.

const LOWER = 'Lower Cobnut';

function twoLocks(change: (working: LockWorking) => LockWorking = (w) => w): ManoeuvreFile {
  const file = structuredClone(demoFile('nell-down-cobnut-lock'));
  const upper = file.place.areas.find((a) => a.kind === 'lock')!;
  if (upper.kind !== 'lock' || !upper.working) throw new Error('no lock');
  const { working } = upper;
  const up = (working.upstream_deg! * Math.PI) / 180;
  const far = working.length_m;
  const outline_m = upper.outline_m.map(([x, y]): [number, number] => [
    x - far * Math.sin(up),
    y - far * Math.cos(up),
  ]);
  const lower = underLock(
    working,
    { id: upper.id, name: upper.name, outline_m: upper.outline_m, working },
    outline_m,
  );
  file.place.areas.push({
    kind: 'lock',
    id: 'lower-cobnut',
    name: LOWER,
    outline_m,
    working: change({
      ...lower,
      paddles: lower.paddles.map((p) => ({ ...p, name: `${p.name} 2` })),
    }),
  });
  file.locks = [
    { lock: upper.name, set: 'upper', gates: 'shut' },
    { lock: LOWER, set: 'lower', gates: 'shut' },
  ];
  // The boat is not what is looked at: it lies at rest above.
  file.start = { ...file.start, speed_mps: 0 };
  file.goal = { is: 'clear', distance_m: 0 };
  file.plan = {
    steps: [
      {
        id: 'work',
        title: 'work',
        cue: { is: 'start' },
        within_s: 5,
        orders: [],
        expect: [],
        wayOut: { note: '', automatic: false, orders: [] },
      },
    ],
    end: { cue: { is: 'after', time_s: 500 }, within_s: 600 },
    lines: [],
    crew: [],
    fenders: [],
  };
  file.limit_s = 600;
  return file;
}

const problems = (file: ManoeuvreFile) => {
  const input = toRunInput(file);
  return input.ok
    ? 'none'
    : input.problems.map(({ path, message }) => `${path}: ${message}`).join();
};
function played(file: ManoeuvreFile, orders: ManoeuvreFile['plan']['steps'][0]['orders']) {
  file.plan.steps[0]!.orders = orders;
  const input = toRunInput(file);
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return runPlan(input.value);
}

describe('a staircase of two', () => {
  it('is a place that can be kept, and is worked together', () => {
    const file = twoLocks();
    const kept = check<Place>(placeSchema, file.place);
    expect(kept.ok ? 'kept' : kept.problems[0]!.message).toBe('kept');
    expect(problems(file)).toBe('none');
    const input = toRunInput(file);
    if (!input.ok) throw new Error('refused');
    const [over, under] = input.value.locks!;
    expect([over!.below, under!.above]).toEqual([1, 0]);
    expect(over!.begins.lower).toBe(under!.begins.chamber);
    expect(under!.begins.upper).toBe(over!.begins.chamber);
  });

  it('one emptied into the other, the shared gates asked for by either name', () => {
    const names = twoLocks().place.areas.flatMap((a) =>
      a.kind === 'lock' && a.working ? [a.working.paddles] : [],
    );
    const middle = names[0]!.filter(({ end }) => end === 'lower').map(({ name }) => name);
    const wind = middle.map((paddle) => ({
      do: 'paddle' as const,
      after_s: 0,
      lock: 'Cobnut Lock',
      paddle,
      to: 1,
    }));
    for (const [lock, end] of [
      ['Cobnut Lock', 'lower'],
      [LOWER, 'upper'],
    ] as const) {
      const run = played(twoLocks(), [
        ...wind,
        { do: 'gates', after_s: 5, lock, end, leaf: 'both', to: 'open' },
      ]);
      const over = run.trace.locks[0]!.chamber;
      const under = run.trace.locks[1]!.chamber;
      // Equal chambers: the level between, in both.
      expect(over.at(-1)!).toBeCloseTo((over[0]! + under[0]!) / 2, 1);
      expect(over.at(-1)!).toBeCloseTo(under.at(-1)!, 2);
      const opened = run.events.filter((e) => e.is === 'lock' && e.what === 'gates open');
      expect(opened.length).toBeGreaterThan(0);
      expect(opened.every((e) => e.is === 'lock' && e.lock === 0)).toBe(true);
    }
  });

  it('emptied into a full one it runs over the coping, and that is not safe', () => {
    const file = twoLocks((working) => ({ ...working, coping_m: working.upper_m + 0.3 }));
    file.locks[1]!.set = 'upper';
    const [paddles] = file.place.areas.flatMap((a) =>
      a.kind === 'lock' && a.working ? [a.working.paddles] : [],
    );
    const run = played(
      file,
      paddles!
        .filter(({ end }) => end === 'lower')
        .map(({ name }) => ({
          do: 'paddle' as const,
          after_s: 0,
          lock: 'Cobnut Lock',
          paddle: name,
          to: 1,
        })),
    );
    expect(run.outcome).toBe('unsafe');
    expect(run.events.some((e) => e.is === 'lock' && e.what === 'over the coping')).toBe(true);
  });

  it('what does not fit together is said, with its remedy', () => {
    const but = (change: (file: ManoeuvreFile) => void) => {
      const file = twoLocks();
      change(file);
      return problems(file);
    };
    expect(but((f) => f.locks.shift())).toMatch(
      /locks\[0\]\.lock: 'Cobnut Lock' lies above it and shares its gates; put it under the locks/,
    );
    expect(but((f) => Object.assign(f.locks[1]!, { set: 'upper', gates: 'open' }))).toMatch(
      /locks\[1\]\.lock: its upper gates are the lower gates of 'Cobnut Lock'/,
    );
    expect(but((f) => Object.assign(f.locks[0]!, { set: 'lower', gates: 'open' }))).toMatch(
      /do not stand open while it is set below/,
    );
    const lower = (f: ManoeuvreFile) => {
      const area = f.place.areas.find(({ name }) => name === LOWER)!;
      if (area.kind !== 'lock') throw new Error('no lock');
      return area;
    };
    expect(
      but((f) => (lower(f).outline_m = lower(f).outline_m.map(([x, y]) => [x + 2, y]))),
    ).toMatch(/do not lie where the lower gates of 'Cobnut Lock' are; move or turn/);
    expect(but((f) => (lower(f).working!.upper_m += 0.2))).toMatch(/make them one/);
    const unknown = twoLocks();
    lower(unknown).working!.above = 'Nowhere';
    const kept = check(placeSchema, unknown.place);
    expect(kept.ok ? '' : kept.problems[0]).toMatchObject({
      path: expect.stringMatching(/working.*above/),
      message: expect.stringMatching(/no other lock 'Nowhere'/),
    });
    const own = {
      ...usualLock([
        [0, 0],
        [20, 0],
        [20, 6],
        [0, 6],
      ]),
      above: 'X',
    };
    const checked = check(lockWorkingSchema, own);
    expect(checked.ok ? '' : checked.problems[0]!.message).toMatch(
      /lower ones of 'X'; leave them out/,
    );
  });

  it('a lock is put under another and taken away again', () => {
    const outline = [
      [0, 0],
      [20, 0],
      [20, 6],
      [0, 6],
    ] as const;
    const working = { ...usualLock(outline), upperArea_m2: 900 };
    const upper = { id: 'u', name: 'U', outline_m: outline, working: usualLock(outline) };
    const under = underLock({ ...working, upper_m: 1 }, upper, outline);
    expect(under).toMatchObject({ above: 'U', upper_m: upper.working.lower_m, upperArea_m2: null });
    expect(under.paddles.map(({ end }) => end)).toEqual(['lower', 'lower']);
    // It comes down as a whole.
    expect([under.lower_m, under.coping_m]).toEqual([
      working.lower_m - (1 - upper.working.lower_m),
      expect.closeTo(working.coping_m - 1, 9),
    ]);
    expect(check(lockWorkingSchema, underLock(working, upper, outline)).ok).toBe(true);
    const again = underLock(underLock(working, upper, outline), null, outline);
    expect(again).not.toHaveProperty('above');
    expect(again.paddles).toEqual(working.paddles);
  });
});
