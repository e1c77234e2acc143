import { runPlan } from '@/core/plan';
import { chosen } from '@/core/testing/sweep';
import {
  check,
  manoeuvreFileSchema,
  placeSchema,
  toRunInput,
  type ManoeuvreFile,
  type Place,
} from '@/document';
import { beginPassage } from '@/planner';
import { techniquesFor, subjectOf } from '@/planner';
import { demoJson } from '@/document/testing/demo';
import { fleetRecord } from '@/document/testing/fleet';
import { atFirst } from '../template';
import { proposals, refusalOf, templatesFor } from '../testing/asked';

function place(id: string): Place {
  const found = check<Place>(placeSchema, demoJson('places', id));
  if (!found.ok) throw new Error(JSON.stringify(found.problems));
  return found.value;
}

const lockOf = (at: Place) => at.areas.find((a) => a.kind === 'lock')!;
const CALM = {
  wind: { from_deg: 0, speed_mps: 0 },
  current: { set_deg: 0, speed_mps: 0 },
  water: 'fresh',
} as const;

const begin = (at: Place, boat: string, going: 'up' | 'down', rest = {}) =>
  beginPassage({
    id: 'through',
    title: 'Through',
    boat: fleetRecord(boat),
    place: at,
    lockId: lockOf(at).id,
    going,
    conditions: CALM,
    ...rest,
  });

function begun(at: Place, boat: string, going: 'up' | 'down'): ManoeuvreFile {
  const made = begin(at, boat, going);
  if (!made.ok) throw new Error(made.problems[0]!.message);
  return made.value;
}

/** The place turned about its nought, degrees clockwise. */
function turned(at: Place, by: number): Place {
  const a = (by * Math.PI) / 180;
  const point = ([x, y]: readonly [number, number]): [number, number] => [
    x * Math.cos(a) + y * Math.sin(a),
    y * Math.cos(a) - x * Math.sin(a),
  ];
  const copy = structuredClone(at);
  for (const f of copy.features) {
    if ('outline_m' in f) f.outline_m = f.outline_m.map(point);
    else [f.x_m, f.y_m] = point([f.x_m, f.y_m]);
  }
  for (const area of copy.areas) {
    area.outline_m = area.outline_m.map(point);
    if (area.kind === 'lock' && area.working)
      area.working.upstream_deg = (area.working.upstream_deg! + by) % 360;
  }
  for (const berth of copy.berths) berth.edge_m = [point(berth.edge_m[0]), point(berth.edge_m[1])];
  return copy;
}

const WHERE = [
  ['cobnut-lock', 'tamarack-nell'],
  ['withen-lock', 'quince'],
  ['withen-lock', 'pebble'],
] as const;

describe('a bridge on the way through', () => {
  it('is told where her mast does not pass under it', () => {
    const file = begun(place('cobnut-lock'), 'pebble', 'up');
    const offered = techniquesFor(subjectOf(file));
    if (!offered.ok) throw new Error(JSON.stringify(offered.problems));
    const through = offered.value.find(({ id }) => id === 'through-the-lock')!;
    expect(through.unfit).toEqual({ why: 'bridge too low', name: 'footbridge over the tail' });
  });
});

describe('a passage begun', () => {
  it.each(WHERE)('at %s with %s stands before the open gates, either way', (where, boat) => {
    const at = place(where);
    for (const going of ['up', 'down'] as const) {
      const file = begun(at, boat, going);
      expect(check(manoeuvreFileSchema, file).ok).toBe(true);
      expect(file.locks).toEqual([
        { lock: lockOf(at).name, set: going === 'up' ? 'lower' : 'upper', gates: 'open' },
      ]);
      // Nothing is touched where the boat begins, and the boat may touch the walls.
      const input = toRunInput(file);
      if (!input.ok) throw new Error(input.problems[0]!.message);
      const run = runPlan({ ...input.value, limit: 2 });
      expect(run.margins.clearance!.distance).toBeGreaterThan(0.3);
      // A landing beyond the gates as well, where there is one.
      const hers = at.features.filter(({ id }) => file.berth.includes(id));
      const walls = hers.filter(({ kind }) => kind !== 'pontoon');
      expect(hers.length - walls.length).toBe(where === 'cobnut-lock' || going === 'down' ? 1 : 0);
      expect(walls.map(({ kind }) => kind)).toEqual(walls.map(() => 'quay'));
      expect(walls.length).toBe(2);
    }
  });

  it('goes the way the place is turned', () => {
    const at = place('withen-lock');
    const here = begun(at, 'quince', 'up').start;
    for (const by of [70, 180, 275]) {
      const there = begun(turned(at, by), 'quince', 'up').start;
      const a = (by * Math.PI) / 180;
      expect(there.x_m).toBeCloseTo(here.x_m * Math.cos(a) + here.y_m * Math.sin(a), 1);
      expect(there.y_m).toBeCloseTo(here.y_m * Math.cos(a) - here.x_m * Math.sin(a), 1);
      expect((there.heading_deg - here.heading_deg - by + 720) % 360).toBeLessThan(1.01);
      expect(there.speed_mps).toBe(here.speed_mps);
    }
  });

  it('is refused with what is amiss and what to do', () => {
    const at = place('cobnut-lock');
    const refused = (made: ReturnType<typeof begin>) =>
      made.ok ? 'begun' : `${made.problems[0]!.path}: ${made.problems[0]!.message}`;
    expect(refused(begin(at, 'tamarack-nell', 'up', { lockId: 'no-lock' }))).toMatch(
      /lockId: the place has no lock 'no-lock' with gates and paddles; give it some/,
    );
    expect(refused(begin(at, 'marram', 'up'))).toMatch(
      /boat: Marram, .* does not go into the chamber/,
    );
    const unsaid = structuredClone(at);
    const lock = lockOf(unsaid);
    if (lock.kind === 'lock') delete lock.working!.upstream_deg;
    expect(refused(begin(unsaid, 'tamarack-nell', 'up'))).toMatch(/which way is up-stream/);
    // A pontoon across the water below: nowhere to come from.
    const shut = structuredClone(at);
    shut.features.push({
      kind: 'pontoon',
      id: 'across',
      name: 'across',
      outline_m: [
        [-200, -14],
        [200, -14],
        [200, -4],
        [-200, -4],
      ],
      height_m: 0.4,
    } as Place['features'][number]);
    expect(refused(begin(shut, 'tamarack-nell', 'up'))).toMatch(/boat: there is no clear water/);
    const tidal = place('withen-lock');
    expect(
      refused(
        begin(tidal, 'quince', 'up', {
          conditions: { ...CALM, level: [{ at_s: 0, level_m: 5.2 }] },
        }),
      ),
    ).toMatch(/the tide stands over the water above/);
  });
});

it('is not done until all of her is past the gates; and not where no lock is worked', () => {
  const file = begun(place('withen-lock'), 'quince', 'down');
  const idle = toRunInput(file);
  if (!idle.ok) throw new Error(idle.problems[0]!.message);
  const short = runPlan(idle.value);
  expect(short.outcome).toBe('missed');
  expect(short.goal).toHaveLength(1);
  const sited = idle.value.locks![0]!;
  const [check_] = short.goal;
  // All of the chamber and the boat's way to it lie before it.
  expect(check_!.what).toBe('past');
  expect(-check_!.found).toBeGreaterThan(sited.lock.length);
  const put = (past: number) => {
    const far = sited.lock.length + 10.6 / 2 + past;
    const start = {
      ...idle.value.start,
      x: sited.x + far * sited.east,
      y: sited.y + far * sited.north,
      speed: 0,
    };
    return runPlan({ ...idle.value, start, limit: 60 }).goal[0]!;
  };
  // The boat lies still where it was put, or nearly, for the twenty seconds of an empty plan.
  expect(put(3).found).toBeCloseTo(3, 0);
  expect([put(3).met, put(-3).met]).toEqual([true, false]);
  const unworked = toRunInput({ ...file, locks: [] });
  expect(unworked.ok ? '' : unworked.problems[0]!.path).toBe('goal.lock');
});

describe('a passage written down', () => {
  const unfit = (file: ManoeuvreFile) => refusalOf(file, 'through-the-lock');
  const template = (file: ManoeuvreFile) => {
    const templates = templatesFor(file, 'through-the-lock');
    expect(templates).toHaveLength(1);
    return templates[0]!;
  };
  const written = (file: ManoeuvreFile) => {
    const plan = atFirst(template(file));
    // What is written down can be kept.
    expect(check(manoeuvreFileSchema, { ...file, plan })).toMatchObject({ ok: true });
    return plan;
  };

  it('says for whom it is not', () => {
    const file = begun(place('withen-lock'), 'quince', 'up');
    expect(unfit(file)).toBeNull();
    const but = (change: Partial<ManoeuvreFile>) => unfit({ ...file, ...change });
    const [lock] = file.locks;
    expect(() => but({ locks: [] })).toThrow(/no lock is worked/);
    expect(but({ locks: [{ ...lock!, gates: 'shut' }] })).toMatchObject({ why: 'gates shut' });
    expect(but({ locks: [{ ...lock!, set: 'upper' }] })).toMatchObject({ why: 'lock set against' });
    expect(but({ limit_s: 240 })).toMatchObject({ why: 'too little time', limit: 240 });
    expect(
      but({ start: { ...file.start, heading_deg: (file.start.heading_deg + 180) % 360 } }),
    ).toEqual({ why: 'not heading for the gates' });
    expect(but({ boat: fleetRecord('marram') })).toBeNull();
    const bare = structuredClone(file);
    bare.place.features = bare.place.features.filter(({ kind }) => kind !== 'bollard');
    expect(unfit(bare)).toMatchObject({ why: 'nothing along the chamber' });
    const shallow = structuredClone(file);
    for (const a of shallow.place.areas)
      if (a.kind === 'lock' && a.working) a.working.upperCill_m = a.working.upper_m - 1;
    expect(unfit(shallow)).toMatchObject({ why: 'too little water over the cill' });
  });

  it('with a keeper winds without signs; with one of the crew ashore the near paddle first, each after the sign', () => {
    const at = place('cobnut-lock');
    for (const going of ['up', 'down'] as const) {
      const file = begun(at, 'tamarack-nell', going);
      const crew: ManoeuvreFile['plan']['crew'] = [
        { name: 'Ada', at: { aboard: 'helm' }, pull_N: 300, throws_m: 8 },
        { name: 'Bo', at: { ashore: 'west bollard 2' }, pull_N: 300, throws_m: 8 },
      ];
      const alone = written(file);
      // Until the boat is out: what comes after is taking Bo up again (begin-pickup.test.ts).
      const orders = (plan: typeof alone) =>
        plan.steps
          .slice(
            0,
            plan.steps.findIndex(({ id }) => id === 'clear'),
          )
          .flatMap((step) => step.orders);
      expect(orders(alone).some((order) => order.do === 'signal')).toBe(false);
      const shared = written({ ...file, plan: { ...file.plan, crew } });
      const wound = orders(shared).filter((o) => o.do === 'signal' || o.do === 'paddle');
      wound.forEach((order, i) => {
        if (order.do !== 'paddle') return;
        expect(order.by).toBe('Bo');
        expect(wound[i - 1]!.do).toBe('signal');
      });
      const lock = lockOf(at);
      if (lock.kind !== 'lock' || !lock.working) throw new Error('no working');
      const end = going === 'up' ? 'upper' : 'lower';
      const named = lock.working.paddles.filter((p) => p.end === end).map(({ name }) => name);
      for (const plan of [alone, shared]) {
        const opened = orders(plan).flatMap((o) => (o.do === 'paddle' ? [o] : []));
        expect(new Set(opened.map(({ paddle }) => paddle))).toEqual(new Set(named));
        // Each is open all the way in the end, and none is made fast.
        for (const name of named)
          expect(opened.filter(({ paddle }) => paddle === name).at(-1)!.to).toBe(1);
        expect(orders(plan).some((o) => o.do === 'tend' && o.how === 'fast')).toBe(false);
        const gates = orders(plan).flatMap((o) => (o.do === 'gates' ? [`${o.end} ${o.to}`] : []));
        // One person opens one leaf after the other.
        expect([...new Set(gates)]).toEqual(
          going === 'up' ? ['lower shut', 'upper open'] : ['upper shut', 'lower open'],
        );
      }
      // One alone aboard has nobody to catch a throw.
      const single = written({ ...file, plan: { ...file.plan, crew: crew.slice(0, 1) } });
      const passes = (plan: typeof alone) =>
        orders(plan).flatMap((o) => (o.do === 'pass' ? [o.how] : []));
      expect([passes(shared), passes(single)]).toEqual([['throw'], ['drop']]);
    }
  });

  // A fit each way for every boat.
  it.each(chosen(WHERE, [WHERE[0]]))(
    'at %s takes %s through, up and down, line and cill and all',
    (where, boat) => {
      for (const going of ['up', 'down'] as const) {
        const file = begun(place(where), boat, going);
        // Its numbers are fitted by trying: until the first that gets there.
        let plan: ManoeuvreFile['plan'] | null = null;
        for (const tried of proposals(file, 'through-the-lock')) {
          if (tried.run.outcome !== 'reached') continue;
          plan = tried.plan;
          break;
        }
        const input = toRunInput({ ...file, plan: plan! });
        if (!input.ok) throw new Error(input.problems[0]!.message);
        const run = runPlan(input.value);
        const { chamber } = run.trace.locks[0]!;
        const risen = chamber.at(-1)! - chamber[0]!;
        expect(Math.sign(risen)).toBe(going === 'up' ? 1 : -1);
        expect(run.margins.underKeel!.depth).toBeGreaterThan(0);
        expect(run.events.filter((e) => e.is === 'line' && e.what === 'loads up')).toEqual([]);
      }
    },
    120_000,
  );
});
