import fc from 'fast-check';
import { locksAhead } from '@/core/brief';
import { inChamber, IN_LOCK, intoLock, outOfLock } from '@/core/locks';
import { runPlan } from '@/core/plan';
import {
  check,
  locksByTide,
  locksOfPlace,
  lockWorkingSchema,
  manoeuvreFileSchema,
  placeSchema,
  siteLock,
  standingLevel,
  usualWater,
  toRunInput,
  usualLock,
  type LockWorking,
  type ManoeuvreFile,
} from './';
import { demoFile } from './testing/demo';

const OUTLINE = [
  [0, 0],
  [6, 0],
  [6, 20],
  [0, 20],
] as [number, number][];

const file = () => structuredClone(demoFile('nell-down-cobnut-lock'));

/** What a file is refused for, as path and words; empty where it is taken. */
function refused(change: (file: ManoeuvreFile) => void): string[] {
  const changed = file();
  change(changed);
  const checked = check(manoeuvreFileSchema, changed);
  const input = checked.ok ? toRunInput(checked.value) : checked;
  return input.ok ? [] : input.problems.map(({ path, message }) => `${path}: ${message}`);
}

describe('locks of a manoeuvre', () => {
  it('are those that are named, as they are set', () => {
    const input = toRunInput(file());
    if (!input.ok) throw new Error('not taken');
    const [sited, ...more] = input.value.locks!;
    expect(more).toEqual([]);
    expect(sited).toMatchObject({ name: 'Cobnut Lock', tidal: false, coping: 2.9 });
    expect(sited!.begins.chamber).toBe(2.3);
    expect(sited!.begins.gates).toEqual({ upper: 1, lower: 0 });
  });

  it('none are worked that are not named, and nothing of them stands in the way then', () => {
    const plain = file();
    plain.locks = [];
    plain.goal = { is: 'clear', distance_m: 0.2 };
    plain.plan.steps = plain.plan.steps.slice(0, 1);
    plain.plan.end = { cue: { is: 'after', time_s: 5 }, within_s: 20 };
    const input = toRunInput(plain);
    if (!input.ok) throw new Error('not taken');
    expect(input.value.locks).toBeUndefined();
    expect(runPlan(input.value).trace.locks).toEqual([]);
  });

  it.each<[string, (f: ManoeuvreFile) => void, RegExp]>([
    [
      'one the place has not',
      (f) => (f.locks[0]!.lock = 'Nowhere Lock'),
      /locks\[0\]\.lock: the place has no lock called 'Nowhere Lock'/,
    ],
    [
      'one with no direction up-stream',
      (f) => {
        const area = f.place.areas.find(({ kind }) => kind === 'lock');
        if (area?.kind === 'lock') delete area.working!.upstream_deg;
      },
      /nobody has said which way is up-stream in 'Cobnut Lock'; give its upstream_deg/,
    ],
    [
      'the same twice',
      (f) => f.locks.push({ ...f.locks[0]! }),
      /'Cobnut Lock' is given twice; leave one out/,
    ],
    ['an order at one that is not worked', (f) => (f.locks = []), /no lock is worked/],
    [
      'a paddle it has not',
      (f) => {
        for (const { orders } of f.plan.steps)
          for (const order of orders) if (order.do === 'paddle') order.paddle = 'golden paddle';
      },
      /'Cobnut Lock' has no paddle/,
    ],
    [
      'somebody who is not there',
      (f) => {
        for (const { orders } of f.plan.steps)
          for (const order of orders) if (order.do === 'gates') order.by = 'Nobody';
      },
      /the crew has nobody/,
    ],
  ])('refuses %s, and says what to do', (_, change, words) => {
    expect(refused(change).join('\n')).toMatch(words);
  });

  it('refuses a tide that stands over the water above', () => {
    const sea = structuredClone(demoFile('quince-alone-down-withen-lock'));
    sea.conditions.level = [{ at_s: 0, level_m: 5.4 }];
    const input = toRunInput(sea);
    expect(input.ok ? '' : input.problems[0]!.message).toMatch(/tide stands over the water above/);
  });

  it('refuses a paddle more than all the way up, and a gate that is ajar', () => {
    const order = (change: object) => {
      const f = file();
      Object.assign(f.plan.steps[5]!.orders[1]!, change);
      return check(manoeuvreFileSchema, f).ok;
    };
    expect(order({ to: 0.5 })).toBe(true);
    expect(order({ to: 1.5 })).toBe(false);
    expect(order({ do: 'gates', to: 'ajar' })).toBe(false);
  });
});

describe('a lock nobody works', () => {
  it('still holds the water above it: depth and bollards there count from it', () => {
    const plain = file();
    plain.locks = [];
    plain.goal = { is: 'clear', distance_m: 0.2 };
    plain.plan = { ...plain.plan, steps: plain.plan.steps.slice(0, 1), lines: [], crew: [] };
    const start = (t: number) => {
      const f = structuredClone(plain);
      f.plan.lines = [
        {
          name: 'bow line',
          from: 'starboard bow cleat',
          length_m: 12,
          rope: 'polyester',
          strengthLeft: 0.6,
          doubled: false,
          fast: { to: `ring above ${t}` },
        },
      ];
      return toRunInput(f);
    };
    const input = start(2);
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    // A ring on a floating landing stands as high over the water as it says.
    expect(input.value.lines!.rows[4]).toBeCloseTo(0.75 - plain.boat.hull.freeboard_m, 6);
    const { bottom } = input.value.weather;
    const above = bottom!.charted.find(({ depth }) => Math.abs(depth - (2.3 - 0.85)) < 1e-9);
    expect(above).toBeDefined();
  });
});

describe('where a lock lies', () => {
  it('its chamber fills its outline, whichever way is up-stream', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: -500, max: 500 }),
        (by, off) => {
          const a = (by * Math.PI) / 180;
          const turned = OUTLINE.map(([x, y]): [number, number] => [
            x * Math.cos(a) + y * Math.sin(a) + off,
            -x * Math.sin(a) + y * Math.cos(a) - off,
          ]);
          const working: LockWorking = { ...usualLock(OUTLINE), upstream_deg: by };
          const lock = { id: 'l', name: 'l', outline_m: turned, working };
          const sited = siteLock(lock, 'lower', 'shut', 0)!;
          const at = new Float64Array(2);
          turned.forEach(([x, y]) => {
            intoLock(at, sited, x, y);
            const s = at[IN_LOCK.S]!;
            expect(Math.min(Math.abs(s), Math.abs(s - 20))).toBeLessThan(1e-6);
            expect(Math.abs(Math.abs(at[IN_LOCK.T]!) - 3)).toBeLessThan(1e-6);
          });
          const middle = outOfLock(sited, 10, 0);
          intoLock(at, sited, middle.x, middle.y);
          expect(inChamber(sited, at[IN_LOCK.S]!, at[IN_LOCK.T]!)).toBe(true);
        },
      ),
    );
  });

  it('a usual lock runs along the longest edge, and is sound', () => {
    const working = usualLock(OUTLINE);
    expect(working).toMatchObject({ length_m: 20, width_m: 6, upstream_deg: 0, tidal: false });
    expect(lockWorkingSchema.safeParse(working).success).toBe(true);
  });

  it('of its two ways a usual lock takes the one nearer north, whichever way it was drawn', () => {
    for (let by = 0; by < 360; by += 7) {
      const a = (by * Math.PI) / 180;
      const turned = OUTLINE.map(([x, y]): [number, number] => [
        x * Math.cos(a) + y * Math.sin(a),
        y * Math.cos(a) - x * Math.sin(a),
      ]);
      const working = usualLock(turned);
      expect(lockWorkingSchema.safeParse(working).success).toBe(true);
      const up = working.upstream_deg!;
      expect(up <= 90 || up >= 270).toBe(true);
      // Along the chamber, one way or the other.
      expect(Math.abs(((up - by + 720 + 90) % 180) - 90)).toBeLessThan(1.01);
    }
  });

  it('a tidal one begins with the tide below it', () => {
    const [lock] = locksOfPlace(demoFile('quince-alone-down-withen-lock').place);
    const sited = siteLock(lock!, 'lower', 'open', 1.7)!;
    expect(sited.lock.lower.level).toBe(1.7);
    expect(sited.begins.chamber).toBe(1.7);
    expect(sited.begins.gates.lower).toBe(1);
  });

  it('water above it stands at the upper level, water below at its own', () => {
    const { place } = demoFile('nell-up-cobnut-lock');
    const area = (id: string) => place.areas.find((a) => a.id === id)!.outline_m;
    expect(standingLevel(place, area('pound-above'))).toBe(2.3);
    expect(standingLevel(place, area('reach-below'))).toBe(0);
    const { place: pontoon } = demoFile('off-stilt-pontoon');
    expect(standingLevel(pontoon, OUTLINE)).toBe(0);
  });

  it('is taken to be of fresh water, unless it keeps a tide out', () => {
    expect(usualWater(demoFile('nell-up-cobnut-lock').place)).toBe('fresh');
    expect(usualWater(demoFile('quince-alone-down-withen-lock').place)).toBe('sea');
    expect(usualWater(demoFile('off-stilt-pontoon').place)).toBe('sea');
  });

  it('is passed by the tide when there is water on its cill, and is silent where nobody tells the tide', () => {
    const { place } = demoFile('quince-alone-down-withen-lock');
    const day = (levels: (number | null)[]) => levels.map((level_m, at) => ({ at, level_m }));
    const [lock] = locksByTide(place, 1.8, day([0, 1, 2, 3, 2, 1, 0]));
    expect(lock!.name).toBe('Withen Lock');
    expect(lock!.windows).toHaveLength(1);
    expect(lock!.windows[0]!.from).toBeCloseTo(1.5, 9);
    expect(locksByTide(place, 1.8, day([null, null]))).toEqual([]);
    expect(locksByTide(demoFile('nell-up-cobnut-lock').place, 1, day([0, 1]))).toEqual([]);
  });
});

describe('a lock’s working as a place keeps it', () => {
  const usual = usualLock(OUTLINE);
  const bad = (part: Partial<LockWorking>) => {
    const result = lockWorkingSchema.safeParse({ ...usual, ...part });
    return result.success
      ? ''
      : result.error.issues.map((i) => `${i.path.join('./')}: ${i.message}`).join('\n');
  };

  it.each<[Partial<LockWorking>, RegExp]>([
    [{ upper_m: -1 }, /upper_m: lies over lower_m/],
    [{ floor_m: 3 }, /floor_m: lies under lower_m/],
    [{ upperCill_m: 2.5 }, /upperCill_m: lies under upper_m/],
    [{ lowerCill_m: 0.5 }, /lowerCill_m: lies under lower_m/],
    [{ coping_m: 1 }, /coping_m: lies over upper_m/],
    [{ cillReach_m: 20 }, /cillReach_m: is less than length_m/],
    [{ paddles: usual.paddles.filter(({ end }) => end === 'upper') }, /none at the lower end/],
    [{ paddles: [...usual.paddles, usual.paddles[0]!] }, /is used twice/],
  ])('refuses %j', (part, words) => {
    expect(bad(part)).toMatch(words);
  });

  it('keeps old places as they were: what is new has what was meant before', () => {
    const { upstream_deg: _up, tidal: _tidal, ...old } = usual;
    const before = {
      ...old,
      upperGates: { kind: 'single', swing_s: 20 },
      lowerGates: { kind: 'mitre', swing_s: 25 },
    };
    const read = lockWorkingSchema.parse(before);
    expect(read.tidal).toBe(false);
    expect(read.upperGates.hinge).toBe('left');
    expect(read.upstream_deg).toBeUndefined();
    const place = placeSchema.safeParse({
      $schema: 'yawtrope:place',
      version: 2,
      id: 'old',
      name: 'Old',
      features: [],
      areas: [{ kind: 'lock', id: 'l', name: 'L', outline_m: OUTLINE, working: before }],
    });
    expect(place.success).toBe(true);
  });
});

describe('the time a passage takes by the brief', () => {
  it('is near to what it takes as it is played: up by one ashore, from the landing to her being aboard again', () => {
    const input = toRunInput(demoFile('nell-up-cobnut-lock'));
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    const [ahead] = locksAhead(input.value);
    const { outcome, duration } = runPlan(input.value);
    expect(outcome).toBe('reached');
    expect(ahead!.readyBy).toBe(1);
    expect(Math.abs(ahead!.figures.byCrew[0]!.whole / duration - 1)).toBeLessThan(0.1);
  });
});
