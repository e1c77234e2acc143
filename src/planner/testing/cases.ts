import { Random } from '@/core/math';
import type { Boat } from '@/document/boat';
import { check } from '@/document/result';
import { placeSchema, type Berth, type Place } from '@/document/place';
import { manoeuvreFileSchema, type ManoeuvreFile } from '@/document/manoeuvre';
import { boatFromOwner, ownerSchema, type Owner } from '@/document';
import { fleetRecord } from '@/document/testing/fleet';
import { generatedOwners } from '@/document/testing/generated';
import { beginManoeuvre } from '../beginnings/begin';

/**
 * Berths nobody has fitted a plan to, drawn from a seed: what a boat has to be put into or taken out of, in a wind and a current, turned and
 * mirrored at random. Even ones are for forming a judgement, odd ones for reporting.
 */

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

export interface Case {
  readonly id: string;
  readonly kind: CaseKind;
  readonly half: 'design' | 'held back';
  readonly file: ManoeuvreFile;
}

export const CASES = 208;
const SEED = 20261201;
const KN = 0.514444;
const WINDS_KN = [0, 2, 4, 6, 9, 12, 15, 18] as const;

/** Boats of the fleet a berth in a marina is for: under engine, no ship. */
const FLEET = [
  'quince',
  'fennick',
  'brisling',
  'corvina',
  'dunlin-hatch',
  'lantern',
  'marram',
  'ottoline',
  'pebble',
  'quartet',
  'tamarack-nell',
] as const;

type Spot = readonly [number, number];
type Turned = (spot: Spot) => [number, number];

const one = <T>(random: Random, of: readonly T[]): T =>
  of[Math.min(of.length - 1, Math.floor(random.uniform() * of.length))]!;
const between = (random: Random, least: number, most: number): number =>
  least + random.uniform() * (most - least);
const cm = (value: number) => Math.round(100 * value) / 100;

function ownersBoat({ id, owner }: { readonly id: string; readonly owner: Owner }): Boat {
  const read = check<Owner>(ownerSchema, owner);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return boatFromOwner(read.value, { id, name: id, kind: read.value.class, note: '' });
}

/** A boat of the fleet or of the owner's form, no longer than `most`, m. */
function boatFor(random: Random, most: number): Boat {
  const owners = generatedOwners();
  for (;;) {
    const boat =
      random.uniform() < 0.4 ? fleetRecord(one(random, FLEET)) : ownersBoat(one(random, owners));
    if (boat.hull.length_m <= most && boat.drives.length > 0) return boat;
  }
}

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

interface Draft {
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

const DRAFTS: Readonly<Record<CaseKind, (random: Random, boat: Boat) => Draft>> = {
  'slip bow in': (random, boat) => slip(random, boat, false, 'in'),
  'slip stern in': (random, boat) => slip(random, boat, true, 'in'),
  'gap alongside': (random, boat) => gap(random, boat, false),
  'pontoon in a current': (random, boat) => gap(random, boat, true),
  'stern-to': sternTo,
  'turn in a basin': basin,
  'out of a slip': (random, boat) => slip(random, boat, random.uniform() < 0.3, 'out'),
  'off a quay': quay,
};

const LONGEST_M: Readonly<Record<CaseKind, number>> = {
  'slip bow in': 16,
  'slip stern in': 16,
  'gap alongside': 19,
  'pontoon in a current': 19,
  'stern-to': 16,
  'turn in a basin': 19,
  'out of a slip': 16,
  'off a quay': 19,
};

const compass = (east: number, north: number) =>
  ((Math.round((Math.atan2(east, north) * 180) / Math.PI) % 360) + 360) % 360;

/** A draft as a manoeuvre, turned by an angle, rad, and mirrored first if so asked; null where the boat has no room to begin or to lie. */
function made(
  id: string,
  draft: Draft,
  boat: Boat,
  wind: { readonly along: Spot; readonly speed: number },
  angle: number,
  mirror: boolean,
): ManoeuvreFile | null {
  const s = Math.sin(angle);
  const c = Math.cos(angle);
  const spun: Turned = ([x, y]) => {
    const mx = mirror ? -x : x;
    return [mx * c + y * s, y * c - mx * s];
  };
  const turned: Turned = (spot) => spun(spot).map(cm) as [number, number];
  const heading = (along: Spot) => compass(...spun(along));
  const place = check<Place>(placeSchema, {
    $schema: 'yawtrope:place',
    version: 2,
    id: 'somewhere',
    name: 'Somewhere',
    features: draft.features.map(({ kind, id: of, outline }) => ({
      kind,
      id: of,
      name: of,
      outline_m: mirror ? outline.map(turned).reverse() : outline.map(turned),
    })),
    berths: [
      {
        kind: draft.berth.kind,
        id: 'berth',
        name: 'the berth',
        edge_m: draft.berth.edge.map(turned),
        on: draft.berth.on,
      },
    ],
  });
  if (!place.ok) throw new Error(JSON.stringify(place.problems));
  const { side } = draft;
  const conditions = {
    wind: { from_deg: heading(wind.along), speed_mps: cm(wind.speed) },
    current: draft.current
      ? { set_deg: heading(draft.current.along), speed_mps: cm(draft.current.speed) }
      : { set_deg: 0, speed_mps: 0 },
    water: 'sea' as const,
  };
  const begun = beginManoeuvre({
    id,
    title: id,
    boat,
    place: place.value,
    berthId: 'berth',
    side: mirror ? (side === 'port' ? 'starboard' : 'port') : side,
    going: draft.going,
    conditions,
  });
  if (!begun.ok) return null;
  if (!draft.start) return begun.value;
  const { at, along, speed } = draft.start;
  const [x_m, y_m] = turned(at);
  const start = { x_m, y_m, heading_deg: heading(along), speed_mps: cm(speed) };
  const { goal } = begun.value;
  const file =
    draft.going === 'round' && goal.is === 'lie'
      ? {
          ...begun.value,
          start,
          goal: {
            ...goal,
            heading_deg: (start.heading_deg + 180) % 360,
            within_m: Math.round(Math.hypot(...draft.start.at) + 1.5 * boat.hull.length_m),
          },
        }
      : { ...begun.value, start };
  const read = check<ManoeuvreFile>(manoeuvreFileSchema, file);
  if (!read.ok) throw new Error(`${id}: ${JSON.stringify(read.problems)}`);
  return read.value;
}

/** Case `n` of 0 to `CASES` − 1; `mirrored` the same in a mirror. */
export function caseOf(n: number, mirrored = false): Case {
  const kind = CASE_KINDS[(n >> 1) % CASE_KINDS.length]!;
  for (let attempt = 0; ; attempt++) {
    const random = new Random(SEED + 7919 * n + 104_729 * attempt);
    random.uniform();
    const boat = boatFor(random, LONGEST_M[kind]);
    const draft = DRAFTS[kind](random, boat);
    const from = 2 * Math.PI * random.uniform();
    const speed = KN * one(random, WINDS_KN);
    const wind = { along: [Math.sin(from), Math.cos(from)] as const, speed };
    const angle = 2 * Math.PI * random.uniform();
    const mirror = random.uniform() < 0.5;
    const id = `case-${n}`;
    const file = made(id, draft, boat, wind, angle, mirror !== mirrored);
    if (file) return { id, kind, half: n % 2 === 0 ? 'design' : 'held back', file };
  }
}
