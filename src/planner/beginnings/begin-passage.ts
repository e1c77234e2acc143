import { z } from 'zod';
import { obstacleSetOf } from '@/core/holding';
import { outOfLock, type SitedLock } from '@/core/locks';
import { atan2, cos, nearestOnPolygon, sin } from '@/core/math';
import { PASSAGE_LIMIT_S } from '@/core/policy';
import { roomAt } from '@/core/search';
import { hasDrive, steadySpeed } from '@/core/trials';
import { begun, withMeanLevel, type BeginWish } from './begin';
import { conditionsSchema } from '@/document/conditions';
import { degrees, id, shortText } from '@/document/fields';
import { groundOf, type Ground } from '../berths';
import { siteLock, type LockOfPlace } from '@/document/lock';
import { locksOfPlace, withoutDrawnLeaves } from '@/document/lock-sites';
import type { Manoeuvre, ManoeuvreFile } from '@/document/manoeuvre';
import { toObstacles, type Place } from '@/document/place';
import { failure, success, type Result } from '@/document/result';
import { toRunInput } from '@/document/run-input';

/** Which way through a lock. */
export const PASSAGES = ['up', 'down'] as const;
export type Passage = (typeof PASSAGES)[number];

/** What is asked for when a passage is begun in a boat and a place that are kept. */
export const passageSchema = z.strictObject({
  title: shortText,
  boatId: id,
  placeId: id,
  lockId: id,
  going: z.enum(PASSAGES, { error: "say 'up' or 'down'" }),
  conditions: conditionsSchema,
});
export type BeginPassage = z.infer<typeof passageSchema>;

/** The same with boat and place at hand, and the id it is to have. */
export interface PassageWish
  extends Omit<BeginPassage, 'boatId' | 'placeId'>, Pick<BeginWish, 'boat' | 'place' | 'id'> {}

/** Off the gates the boat begins so many lengths, and within so much of straight before them. */
const DISTANCES = [2, 2.4, 1.6, 1.3, 1.05];
const BEARINGS_DEG = [0, 10, -10, 20, -20, 30, -30, 40, -40];
/** Room the boat keeps on its way to the gates, m, and as much as counts. */
const LEAST_ROOM_M = 0.4;
const ENOUGH_LENGTHS = 0.4;
const WAY_POINTS = 10;
const MOST_SPEED_MPS = 0.6;
/** What stands no further than this from the chamber's edge is its wall, m. */
const WALL_M = 1;
/** As many things as a manoeuvre can say the boat lies against. */
const MOST_BERTH = 12;

/** Where the boat comes from to the gates, with clear water all the way there; null where there is none. */
function startBefore(
  { craft, shore }: Ground,
  sited: SitedLock,
  going: Passage,
): Manoeuvre['start'] | null {
  const { length, beam } = craft.spec.hull;
  // Nobody asks for more room before a lock than half of what it leaves the boat inside.
  const least = Math.min(LEAST_ROOM_M, Math.max(0, sited.lock.width - beam) / 4);
  const gate = outOfLock(sited, going === 'down' ? 0 : sited.lock.length, 0);
  const sign = going === 'down' ? -1 : 1;
  const away = atan2(sign * sited.east, sign * sited.north);
  let best: { worth: number; start: Manoeuvre['start'] } | null = null;
  const idle = hasDrive(craft) ? steadySpeed(craft, 1, 0) : 0;
  for (const lengths of DISTANCES)
    for (const off of BEARINGS_DEG) {
      const bearing = away + (off * Math.PI) / 180;
      const heading = bearing + Math.PI;
      const at = (far: number) => ({
        x: gate.x + far * sin(bearing),
        y: gate.y + far * cos(bearing),
      });
      let room = Infinity;
      // The boat's middle goes from there to where its bow is at the gates.
      for (let i = 0; i <= WAY_POINTS && room >= least; i++) {
        const { x, y } = at(length * (lengths + (0.55 - lengths) * (i / WAY_POINTS)));
        room = Math.min(room, roomAt(craft, shore, new Set(), x, y, heading).distance);
      }
      if (room < least) continue;
      const worth =
        Math.min(room / length, ENOUGH_LENGTHS) - Math.abs(off) / 60 - 0.2 * Math.abs(lengths - 2);
      if (best && best.worth >= worth) continue;
      const { x, y } = at(lengths * length);
      const round = (value: number) => Math.round(value * 100) / 100;
      const start = {
        x_m: round(x),
        y_m: round(y),
        heading_deg: Math.round((degrees(heading) + 720) % 360) % 360,
        speed_mps: round(Math.min(idle, MOST_SPEED_MPS)),
      };
      best = { worth, start };
    }
  return best?.start ?? null;
}

const nearest = { x: 0, y: 0, distance: 0 };

/** Ids of what the walls of a chamber are made of: the boat may touch it. */
function wallsOf(place: Place, sites: readonly SitedLock[]): string[] {
  const along = sites.flatMap((sited) =>
    [0.1, 0.3, 0.5, 0.7, 0.9].flatMap((share) =>
      [sited.lock.width / 2, -sited.lock.width / 2].map((t) =>
        outOfLock(sited, share * sited.lock.length, t),
      ),
    ),
  );
  const walls = place.features.flatMap((f) => {
    if (!('outline_m' in f) || f.kind === 'gate' || f.kind === 'boat') return [];
    const flat = Float64Array.from(f.outline_m.flat());
    const near = along.some(({ x, y }) => {
      nearestOnPolygon(nearest, flat, x, y);
      return nearest.distance < WALL_M;
    });
    return near ? [f.id] : [];
  });
  return walls;
}

/** A landing beyond the gates lies so far on at the most, and so far off the lock's side, m. */
const LANDING_ON_M = [8, 16, 24, 32];
const LANDING_OFF_M = 8;

/** Ids of landings beyond the gates the boat leaves by: there it takes up whoever worked the lock. */
function landingsOf(place: Place, sited: SitedLock, leaves: 'upper' | 'lower'): string[] {
  const { length, width } = sited.lock;
  const along = LANDING_ON_M.map((on) =>
    outOfLock(sited, leaves === 'upper' ? -on : length + on, 0),
  );
  return place.features.flatMap((f) => {
    if (f.kind !== 'pontoon') return [];
    const flat = Float64Array.from(f.outline_m.flat());
    const near = along.some(({ x, y }) => {
      nearestOnPolygon(nearest, flat, x, y);
      return nearest.distance < width / 2 + LANDING_OFF_M;
    });
    return near ? [f.id] : [];
  });
}

/** The lock where it lies, if it is known which way is up-stream. */
function sitedWith(lock: LockOfPlace, set: 'upper' | 'lower', below: number): SitedLock[] {
  const sited = siteLock(lock, set, 'shut', below);
  return sited ? [sited] : [];
}

/** Locks the boat goes through one after the other: a staircase is one passage. */
function inOrder(place: Place, lock: LockOfPlace, going: Passage): readonly LockOfPlace[] {
  const locks = locksOfPlace(place);
  const above = locks.find(({ name }) => name === lock.working.above);
  const below = locks.find(({ working }) => working.above === lock.name);
  const next = going === 'up' ? above : below;
  return next ? [lock, next] : [lock];
}

/** The lock of its staircase a passage that way is begun at; itself where there is no other. */
function firstOf(place: Place, lock: LockOfPlace, going: Passage): LockOfPlace {
  const locks = locksOfPlace(place);
  const before =
    going === 'up'
      ? locks.find(({ working }) => working.above === lock.name)
      : locks.find(({ name }) => name === lock.working.above);
  return before ?? lock;
}

/** A passage that can be begun at a place: at which lock, which way, and the names of all it goes through. */
export interface PassageThere {
  readonly lockId: string;
  readonly going: Passage;
  readonly through: readonly string[];
}

export function passagesAt(place: Place): PassageThere[] {
  return locksOfPlace(place).flatMap((lock) =>
    PASSAGES.filter((going) => firstOf(place, lock, going).id === lock.id).map((going) => ({
      lockId: lock.id,
      going,
      through: inOrder(place, lock, going).map(({ name }) => name),
    })),
  );
}

/** A manoeuvre for a passage: before the gates that stand open for the boat, and nothing yet in its plan. */
export function beginPassage(wish: PassageWish): Result<ManoeuvreFile> {
  const { boat, place, lockId, going } = wish;
  const conditions = withMeanLevel(wish.conditions, place);
  const lock = locksOfPlace(place).find((one) => one.id === lockId);
  if (!lock)
    return failure({
      path: 'lockId',
      message: `the place has no lock '${lockId}' with gates and paddles; give it some in the place first`,
    });
  const first = firstOf(place, lock, going);
  if (first.id !== lock.id)
    return failure({
      path: 'lockId',
      message: `'${lock.name}' is the second lock of a staircase on the way ${going}; begin at '${first.name}'`,
    });
  const set = going === 'up' ? 'lower' : 'upper';
  const below = conditions.level?.[0]?.level_m ?? 0;
  const sited = siteLock(lock, set, 'open', below);
  if (!sited)
    return failure({
      path: 'lockId',
      message: `nobody has said which way is up-stream in '${lock.name}'; say so in the place first`,
    });
  const { length_m, beam_m } = boat.hull;
  if (beam_m >= sited.lock.width || length_m >= sited.lock.length)
    return failure({
      path: 'boat',
      message: `${boat.name}, ${length_m} by ${beam_m} m, does not go into the chamber of '${lock.name}', ${sited.lock.length} by ${sited.lock.width} m; take a smaller boat`,
    });
  // Its gates stand open for the boat.
  const { craft } = groundOf(boat, place);
  const shore = obstacleSetOf(withoutDrawnLeaves(toObstacles(place), place, [sited]));
  const through = inOrder(place, lock, going);
  const last = through.at(-1)!;
  const start = startBefore({ craft, shore }, sited, going);
  if (!start)
    return failure({
      path: 'boat',
      message: `there is no clear water to come from to the ${set} gates of '${lock.name}' for a boat of ${length_m} by ${beam_m} m; take a smaller boat, or see what is drawn there`,
    });
  const leaves = going === 'up' ? 'upper' : 'lower';
  const sites = [sited, ...(last === lock ? [] : sitedWith(last, set, below))];
  const file: ManoeuvreFile = {
    ...begun(wish),
    conditions,
    start,
    goal: { is: 'through', lock: last.name, by: leaves },
    berth: [...wallsOf(place, sites), ...landingsOf(place, sites.at(-1)!, leaves)].slice(
      0,
      MOST_BERTH,
    ),
    // The other chamber of a staircase as it has to be: full above the boat, empty below.
    locks: through.map(({ name }) => ({
      lock: name,
      set: name === lock.name ? set : set === 'lower' ? 'upper' : 'lower',
      gates: name === lock.name ? 'open' : 'shut',
    })),
    limit_s: PASSAGE_LIMIT_S * through.length,
  };
  const input = toRunInput(file);
  return input.ok ? success(file) : input;
}
