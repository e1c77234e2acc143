import { join } from 'node:path';
import { readDemo } from '@/db';
import type { LineSpec } from '@/core/holding';
import { toFile, type Boat, type ManoeuvreFile, type Place } from '@/document';

/** A manoeuvre to be timed, with lines made fast throughout. */
export interface BenchCase {
  readonly name: string;
  readonly file: ManoeuvreFile;
  readonly lines: readonly LineSpec[];
}

/** An aisle of a marina: sixty things to touch, round a berth at the origin along the x axis. */
export function sixtyObstacles(length: number, beam: number): Place {
  const features: Place['features'] = [];
  const box = (
    kind: 'pontoon' | 'boat' | 'quay',
    id: string,
    x0: number,
    y0: number,
    x1: number,
    y1: number,
  ) =>
    features.push({
      kind,
      id,
      name: id,
      outline_m: [
        [x0, y0],
        [x1, y0],
        [x1, y1],
        [x0, y1],
      ],
    });
  const berth = -beam / 2 - 0.28;
  box('pontoon', 'berth', -6 * length, berth - 2.4, 6 * length, berth);
  box('quay', 'quay', -8 * length, berth - 40, 8 * length, berth - 30);
  const aisle = Math.max(3.2 * length, 24);
  box('pontoon', 'opposite', -6 * length, aisle, 6 * length, aisle + 2.4);
  for (let i = 0; features.length < 45; i++) {
    const x = -5 * length + i * (beam + 1.4);
    const long = 0.8 * length;
    // Pointed towards the aisle, as boats lie.
    features.push({
      kind: 'boat',
      id: `moored-${i}`,
      name: `moored-${i}`,
      outline_m: [
        [x, aisle],
        [x, aisle - 0.7 * long],
        [x + 0.35 * beam, aisle - long],
        [x + 0.7 * beam, aisle - 0.7 * long],
        [x + 0.7 * beam, aisle],
      ],
    });
  }
  for (let i = 0; features.length < 60; i++) {
    const x = -5 * length + i * 0.7 * length;
    features.push({
      kind: 'pile',
      id: `pile-${i}`,
      name: `pile-${i}`,
      x_m: x,
      y_m: aisle - 1.15 * length,
      radius_m: 0.15,
    });
  }
  return {
    $schema: 'yawtrope:place',
    version: 2,
    id: 'sixty',
    name: 'sixty',
    note: '',
    features,
    berths: [],
    areas: [],
    transits: [],
  };
}

/** Four lines to the berth, a little slack, as a boat of that size lies. */
function fourLines(boat: Boat): LineSpec[] {
  const { length_m: l, beam_m: b, mass_kg } = boat.hull;
  const shore = -b / 2 - 0.6;
  const line = (x: number, to: number): LineSpec => ({
    boatX: x * l,
    boatY: b / 2 - 0.2,
    shoreX: to * l,
    shoreY: shore,
    rise: -0.4,
    length: Math.hypot((to - x) * l, 0.8) + 0.1,
    stiffness: 12 * Math.max(3000, mass_kg),
    damping: 0.08 * mass_kg,
  });
  return [line(0.4, 0.6), line(-0.42, -0.62), line(0.05, -0.35), line(-0.05, 0.35)];
}

/** Pressed on the boat's fenders by the wind, ten steps of engine and wheel against its lines, 120 s. */
function alongside(boat: Boat): BenchCase {
  const { length_m: l, beam_m: b } = boat.hull;
  const steps: ManoeuvreFile['plan']['steps'] = Array.from({ length: 10 }, (_, i) => ({
    id: `step-${i}`,
    title: '',
    cue: i === 0 ? ({ is: 'start' } as const) : ({ is: 'after', time_s: 12 } as const),
    within_s: 20,
    orders: [
      { do: 'wheel', after_s: 0, angle_deg: i % 2 === 0 ? 20 : -20 },
      {
        do: 'engine',
        after_s: 1,
        gear: (['ahead', 'neutral', 'astern'] as const)[i % 3]!,
        throttle: 0.2,
      },
    ],
    expect: [],
    wayOut: { note: '', automatic: false, orders: [] },
  }));
  return {
    name: `${boat.name}, on fenders and four lines`,
    lines: fourLines(boat),
    file: {
      $schema: 'yawtrope:manoeuvre',
      version: 2,
      id: 'bench',
      title: 'bench',
      note: '',
      others: [],
      locks: [],
      boat,
      place: sixtyObstacles(l, b),
      // Heading east, the berth to the south: starboard side to, the wind from the north.
      conditions: {
        wind: { from_deg: 10, speed_mps: 7 },
        current: { set_deg: 90, speed_mps: 0.2 },
        water: 'sea',
      },
      start: { x_m: 0, y_m: 0, heading_deg: 90, speed_mps: 0 },
      goal: { is: 'clear', distance_m: 0 },
      berth: ['berth'],
      ready: [],
      dismissed: [],
      plan: {
        steps,
        end: { cue: { is: 'after', time_s: 600 }, within_s: 900 },
        lines: [],
        crew: [],
        fenders: [],
      },
      limit_s: 120,
    },
  };
}

/** The same on six lines that hands tend: four fast, one held on turns, one in the hand; and eight fenders. */
function tended(boat: Boat): BenchCase {
  const bench = alongside(boat);
  const { length_m: l, beam_m: b } = boat.hull;
  const { file } = bench;
  const side = 'starboard';
  const led = [
    ['bow line', 'bow cleat', 0.6],
    ['stern line', 'quarter cleat', -0.62],
    ['ahead spring', 'midship cleat', 0.35],
    ['astern spring', 'midship cleat', -0.35],
    ['bow spring', 'bow cleat', 0.05],
    ['stern spring', 'quarter cleat', -0.05],
  ] as const;
  const bollards = led.map(([name, , to]): Place['features'][number] => ({
    kind: 'bollard',
    id: name.replace(' ', '-'),
    name: `for the ${name}`,
    x_m: to * l,
    y_m: -b / 2 - 0.6,
    height_m: 0.5,
  }));
  const [first, ...rest] = file.plan.steps;
  const tend = { do: 'tend', after_s: 0, turns: 1.5, winch: false } as const;
  return {
    name: `${boat.name}, six lines in hand, eight fenders`,
    lines: [],
    file: {
      ...file,
      place: { ...file.place, features: [...file.place.features, ...bollards] },
      plan: {
        ...file.plan,
        steps: [
          {
            ...first!,
            orders: [
              ...first!.orders,
              { ...tend, line: 'bow spring', how: 'turn' },
              { ...tend, line: 'stern spring', how: 'hold' },
            ],
          },
          ...rest,
        ],
        lines: led.map(([name, at]) => ({
          name,
          from: `${side} ${at}`,
          length_m: 2 * l,
          rope: 'polyester',
          strengthLeft: 0.6,
          doubled: false,
          fast: { to: `for the ${name}` },
        })),
      },
    },
  };
}

/** The demo manoeuvre that leaves, made to last 120 s, without lines. */
function leaving(): BenchCase {
  const demo = readDemo(join(process.cwd(), 'demo'));
  const manoeuvre = demo.manoeuvres.find((m) => m.id === 'off-stilt-pontoon')!;
  const boat = demo.boats.find((b) => b.id === manoeuvre.boatId)!;
  const place = demo.places.find((p) => p.id === manoeuvre.placeId)!;
  const file = toFile(manoeuvre, boat, place);
  const end = { cue: { is: 'after', time_s: 600 }, within_s: 900 } as const;
  return {
    name: 'Quince, out past the ketch (demo)',
    file: { ...file, limit_s: 120, plan: { ...file.plan, end } },
    lines: [],
  };
}

export function benchCases(): BenchCase[] {
  const demo = readDemo(join(process.cwd(), 'demo'));
  const boat = (id: string) => demo.boats.find((b) => b.id === id)!;
  return [
    alongside(boat('quince')),
    alongside(boat('brisling')),
    alongside(boat('tamarack-nell')),
    leaving(),
    tended(boat('quince')),
  ];
}
