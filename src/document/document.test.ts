import { runPlan } from '@/core/plan';
import { waysOut } from '@/core/search';
import { fingerprintOf } from '@/core/testing/fingerprint';
import {
  boatSchema,
  check,
  manoeuvreFileSchema,
  pathText,
  placeSchema,
  summarise,
  runFileSchema,
  runSummarySchema,
  lastResultOf,
  toBoatSpec,
  toRunInput,
  toRunFile,
  type ManoeuvreFile,
} from './';
import {
  DEMO_MANOEUVRES,
  demoFile,
  demoJson,
  demoResults,
  knownFingerprints,
  SOME_DEMOS,
} from './testing/demo';
import { runOf, tempted } from './testing/demo-runs';

type Spoil = (file: ManoeuvreFile) => void;

function problemsOf(spoil: Spoil) {
  const file = structuredClone(demoFile('off-stilt-pontoon'));
  spoil(file);
  const checked = check(manoeuvreFileSchema, file);
  if (!checked.ok) return checked.problems;
  const input = toRunInput(checked.value);
  return input.ok ? [] : input.problems;
}

describe('demo data', () => {
  const known = knownFingerprints();
  const results = demoResults();

  it.each(DEMO_MANOEUVRES)('%s is sound and reaches its goal by its shipped plan', (id) => {
    expect(demoFile(id).id).toBe(id);
    const file = demoFile(id);
    const run = runOf(file);
    expect(run.outcome).toBe('reached');
    expect(run.events.filter((e) => e.is === 'expectation failed')).toEqual([]);
    // A chamber is as wide as it is, and its leaves with it.
    const least = file.locks.length > 0 ? 0.2 : 0.5;
    expect(run.margins.clearance!.distance).toBeGreaterThan(least);
    // See scripts/fingerprints.ts for what to do where a run is meant to change.
    expect(fingerprintOf(run)).toEqual(known[id]?.plan);
    // What the start page shows before it was opened; `npm run demo-shares` writes it anew.
    const { tries, ...shown } = results[id]!;
    expect(tries!.of).toBeGreaterThanOrEqual(100);
    expect(lastResultOf(run, null)).toEqual({ ...shown, tries: null });
  });

  it.each(SOME_DEMOS)('%s leaves a way out at every moment', (id) => {
    const input = toRunInput(demoFile(id));
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    expect(waysOut(input.value).filter(({ grade }) => grade === 'none')).toEqual([]);
  });

  it.each(DEMO_MANOEUVRES)('%s has a tempting way that fails', (id) => {
    const run = runOf(tempted(demoFile(id)));
    const fails = ['missed', 'hard touch', 'fouled', 'unsafe', 'hung up'];
    expect(fails).toContain(run.outcome);
    expect(fingerprintOf(run)).toEqual(known[id]?.tempting);
  });

  it('the leaving one fails when the engine goes ahead before the bow has fallen off', () => {
    const file = structuredClone(demoFile('off-stilt-pontoon'));
    const [, ahead] = file.plan.steps;
    ahead!.cue = { is: 'after', time_s: 1 };
    ahead!.orders = ahead!.orders.map((o) => (o.do === 'engine' ? { ...o, throttle: 0.3 } : o));
    const input = toRunInput(file);
    const run = input.ok ? runPlan(input.value) : null;
    expect(run?.outcome).toBe('hard touch');
    expect(run?.margins.touch).toMatchObject({ name: 'blue ketch' });
  });
});

describe('round trips', () => {
  it('a manoeuvre file comes back as it went', () => {
    const file = demoFile('alongside-wind-off');
    expect(check(manoeuvreFileSchema, JSON.parse(JSON.stringify(file)))).toEqual({
      ok: true,
      value: file,
    });
  });

  it('a run file is sound by its own schema and keeps every sample', () => {
    const file = demoFile('alongside-wind-off');
    const input = toRunInput(file);
    if (!input.ok) throw new Error('unsound');
    const run = runPlan(input.value);
    const written: unknown = JSON.parse(JSON.stringify(toRunFile(run, file)));
    const read = check(runFileSchema, written);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.value.trace.x).toEqual(Array.from(run.trace.x));
    expect(check(runSummarySchema, read.value.summary).ok).toBe(true);
    expect(summarise(run, file)).toEqual(read.value.summary);
  });
});

describe('problems name the field and the remedy', () => {
  it.each<[string, Spoil, RegExp]>([
    ['boat.hull.mass_kg', (f) => (f.boat.hull.mass_kg = -1), /50 to/],
    ['boat.hull.mass_kg', (f) => (f.boat.hull.mass_kg = NaN), /give a number/],
    ['boat.drives[0].full_rpm', (f) => (f.boat.drives[0]!.full_rpm = 100), /above idle/],
    ['boat.drives[0].x_m', (f) => (f.boat.drives[0]!.x_m = -40), /outside the hull/],
    ['boat.hull.deck[1]', (f) => (f.boat.hull.deck[1] = [-6.5, 1]), /outside the hull/],
    ['boat.hull.draughts[2]', (f) => (f.boat.hull.draughts[2] = [-4.5, 1]), /aft forward/],
    ['place.features[0].outline_m', (f) => spoilOutline(f), /crosses itself/],
    ['place.features[1].id', (f) => (f.place.features[1]!.id = f.place.features[0]!.id), /twice/],
    ['conditions.wind.speed_mps', (f) => (f.conditions.wind.speed_mps = 99), /0 to 30 m\/s/],
    ['plan.steps[1].id', (f) => (f.plan.steps[1]!.id = f.plan.steps[0]!.id), /twice/],
    ['plan.steps', (f) => (f.plan.steps = []), /at least one step/],
    ['start', (f) => (f.start.y_m += 3), /inside 'Stilt Pontoon'.*move the start/],
    ['berth[0]', (f) => (f.berth = ['nowhere']), /nothing called 'nowhere'/],
    [
      'plan.steps[3].cue.mark',
      (f) => (f.plan.steps[3]!.cue = { is: 'abeam', point: 'bow', mark: 'pier 9' }),
      /no mark of that name: 'pier 9'; choose one of: .*lamp 2/,
    ],
    [
      'goal.point',
      (f) =>
        (f.goal = {
          is: 'lie',
          point: 'figurehead',
          mark: 'lamp 2',
          within_m: 1,
          heading_deg: 0,
          headingWithin_deg: 5,
          speedBelow_mps: 1,
        }),
      /figurehead/,
    ],
  ])('%s', (path, spoil, words) => {
    const problems = problemsOf(spoil);
    const found = problems.find((p) => p.path === path);
    expect(problems.map((p) => p.path)).toContain(path);
    expect(found?.message).toMatch(words);
  });

  it('refuses what it does not know instead of dropping it', () => {
    const boat = { ...(demoJson('boats', 'quince') as object), sails: 3 };
    expect(check(boatSchema, boat)).toMatchObject({
      ok: false,
      problems: [{ path: '(file)', message: expect.stringMatching(/sails/) }],
    });
  });

  it('holds against values of the wrong kind and depth', () => {
    for (const value of [null, 7, 'x', [], { features: 'many' }, { $schema: {} }]) {
      for (const schema of [boatSchema, placeSchema, manoeuvreFileSchema]) {
        expect(check<unknown>(schema, value).ok).toBe(false);
      }
    }
    expect(pathText(['a', 0, 'b', 2])).toBe('a[0].b[2]');
  });
});

function spoilOutline(file: ManoeuvreFile): void {
  const first = file.place.features[0]!;
  if (!('outline_m' in first)) throw new Error('not a solid');
  const [a, b, c, d] = first.outline_m;
  first.outline_m = [a!, c!, b!, d!];
}

describe('a boat in the core’s units', () => {
  it('has a closed, mirrored outline and fenders hung at the deck edge', () => {
    const spec = toBoatSpec(demoFile('off-stilt-pontoon').boat);
    const { deck } = spec.hull;
    for (let i = 0; i < deck.length; i += 2) {
      const mirrored = Array.from({ length: deck.length / 2 }).some(
        (_, k) => deck[2 * k] === deck[i] && deck[2 * k + 1]! + deck[i + 1]! === 0,
      );
      expect(mirrored).toBe(true);
    }
    const [port, starboard] = ['port fender 2', 'starboard fender 2'].map((name) =>
      spec.fenders.find((f) => f.name === name),
    );
    expect(port!.y).toBe(-starboard!.y);
    expect(starboard!.y).toBeGreaterThan(spec.hull.beam / 2);
    expect(spec.points.map((p) => p.name)).toEqual(
      expect.arrayContaining(['bow', 'stern', 'midships', 'mast']),
    );
  });
});
