import { runPlan } from '@/core/plan';
import { boatSchema } from '@/document/boat';
import { beginManoeuvre } from '../beginnings/begin';
import { placeSchema } from '@/document/place';
import { toRunInput } from '@/document/run-input';
import { demoFile, demoJson } from '@/document/testing/demo';
import { lyingIn } from '../berths';
import { atFirst } from '../template';
import { refusalOf, templatesFor } from '../testing/asked';

const place = placeSchema.parse(demoJson('places', 'tallow-quay'));
const quince = boatSchema.parse(demoJson('boats', 'quince'));
const BERTH = 'tallow-five';

const begun = (from_deg: number, berthId = BERTH) => {
  const made = beginManoeuvre({
    boat: quince,
    place,
    berthId,
    going: 'in',
    id: 'try',
    title: 'try',
    side: 'port',
    conditions: {
      wind: { from_deg, speed_mps: 3 },
      current: { set_deg: 90, speed_mps: 0 },
      water: 'sea',
    },
  } as Parameters<typeof beginManoeuvre>[0]);
  if (!made.ok) throw new Error(made.problems[0]!.message);
  return made.value;
};

const unfit = (file: ReturnType<typeof begun>) => refusalOf(file, 'bow-in-between-piles');

const played = (file: ReturnType<typeof begun>) => {
  const input = toRunInput(file);
  if (!input.ok) throw new Error(input.problems[0]!.message);
  return runPlan(input.value);
};

describe('bow in between piles', () => {
  it('she lies a metre off the walkway with her bow to it, and comes with her bow as the point', () => {
    const berth = place.berths.find(({ id }) => id === BERTH)!;
    const lying = lyingIn(place, berth, quince, 'starboard');
    expect(lying.bowIn).toBe(true);
    const [[ax, ay], [bx, by]] = berth.edge_m;
    const bow = quince.hull.length_m / 2 + 1;
    expect(lying.x + bow * Math.sin(lying.heading)).toBeCloseTo((ax + bx) / 2, 6);
    expect(lying.y + bow * Math.cos(lying.heading)).toBeCloseTo((ay + by) / 2, 6);
    expect(begun(250).goal).toMatchObject({ is: 'lie', point: 'bow', heading_deg: 17 });
  });

  it('is refused without piles, and for her stern to a quay', () => {
    expect(unfit(begun(250))).toBeNull();
    const bare = { ...place, features: place.features.filter((f) => f.kind !== 'pile') };
    expect(unfit({ ...begun(250), place: bare })).toMatchObject({ why: 'no pile' });
    expect(unfit(begun(250, 'tallow-four'))).not.toBeNull();
    expect(unfit(demoFile('crosswind-slip'))).toEqual({ why: 'not bow to something' });
  });

  it.each([
    [250, 'port'],
    [120, 'starboard'],
  ])('takes the windward pile first with the wind from %i°', (from, side) => {
    const file = begun(from);
    const templates = templatesFor(file, 'bow-in-between-piles');
    const lee = side === 'port' ? 'starboard' : 'port';
    for (const template of templates) {
      const plan = atFirst(template);
      expect(plan.lines.map((l) => l.from)).toEqual([
        `${side} quarter cleat`,
        `${lee} quarter cleat`,
        `${side} bow cleat`,
        `${lee} bow cleat`,
      ]);
      const passes = plan.steps.flatMap(({ orders }) =>
        orders.flatMap((o) => (o.do === 'pass' ? [o.to] : [])),
      );
      expect(passes.slice(0, 2).sort()).toEqual(['pile 3', 'pile 4']);
      expect(passes[0]).toBe(side === 'port' ? 'pile 3' : 'pile 4');
      expect(toRunInput({ ...file, plan }).ok).toBe(true);
    }
  });

  it('one pair of hands takes the windward pile only', () => {
    const file = begun(250);
    const hand = (name: string, aboard: string) => ({
      name,
      at: { aboard },
      pull_N: 300,
      throws_m: 8,
    });
    file.plan.crew = [hand('Isa', 'helm'), hand('Tove', 'port quarter cleat')];
    const templates = templatesFor(file, 'bow-in-between-piles');
    const names = atFirst(templates[0]!).lines.map(({ name }) => name);
    expect(names).toEqual(['windward stern line', 'windward bow line', 'leeward bow line']);
  });

  it('the demo lies on four lines and clear of everything; without the piles she is set on', () => {
    const file = demoFile('two-piles-and-a-following-wind');
    const run = played(file);
    const on = run.events.flatMap((e) => (e.is === 'line' && e.what === 'fast' ? [e.line] : []));
    expect(on.sort()).toEqual([0, 1, 2, 3]);
    expect(run.touches).toEqual([]);
    const { tempting } = demoJson('manoeuvres', file.id) as {
      tempting: { plan: typeof file.plan };
    };
    const set = played({ ...file, plan: tempting.plan });
    expect(set.outcome).toBe('hard touch');
    expect(new Set(set.touches.map(({ name }) => name))).toEqual(
      new Set(['pile walkway', 'red sloop']),
    );
  });
});
