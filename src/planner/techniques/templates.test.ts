import { Random } from '@/core/math';
import { runTillHard } from '@/core/plan';
import { beginManoeuvre, GOINGS, type Going } from '../beginnings/begin';
import { manoeuvreFileSchema, type ManoeuvreFile } from '@/document/manoeuvre';
import { placeSchema, type Place } from '@/document/place';
import { check } from '@/document/result';
import { toRunInput } from '@/document/run-input';
import { demoJson } from '@/document/testing/demo';
import { FLEET_IDS, fleetRecord } from '@/document/testing/fleet';
import { chosen, SWEEPING } from '@/core/testing/sweep';
import { SIDES } from '@/document';
import { groundOf, lyingIn, stuckIn } from '../berths';
import { TECHNIQUE_IDS, techniquesFor, subjectOf, type TechniqueId } from '@/planner';
import { startFor } from '../berths';
import { numbersBy } from '../template';
import { templatesFor } from '../testing/asked';

// Every technique, laid out for every boat it fits, with numbers from all over its parameters: always a sound plan.

const PLACES = ['cradle-basin', 'tolver-wall', 'ropewalk-basin', 'stilt-pontoon', 'tallow-quay'];

function place(id: string): Place {
  const checked = check<Place>(placeSchema, demoJson('places', id));
  if (!checked.ok) throw new Error(JSON.stringify(checked.problems));
  return checked.value;
}

const places = PLACES.map(place);
const wind = { from_deg: 210, speed_mps: 4 };

function begun(boat: string, at: Place, berthId: string, going: Going, side: 'port' | 'starboard') {
  const along = { set_deg: 308, speed_mps: at.id === 'tolver-wall' ? 0.5 : 0 };
  return beginManoeuvre({
    id: 'm',
    title: 'm',
    boat: fleetRecord(boat),
    place: at,
    berthId,
    side,
    going,
    conditions: { wind, current: along, water: 'sea' },
  });
}

/** One manoeuvre of every kind that can be begun for a boat. */
function all(boat: string): ManoeuvreFile[] {
  // One berth of each kind at each place; which, goes by the boat.
  const some = ({ berths }: Place) =>
    [...new Set(berths.map(({ kind }) => kind))].flatMap((kind) =>
      berths.filter((berth) => berth.kind === kind).slice(boat.length % 2, (boat.length % 2) + 1),
    );
  return places.flatMap((at) =>
    some(at).flatMap(({ id }) =>
      GOINGS.flatMap((going) => {
        const made = begun(boat, at, id, going, 'port');
        return made.ok ? [made.value] : [];
      }),
    ),
  );
}

const seen = new Map<TechniqueId, number>();

const SOME = chosen(FLEET_IDS, ['brisling', 'ottoline', 'tamarack-nell']);

describe.each(SOME)('%s', (boat) => {
  const manoeuvres = all(boat);

  it('is offered techniques that write plans which can be played', () => {
    const random = new Random(7);
    for (const file of manoeuvres) {
      const offered = techniquesFor(subjectOf(file));
      if (!offered.ok) throw new Error(JSON.stringify(offered.problems));
      for (const { id, unfit } of offered.value) {
        if (unfit !== null) continue;
        const templates = templatesFor(file, id);
        for (const template of templates) {
          seen.set(id, (seen.get(id) ?? 0) + 1);
          for (const { value, least, most, step } of Object.values(template.parameters)) {
            expect(value).toBeGreaterThanOrEqual(least);
            expect(value).toBeLessThanOrEqual(most);
            expect(step).toBeGreaterThan(0);
          }
          for (const share of SWEEPING ? [0, 1, random.uniform()] : [random.uniform()]) {
            const plan = template.write(
              numbersBy(template, ({ least, most }) => least + share * (most - least)),
            );
            const whole = check<ManoeuvreFile>(manoeuvreFileSchema, { ...file, plan });
            if (!whole.ok) throw new Error(`${id}: ${JSON.stringify(whole.problems)}`);
            const input = toRunInput(whole.value);
            if (!input.ok) throw new Error(`${id}: ${JSON.stringify(input.problems)}`);
            // What the boat is told to do it can be told: no order to what it has not got.
            expect(plan.steps.every(({ wayOut }) => wayOut.note !== '')).toBe(true);
          }
        }
      }
    }
  });

  it('begins where there is room, or is told why it cannot', () => {
    const ground = (at: Place) => groundOf(fleetRecord(boat), at);
    for (const at of places.slice(1))
      for (const { id } of at.berths.slice(0, 1))
        for (const side of SIDES) {
          const made = begun(boat, at, id, 'in', side);
          if (!made.ok) {
            expect(made.problems[0]!.message).toMatch(/would lie|no clear water/);
            continue;
          }
          const { start } = made.value;
          const here = {
            x: start.x_m,
            y: start.y_m,
            heading: (start.heading_deg * Math.PI) / 180,
            out: { x: 0, y: 0 },
            bowIn: null,
          };
          expect(stuckIn(ground(at), here)).toBeNull();
        }
  });
});

it('every technique is for some boat of the fleet somewhere', () => {
  // Two want a goal in open water, which no berth gives; two begin where the boat is to lie, or nearly (by-hand.test).
  // Begun manoeuvres have no other boats, and come to no buoy; at the quay that is looked at ground lines lie (others.test).
  const rare: TechniqueId[] = [
    'stop-straight',
    'wait-out-a-gust',
    'hold-on-a-spring',
    'warp-along',
    'raft-up',
    'out-of-a-raft',
    'pick-up-a-buoy',
    'stern-to-on-anchor',
    // Begun at a lock (begin-passage.test).
    'through-the-lock',
    'alone-through-the-lock',
    // Begun manoeuvres name nobody (crew-steps.test).
    'crew-ashore',
    'crew-aboard',
  ];
  for (const id of TECHNIQUE_IDS.filter((technique) => !rare.includes(technique)))
    expect([id, (seen.get(id) ?? 0) > 0]).toEqual([id, true]);
});

describe('where to come from', () => {
  const at = place('ropewalk-basin');
  const boat = fleetRecord('quince');
  const ground = groundOf(boat, at);
  const berth = at.berths[0]!;
  const from = (currentSet: number, currentSpeed: number) =>
    startFor(ground, lyingIn(at, berth, boat, 'port'), {
      wind: { from_deg: 0, speed_mps: 0 },
      current: { set_deg: currentSet, speed_mps: currentSpeed },
      water: 'fresh',
    });

  it('keeps her length and more from everything, on the way to the berth', () => {
    const start = from(0, 0)!;
    const { x, y } = lyingIn(at, berth, boat, 'port');
    const far = Math.hypot(start.x_m - x, start.y_m - y);
    expect(far).toBeGreaterThan(2 * boat.hull.length_m);
    expect(far).toBeLessThan(8 * boat.hull.length_m);
    const bearing = Math.atan2(x - start.x_m, y - start.y_m);
    const off = Math.cos(bearing - (start.heading_deg * Math.PI) / 180);
    expect(off).toBeGreaterThan(0.8);
  });

  it('is the same wherever the place lies on the map', () => {
    const moved = structuredClone(at);
    for (const f of moved.features) {
      if ('outline_m' in f)
        f.outline_m = f.outline_m.map(([x, y]): [number, number] => [x + 500, y - 80]);
      else Object.assign(f, { x_m: f.x_m + 500, y_m: f.y_m - 80 });
    }
    for (const b of moved.berths)
      b.edge_m = b.edge_m.map(([x, y]): [number, number] => [x + 500, y - 80]) as typeof b.edge_m;
    const there = startFor(groundOf(boat, moved), lyingIn(moved, moved.berths[0]!, boat, 'port'), {
      wind: { from_deg: 0, speed_mps: 0 },
      current: { set_deg: 0, speed_mps: 0 },
      water: 'fresh',
    })!;
    const here = from(0, 0)!;
    expect(there.heading_deg).toBe(here.heading_deg);
    expect(there.x_m - 500).toBeCloseTo(here.x_m, 2);
    expect(there.y_m + 80).toBeCloseTo(here.y_m, 2);
  });

  it('is null where boats leave no way', () => {
    const walled = structuredClone(at);
    const { x, y, heading } = lyingIn(at, berth, boat, 'port');
    const ring = Array.from({ length: 24 }, (_, k) => {
      const a = heading + (k * Math.PI) / 12;
      return {
        kind: 'pile' as const,
        id: `ring-${k}`,
        name: `ring ${k}`,
        x_m: x + 14 * Math.sin(a),
        y_m: y + 14 * Math.cos(a),
        radius_m: 1.5,
      };
    });
    walled.features.push(...ring);
    const lying = lyingIn(walled, walled.berths[0]!, boat, 'port');
    const calm = {
      wind: { from_deg: 0, speed_mps: 0 },
      current: { set_deg: 0, speed_mps: 0 },
      water: 'fresh' as const,
    };
    expect(startFor(groundOf(boat, walled), lying, calm)).toBeNull();
  });
});

it('a run for trying stops at its first hard touch, and is the whole run where there is none', () => {
  const made = begun('quince', place('stilt-pontoon'), 'west-gap', 'in', 'port');
  if (!made.ok) throw new Error('not begun');
  const ahead = structuredClone(made.value);
  ahead.plan.steps[0]!.orders = [
    { do: 'steer', after_s: 0, heading_deg: 30 },
    { do: 'engine', after_s: 0, gear: 'ahead', throttle: 0.5 },
  ];
  ahead.plan.end = { cue: { is: 'after', time_s: 90 }, within_s: 100 };
  const input = toRunInput(ahead);
  if (!input.ok) throw new Error(JSON.stringify(input.problems));
  const run = runTillHard(input.value);
  expect(run.outcome).toBe('hard touch');
  expect(run.duration - run.touches.find(({ grade }) => grade === 'hard')!.time).toBeLessThan(1);
});
