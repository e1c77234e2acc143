import { Random } from '@/core/math';
import type { Boat } from '@/document/boat';
import { check } from '@/document/result';
import { placeSchema, type Place } from '@/document/place';
import { manoeuvreFileSchema, type ManoeuvreFile } from '@/document/manoeuvre';
import { boatFromOwner, ownerSchema, type Owner } from '@/document';
import { fleetRecord } from '@/document/testing/fleet';
import { generatedOwners } from '@/document/testing/generated';
import { beginManoeuvre } from '../beginnings/begin';
import { CASE_KINDS, DRAFTS, KN, one, type CaseKind, type Draft, type Spot } from './case-drafts';

/**
 * Berths nobody has fitted a plan to, drawn from a seed: what a boat has to be put into or taken out of, in a wind and a current, turned and
 * mirrored at random. Even ones are for forming a judgement, odd ones for reporting.
 */

export interface Case {
  readonly id: string;
  readonly kind: CaseKind;
  readonly half: 'design' | 'held back';
  readonly file: ManoeuvreFile;
}

export const CASES = 208;
const SEED = 20261201;

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

type Turned = (spot: Spot) => [number, number];

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
