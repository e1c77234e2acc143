import type { Random } from '@/core/math';
import type { Boat } from '@/document/boat';
import type { Berth } from '@/document/place';

// What the drawn berths are like, kind by kind, in metres about a nought of their own, north up, before they are turned and mirrored.

export const CASE_KINDS = [
  'slip bow in',
  'slip stern in',
  'gap alongside',
  'pontoon in a current',
  'stern-to',
  'turn in a basin',
  'out of a slip',
  'off a quay',
] as const;
export type CaseKind = (typeof CASE_KINDS)[number];

export const KN = 0.514444;

export type Spot = readonly [number, number];

export const one = <T>(random: Random, of: readonly T[]): T =>
  of[Math.min(of.length - 1, Math.floor(random.uniform() * of.length))]!;
const between = (random: Random, least: number, most: number): number =>
  least + random.uniform() * (most - least);
/** An outline by its corners. */
const box = (x0: number, y0: number, x1: number, y1: number): Spot[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];

/** Another boat's outline, its bow to the north of its middle. */
const hull = (x: number, y: number, length: number, beam: number): Spot[] =>
  [
    [-0.42, -0.5],
    [0.42, -0.5],
    [0.5, -0.1],
    [0.42, 0.2],
    [0.22, 0.4],
    [0, 0.5],
    [-0.22, 0.4],
    [-0.42, 0.2],
    [-0.5, -0.1],
  ].map(([a, f]) => [x + a! * beam, y + f! * length]);

export interface Draft {
  readonly features: {
    readonly kind: 'quay' | 'pontoon' | 'boat';
    readonly id: string;
    readonly outline: readonly Spot[];
  }[];
  readonly berth: {
    readonly kind: Berth['kind'];
    readonly edge: readonly [Spot, Spot];
    readonly on: string[];
  };
  readonly side: 'port' | 'starboard';
  readonly going: 'in' | 'out' | 'round';
  /** Where it begins, if not where a manoeuvre there usually would: place, course over x and y, m/s. */
  readonly start?: { readonly at: Spot; readonly along: Spot; readonly speed: number };
  /** The turn ends on the other heading, or near where it began. */
  readonly current?: { readonly along: Spot; readonly speed: number };
}

const named = (
  kind: Draft['features'][number]['kind'],
  id: string,
  outline: readonly Spot[],
): Draft['features'][number] => ({ kind, id, outline });

/** The head of a row of slips along y = 0, the fingers of one slip at its middle, and the row across the aisle. */
function row(random: Random, { hull: { length_m: l, beam_m: b } }: Boat) {
  const width = b * between(random, 1.3, 1.9) + 0.5;
  const finger = l * between(random, 0.65, 1.1);
  const aisle = l * between(random, 1.5, 2.4);
  const across = -Math.max(finger, l) - aisle;
  const neighbour = random.uniform() < 0.5;
  const features = [
    named('pontoon', 'head', box(-40, 0, 40, 2)),
    named('pontoon', 'finger', box(-0.8, -finger, 0, 0)),
    neighbour
      ? named('boat', 'neighbour', hull(width + 0.5 * b, -1 - 0.5 * l, l, b))
      : named('pontoon', 'other-finger', box(width, -finger, width + 0.8, 0)),
    named('pontoon', 'row-across', box(-40, across - 3, 40, across)),
    named('boat', 'next', hull(-0.8 - 0.75 * b, -1 - 0.45 * l, 0.9 * l, 0.9 * b)),
  ];
  return { features, width, finger, mid: -Math.max(finger, l) - 0.5 * aisle };
}

function slip(random: Random, boat: Boat, stern: boolean, going: 'in' | 'out'): Draft {
  const { features, finger, mid } = row(random, boat);
  const { length_m: l } = boat.hull;
  // Bow in the finger at the slip's port side lies to port; stern in to starboard.
  const side = stern ? 'starboard' : 'port';
  const from = l * between(random, 2.5, 4);
  const start: Draft['start'] = {
    at: [-from, mid],
    along: [1, 0],
    speed: Math.min(1.2, between(random, 0.8, 1.3)),
  };
  return {
    features,
    berth: {
      kind: 'slip',
      edge: [
        [0, -finger],
        [0, 0],
      ],
      on: ['finger', 'head'],
    },
    side,
    going,
    ...(going === 'in' ? { start } : {}),
  };
}

function gap(random: Random, boat: Boat, current: boolean): Draft {
  const { length_m: l, beam_m: b } = boat.hull;
  const free = l * between(random, 1.25, 1.6);
  const alone = current && random.uniform() < 0.5;
  const along: Spot = random.uniform() < 0.5 ? [1, 0] : [-1, 0];
  const heading: Spot = current ? [-along[0], 0] : [1, 0];
  const moored = (x: number) => {
    // Lying along the quay: the outline of one that heads north, a quarter turned.
    const outline = hull(0, 0, 0.9 * l, 0.9 * b).map(([px, py]): Spot => [x + py, -0.6 * b - px]);
    return outline;
  };
  const off = 0.5 * free + 0.45 * l;
  return {
    features: [
      named('quay', 'quay', box(-80, 0, 80, 4)),
      ...(alone
        ? []
        : [named('boat', 'astern', moored(-off)), named('boat', 'ahead', moored(off))]),
    ],
    berth: {
      kind: 'alongside',
      edge: [
        [-0.5 * free, 0],
        [0.5 * free, 0],
      ],
      on: ['quay'],
    },
    side: heading[0] > 0 ? 'port' : 'starboard',
    going: 'in',
    start: {
      at: [-heading[0] * l * between(random, 3, 4.5), -l * between(random, 0.9, 1.6)],
      along: heading,
      speed: between(random, 0.8, 1.3) + (current ? 0.5 : 0),
    },
    ...(current ? { current: { along, speed: KN * one(random, [0.5, 1, 1.5]) } } : {}),
  };
}

function sternTo(random: Random, boat: Boat): Draft {
  const { length_m: l, beam_m: b } = boat.hull;
  const free = b * between(random, 1.4, 2.2) + 0.6;
  const out = (x: number) => hull(x, -1 - 0.5 * l, l, b).map(([px, py]): Spot => [px, -2 - l - py]);
  return {
    features: [
      named('quay', 'quay', box(-60, 0, 60, 4)),
      named('boat', 'one-side', out(-0.5 * free - 0.5 * b)),
      named('boat', 'other-side', out(0.5 * free + 0.5 * b)),
    ],
    berth: {
      kind: 'stern-to',
      edge: [
        [-0.5 * free, 0],
        [0.5 * free, 0],
      ],
      on: ['quay'],
    },
    side: 'port',
    going: 'in',
    start: {
      at: [-l * between(random, 2.5, 3.5), -l * between(random, 2.2, 2.8)],
      along: [1, 0],
      speed: between(random, 0.7, 1.1),
    },
  };
}

function basin(random: Random, boat: Boat): Draft {
  const { length_m: l } = boat.hull;
  const width = l * between(random, 1.4, 1.8);
  const offset = between(random, -0.1, 0.1) * width;
  return {
    features: [
      named('quay', 'one-bank', box(-80, 0, 80, 4)),
      named('quay', 'other-bank', box(-80, -width - 4, 80, -width)),
    ],
    berth: {
      kind: 'alongside',
      edge: [
        [-10, 0],
        [10, 0],
      ],
      on: ['one-bank'],
    },
    side: 'port',
    going: 'round',
    start: { at: [0, -0.5 * width + offset], along: [1, 0], speed: 0 },
  };
}

function quay(random: Random, boat: Boat): Draft {
  const { length_m: l, beam_m: b } = boat.hull;
  const moored = (x: number) =>
    hull(0, 0, 0.9 * l, 0.9 * b).map(([px, py]): Spot => [x + py, -0.6 * b - px]);
  const off = l * between(random, 1.15, 1.5);
  return {
    features: [
      named('quay', 'quay', box(-80, 0, 80, 4)),
      ...(random.uniform() < 0.7 ? [named('boat', 'ahead', moored(off))] : []),
      ...(random.uniform() < 0.5 ? [named('boat', 'astern', moored(-off))] : []),
    ],
    berth: {
      kind: 'alongside',
      edge: [
        [-0.55 * l, 0],
        [0.55 * l, 0],
      ],
      on: ['quay'],
    },
    side: 'port',
    going: 'out',
  };
}

export const DRAFTS: Readonly<Record<CaseKind, (random: Random, boat: Boat) => Draft>> = {
  'slip bow in': (random, boat) => slip(random, boat, false, 'in'),
  'slip stern in': (random, boat) => slip(random, boat, true, 'in'),
  'gap alongside': (random, boat) => gap(random, boat, false),
  'pontoon in a current': (random, boat) => gap(random, boat, true),
  'stern-to': sternTo,
  'turn in a basin': basin,
  'out of a slip': (random, boat) => slip(random, boat, random.uniform() < 0.3, 'out'),
  'off a quay': quay,
};
