import { readdirSync } from 'node:fs';
import { runPlan } from '@/core/plan';
import { usualLimitFor } from '@/core/policy';
import { beginManoeuvre, beginSchema, type Going } from './begin';
import { manoeuvreFileSchema, type ManoeuvreFile } from '@/document/manoeuvre';
import { placeSchema, type Place } from '@/document/place';
import { check } from '@/document/result';
import { toRunInput } from '@/document/run-input';
import { demoJson } from '@/document/testing/demo';
import { FLEET_IDS, fleetRecord } from '@/document/testing/fleet';

function place(id: string): Place {
  const checked = check<Place>(placeSchema, demoJson('places', id));
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return checked.value;
}

function begun(boat: string, at: string, berthId: string, going: Going): ManoeuvreFile {
  const made = beginManoeuvre({
    id: 'm',
    title: 'm',
    boat: fleetRecord(boat),
    place: place(at),
    berthId,
    side: 'port',
    going,
    conditions: {
      wind: { from_deg: 90, speed_mps: 3 },
      current: { set_deg: 0, speed_mps: 0 },
      water: 'sea',
    },
  });
  if (!made.ok) throw new Error(JSON.stringify(made.problems));
  const checked = check<ManoeuvreFile>(manoeuvreFileSchema, made.value);
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return checked.value;
}

describe('a manoeuvre begun', () => {
  it('coming in asks for a cleat of that side near the mark at the berth’s middle, still and true', () => {
    const { goal, berth, start } = begun('quince', 'stilt-pontoon', 'west-gap', 'in');
    expect(goal).toMatchObject({
      is: 'lie',
      point: 'port midship cleat',
      mark: 'lamp 2',
      heading_deg: 84,
      headingWithin_deg: 12,
    });
    expect(berth).toEqual(['stilt-pontoon']);
    expect(start.speed_mps).toBeGreaterThan(0.5);
  });

  it('going out lies in the berth, at rest, and is to come clear', () => {
    const { goal, start } = begun('quince', 'stilt-pontoon', 'west-gap', 'out');
    expect(start).toMatchObject({ heading_deg: 84, speed_mps: 0 });
    expect(goal).toEqual({ is: 'clear', distance_m: 2.1 });
  });

  it('may take six minutes, a long boat longer, and none more than a quarter of an hour', () => {
    const limit = (length: number) => usualLimitFor(length);
    expect([4, 10, 14.4, 40, 180].map(limit)).toEqual([360, 360, 432, 720, 900]);
    const { limit_s, boat } = begun('dunlin-hatch', 'ropewalk-basin', 'ropewalk-berth', 'round');
    expect(boat.hull.length_m).toBeGreaterThan(10);
    expect(limit_s).toBe(limit(boat.hull.length_m));
  });

  it('turning round ends the other way about, with no berth to touch', () => {
    const { goal, start, berth } = begun(
      'dunlin-hatch',
      'ropewalk-basin',
      'ropewalk-berth',
      'round',
    );
    expect(berth).toEqual([]);
    expect(start.speed_mps).toBe(0);
    expect(goal.is === 'lie' && (goal.heading_deg - start.heading_deg + 360) % 360).toBe(180);
  });

  it('names the berth itself where no mark stands at its middle', () => {
    const at = place('stilt-pontoon');
    at.features = at.features.filter((f) => 'outline_m' in f);
    const made = beginManoeuvre({
      id: 'm',
      title: 'm',
      boat: fleetRecord('quince'),
      place: at,
      berthId: 'west-gap',
      side: 'port',
      going: 'in',
      conditions: {
        wind: { from_deg: 0, speed_mps: 0 },
        current: { set_deg: 0, speed_mps: 0 },
        water: 'sea',
      },
    });
    expect(made.ok && made.value.goal).toMatchObject({ mark: 'west gap' });
    expect(made.ok && toRunInput(made.value).ok).toBe(true);
  });

  it.each<[string, Going]>([
    ['quince', 'in'],
    ['quince', 'out'],
    ['tamarack-nell', 'round'],
    ['long-measure', 'out'],
  ])('plays as it stands, staying in neutral: %s, %s', (boat, going) => {
    const at = boat === 'quince' ? 'stilt-pontoon' : 'ropewalk-basin';
    const id = boat === 'quince' ? 'west-gap' : 'ropewalk-berth';
    if (boat === 'long-measure') {
      expect(() => begun(boat, at, id, going)).toThrow(/would lie/);
      return;
    }
    const input = toRunInput(begun(boat, at, id, going));
    if (!input.ok) throw new Error(JSON.stringify(input.problems));
    const run = runPlan(input.value);
    expect(run.duration).toBeCloseTo(20, 6);
    expect(run.trace.engines[0]!.gear.every((gear) => gear === 0)).toBe(true);
  });

  it('asks for what it needs, field by field', () => {
    const wish = {
      title: ' ',
      boatId: 'Quince!',
      placeId: 'stilt-pontoon',
      berthId: 'west-gap',
      side: 'left',
      going: 'in',
      conditions: {},
    };
    const checked = check(beginSchema, wish);
    const paths = checked.ok ? [] : checked.problems.map(({ path }) => path);
    expect(paths).toEqual(expect.arrayContaining(['title', 'boatId', 'side']));
    expect(paths.some((path) => path.startsWith('conditions'))).toBe(true);
  });
});

it.each([
  ['quince', 'heron-trots', 'stage'],
  ['fennick', 'sallow-bridge', 'wall-free'],
  ['pebble', 'withen-lock', 'landing-free'],
  ['corvina', 'cinder-jetty', 'jetty-long'],
] as const)(
  '%s begun at %s, where the lowest water dries or nearly so, has water under her',
  (boat, at, berth) => {
    const file = begun(boat, at, berth, 'in');
    expect(file.conditions.level).toHaveLength(1);
    const input = toRunInput(file);
    if (!input.ok) throw new Error(input.problems[0]!.message);
    expect(runPlan(input.value).margins.underKeel!.depth).toBeGreaterThan(0);
    // A level that was chosen stays.
    expect(
      begun(boat, 'ropewalk-basin', place('ropewalk-basin').berths[0]!.id, 'round').conditions
        .level,
    ).toBeUndefined();
  },
);

it.each(readdirSync('demo/places').map((name) => name.replace('.json', '')))(
  'every berth of %s takes some boat of the fleet',
  (at) => {
    const wish = { id: 'm', title: 'm', side: 'port', going: 'in', place: place(at) } as const;
    const conditions = {
      wind: { from_deg: 90, speed_mps: 3 },
      current: { set_deg: 0, speed_mps: 0 },
      water: 'sea',
    } as const;
    for (const berth of wish.place.berths) {
      const taken = FLEET_IDS.some((id) => {
        const made = beginManoeuvre({
          ...wish,
          berthId: berth.id,
          boat: fleetRecord(id),
          conditions,
        });
        return made.ok && toRunInput(made.value).ok;
      });
      expect([berth.name, taken]).toEqual([berth.name, true]);
    }
  },
);
