import { runPlan } from '@/core/plan';
import { chosen } from '@/core/testing/sweep';
import { beginManoeuvre, type Going } from '../beginnings/begin';
import { placeSchema, type Place } from '@/document/place';
import { check } from '@/document/result';
import { toRunInput } from '@/document/run-input';
import { manoeuvreFileSchema, type ManoeuvreFile } from '@/document/manoeuvre';
import { demoJson } from '@/document/testing/demo';
import { fleetRecord } from '@/document/testing/fleet';
import type { Side } from '@/document';
import { groundOf, lyingIn, stuckIn } from '../berths';
import { TECHNIQUE_IDS, techniquesFor, propose, subjectOf, type TechniqueId } from '@/planner';
import { proposed } from '../testing/asked';

function place(id: string, change: (json: Place) => void = () => undefined): Place {
  const json = structuredClone(demoJson('places', id)) as Place;
  change(json);
  const checked = check<Place>(placeSchema, json);
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return checked.value;
}

function mirror(json: Place): void {
  for (const f of json.features) {
    if ('outline_m' in f) f.outline_m = f.outline_m.map(([x, y]): [number, number] => [-x, y]);
    else f.x_m = -f.x_m;
  }
  for (const b of json.berths)
    b.edge_m = b.edge_m.map(([x, y]): [number, number] => [-x, y]) as typeof b.edge_m;
}

interface Asked {
  boat: string;
  at: Place;
  berth: string;
  side: Side;
  going?: Going;
  wind?: [number, number];
}

function begun({ boat, at, berth, side, going = 'in', wind = [0, 0] }: Asked) {
  return beginManoeuvre({
    id: 'm',
    title: 'm',
    boat: fleetRecord(boat),
    place: at,
    berthId: berth,
    side,
    going,
    conditions: {
      wind: { from_deg: wind[0], speed_mps: wind[1] },
      current: { set_deg: 0, speed_mps: 0 },
      water: 'sea',
    },
  });
}

function file(asked: Asked): ManoeuvreFile {
  const made = begun(asked);
  if (!made.ok) throw new Error(JSON.stringify(made.problems));
  const checked = check<ManoeuvreFile>(manoeuvreFileSchema, made.value);
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return checked.value;
}

function fitted(asked: Asked, technique: TechniqueId, limit_s = 240) {
  const manoeuvre = { ...file(asked), limit_s };
  const proposal = proposed(manoeuvre, technique);
  const input = toRunInput({ ...manoeuvre, plan: proposal.plan });
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  return { proposal, run: runPlan(input.value), start: manoeuvre.start };
}

const basin = place('cradle-basin');
const pontoon = place('stilt-pontoon');

describe('lying in a berth', () => {
  it.each([
    ['as it is', basin],
    ['mirrored', place('cradle-basin', mirror)],
  ])('she lies clear of all but a fender, on the side asked for: %s', (_, at) => {
    const boat = fleetRecord('quince');
    const ground = groundOf(boat, at);
    for (const berth of at.berths)
      for (const side of ['port', 'starboard'] as const) {
        const lying = lyingIn(at, berth, boat, side);
        expect(stuckIn(ground, lying)).toBeNull();
        const [[ax, ay], [bx, by]] = berth.edge_m;
        const [ex, ey] = [(ax + bx) / 2 - lying.x, (ay + by) / 2 - lying.y];
        const across = ex * Math.cos(lying.heading) - ey * Math.sin(lying.heading);
        expect(Math.sign(across)).toBe(side === 'port' ? -1 : 1);
      }
  });

  it('a boat too long for it is refused, with what she would lie in', () => {
    const made = begun({ boat: 'long-measure', at: basin, berth: 'n4a-slip', side: 'port' });
    expect(made.ok ? '' : made.problems[0]!.message).toMatch(
      /m inside '.+' in 'north slip 4 west'/,
    );
  });

  it('one a little longer than its slip lies with its bow just off the head of it', () => {
    const boat = fleetRecord('brisling');
    const berth = basin.berths.find(({ id }) => id === 'n4a-slip')!;
    const { x, y, heading } = lyingIn(basin, berth, boat, 'port');
    const [, [hx, hy]] = berth.edge_m;
    const ahead = (hx - x) * Math.sin(heading) + (hy - y) * Math.cos(heading);
    expect(ahead - boat.hull.length_m / 2).toBeCloseTo(0.5, 6);
    expect(begun({ boat: 'brisling', at: basin, berth: 'n4a-slip', side: 'port' }).ok).toBe(true);
  });

  it('an unknown berth is refused by name', () => {
    const made = begun({ boat: 'quince', at: basin, berth: 'nowhere', side: 'port' });
    expect(made.ok ? '' : made.problems[0]!).toMatchObject({ path: 'berthId' });
  });
});

describe('what is offered', () => {
  const fit = (asked: Asked) => {
    const found = techniquesFor(subjectOf(file(asked)));
    return found.ok ? found.value.filter(({ unfit }) => unfit === null).map(({ id }) => id) : [];
  };

  it('goes by boat, goal and how she lies, and says why not for the rest', () => {
    const inward = fit({ boat: 'quince', at: basin, berth: 's7a-slip', side: 'starboard' });
    expect(inward).toEqual(expect.arrayContaining(['slip-bow-in', 'slip-on-a-spring']));
    expect(fit({ boat: 'quince', at: basin, berth: 's7a-slip', side: 'port' })).toEqual([
      'slip-stern-in',
    ]);
    expect(fit({ boat: 'quince', at: pontoon, berth: 'west-gap', side: 'port' })).not.toContain(
      'alongside-gears-alone',
    );
    expect(fit({ boat: 'brisling', at: pontoon, berth: 'east-gap', side: 'port' })).toContain(
      'alongside-gears-alone',
    );
    expect(
      fit({ boat: 'quince', at: pontoon, berth: 'east-gap', side: 'port', going: 'out' }),
    ).toEqual([
      'drop-off-and-away',
      'stern-out-and-astern',
      'walk-off',
      'astern-out',
      'spring-off-by-the-bow',
      'spring-off-by-the-stern',
      'stern-in-by-hand',
      'alone-last-line-on-a-slip',
    ]);
    const all = techniquesFor(
      subjectOf(file({ boat: 'quince', at: basin, berth: 's7a-slip', side: 'port' })),
    );
    expect(all.ok && all.value.map(({ id }) => id)).toEqual([...TECHNIQUE_IDS]);
    expect(
      all.ok && all.value.every(({ id, unfit }) => id === 'slip-stern-in' || unfit !== null),
    ).toBe(true);
  });

  it('what is not for a manoeuvre is refused with the reason', () => {
    const asked = file({ boat: 'quince', at: pontoon, berth: 'west-gap', side: 'port' });
    const [refused] = propose(asked, 'ferry-glide-in');
    expect(refused).toEqual({ ok: true, value: { refused: { why: 'no current' } } });
  });
});

// Boats, berths and winds no demo uses; every technique on every demo is in docs/proposals.md.
describe('a technique written in', () => {
  const UNSEEN: readonly [TechniqueId, Asked][] = [
    [
      'alongside-wheel-and-gear',
      {
        boat: 'flotsam',
        at: place('stilt-pontoon', mirror),
        berth: 'west-gap',
        side: 'starboard',
        wind: [30, 4],
      },
    ],
    [
      'stern-out-and-astern',
      {
        boat: 'ottoline',
        at: pontoon,
        berth: 'west-gap',
        side: 'port',
        going: 'out',
        wind: [170, 3],
      },
    ],
  ];
  it.each(chosen(UNSEEN, UNSEEN.slice(1)))(
    '%s gets there without a hard touch and leaves a way out: %#',
    (technique, asked) => {
      const { proposal, run } = fitted(asked, technique);
      expect(proposal.run.outcome).toBe('reached');
      expect(run.outcome).toBe('reached');
      expect(run.touches.filter(({ grade }) => grade === 'hard')).toEqual([]);
      expect(proposal.wayOut!.none).toBe(0);
      expect(run.events.filter((e) => e.is === 'expectation failed')).toEqual([]);
    },
  );

  it('says so where it cannot: there is no time for it', () => {
    const asked: Asked = { boat: 'quince', at: pontoon, berth: 'west-gap', side: 'port' };
    const { proposal } = fitted(asked, 'alongside-wheel-and-gear', 4);
    expect(proposal.run.outcome).toBe('out of time');
    expect(proposal.tries).toBeGreaterThan(200);
  });
});
