import {
  ARRIVED_MPS,
  usualLimitFor,
  LIES_NEAR_LENGTHS,
  LIES_OFF_M,
  LIES_TRUE_DEG,
  CLEAR_BEAMS,
  CLEAR_LENGTHS,
  ROUND_LENGTHS,
} from '@/core/policy';
import { z } from 'zod';
import { cos, sin } from '@/core/math';
import { namedPoints } from '@/document/boat-spec';
import { groundOf, lyingIn, startFor, stuckIn, type Lying } from '../berths';
import type { Boat } from '@/document/boat';
import { conditionsSchema, type Conditions } from '@/document/conditions';
import { degrees, id, shortText, SIDES } from '@/document/fields';
import { MANOEUVRE_SCHEMA, type ManoeuvreFile } from '@/document/manoeuvre';
import { MANOEUVRE_VERSION } from '@/document/manoeuvre-migrations';
import { endTo, type Berth, type Place } from '@/document/place';
import { failure, success, type Result } from '@/document/result';
import { meanLevel } from '@/document/tide';

/** Coming in to a berth, going out of it, or half a turn in the water before it. */
export const GOINGS = ['in', 'out', 'round'] as const;
export type Going = (typeof GOINGS)[number];

/** What is asked for when a manoeuvre is begun in a boat and a place that are kept. */
export const beginSchema = z.strictObject({
  title: shortText,
  boatId: id,
  placeId: id,
  berthId: id,
  side: z.enum(SIDES, { error: "say 'port' or 'starboard'" }),
  going: z.enum(GOINGS, { error: "say 'in', 'out' or 'round'" }),
  conditions: conditionsSchema,
});
export type Begin = z.infer<typeof beginSchema>;

/** The same with boat and place at hand, and the id it is to have. */
export interface BeginWish extends Omit<Begin, 'boatId' | 'placeId'> {
  readonly boat: Boat;
  readonly place: Place;
  readonly id: string;
}

/** A mark this near the middle of a berth stands for it, m. */
const AT_THE_MIDDLE_M = 1;

/** What a helm calls the middle of a berth: the mark there is, or the berth itself. */
function markOf(place: Place, { name, edge_m: [[ax, ay], [bx, by]] }: Berth): string {
  const found = place.features.find(
    (f) =>
      (f.kind === 'mark' || f.kind === 'bollard') &&
      Math.hypot(f.x_m - (ax + bx) / 2, f.y_m - (ay + by) / 2) < AT_THE_MIDDLE_M,
  );
  return found?.name ?? name;
}

/** Of the points along a side of a boat the one that is abreast of the middle of its berth as it lies there: amidships where it lies in the middle. */
function pointAtMiddle(
  boat: Boat,
  side: 'port' | 'starboard',
  { x, y, heading }: Lying,
  { edge_m: [[ax, ay], [bx, by]] }: Berth,
): { readonly name: string; readonly off: number } {
  const ahead = ((ax + bx) / 2 - x) * sin(heading) + ((ay + by) / 2 - y) * cos(heading);
  const midship = `${side} midship cleat`;
  const along = namedPoints(boat).filter(({ name }) => name.startsWith(side));
  const off = (at: number) => Math.abs(at - ahead);
  const nearer = (name: string, at: number) => off(at) + (name === midship ? 0 : 0.5);
  const nearest = along.toSorted((a, b) => nearer(a.name, a.x) - nearer(b.name, b.x))[0];
  return nearest ? { name: nearest.name, off: off(nearest.x) } : { name: midship, off: 0 };
}

const compass = (radians: number) => Math.round((degrees(radians) + 720) % 360);

/** Where there is a tide its nought is the lowest water: a manoeuvre does not begin there unasked. */
export const withMeanLevel = (conditions: Conditions, { tide }: Place): Conditions =>
  tide && !conditions.level
    ? { ...conditions, level: [{ at_s: 0, level_m: meanLevel(tide) }] }
    : conditions;

/** What every manoeuvre that is begun has alike: its title, and nothing in its plan but to stay in neutral. */
export function begun({
  id,
  title,
  boat,
  place,
}: Pick<BeginWish, 'id' | 'title' | 'boat' | 'place'>): Omit<
  ManoeuvreFile,
  'conditions' | 'start' | 'goal' | 'berth' | 'limit_s'
> {
  return {
    $schema: MANOEUVRE_SCHEMA,
    version: MANOEUVRE_VERSION,
    id,
    title,
    note: '',
    boat,
    place,
    others: [],
    locks: [],
    plan: {
      steps: [
        {
          id: 'begin',
          title: 'in neutral',
          cue: { is: 'start' },
          within_s: 5,
          orders:
            boat.drives.length > 0
              ? [{ do: 'engine', after_s: 0, gear: 'neutral', throttle: 0 }]
              : [],
          expect: [],
          wayOut: { note: '', automatic: false, orders: [] },
        },
      ],
      end: { cue: { is: 'after', time_s: 20 }, within_s: 60 },
      lines: [],
      crew: [],
      fenders: [],
    },
    dismissed: [],
    ready: [],
  };
}

/** A manoeuvre for a berth with start and goal, and nothing yet in its plan but to stay in neutral. */
export function beginManoeuvre(wish: BeginWish): Result<ManoeuvreFile> {
  const { boat, place, berthId, side, going } = wish;
  const conditions = withMeanLevel(wish.conditions, place);
  const berth = place.berths.find((b) => b.id === berthId);
  if (!berth)
    return failure({
      path: 'berthId',
      message: `the place has no berth '${berthId}'; choose one of its own`,
    });
  const lying = lyingIn(place, berth, boat, side);
  const ground = groundOf(boat, place);
  const stuck = going === 'round' ? null : stuckIn(ground, lying);
  if (stuck)
    return failure({
      path: 'boat',
      message: `the boat would lie ${stuck.deep_m.toFixed(1)} m inside '${stuck.name}' in '${berth.name}'; choose a berth with more room, or a smaller boat`,
    });
  const { length_m, beam_m } = boat.hull;
  const here = {
    x_m: Math.round(lying.x * 100) / 100,
    y_m: Math.round(lying.y * 100) / 100,
    heading_deg: compass(lying.heading),
    speed_mps: 0,
  };
  const start = going === 'out' ? here : startFor(ground, lying, conditions);
  if (!start)
    return failure({
      path: 'boat',
      message: `there is no clear water to come from to '${berth.name}' for a boat of ${length_m} by ${beam_m} m; choose another berth or a smaller boat`,
    });
  const within = Math.round(Math.max(1.2, LIES_NEAR_LENGTHS * length_m) * 10) / 10;
  const end = endTo(berth);
  const lain = end ? { name: end, off: 0 } : pointAtMiddle(boat, side, lying, berth);
  const lie = (point: string, within_m: number, heading_deg: number, speedBelow_mps: number) => ({
    is: 'lie' as const,
    point,
    mark: markOf(place, berth),
    within_m,
    heading_deg,
    headingWithin_deg: LIES_TRUE_DEG,
    speedBelow_mps,
  });
  const far = Math.hypot(start.x_m - here.x_m, start.y_m - here.y_m);
  const goal: ManoeuvreFile['goal'] =
    going === 'in'
      ? lie(
          lain.name,
          Math.round(10 * (within + Math.max(0, lain.off - LIES_OFF_M))) / 10,
          here.heading_deg,
          ARRIVED_MPS,
        )
      : going === 'round'
        ? lie(
            'midships',
            Math.min(500, Math.round(far + ROUND_LENGTHS * length_m)),
            (start.heading_deg + 180) % 360,
            2 * ARRIVED_MPS,
          )
        : {
            is: 'clear',
            distance_m:
              Math.round(
                10 * (berth.kind !== 'alongside' ? CLEAR_LENGTHS * length_m : CLEAR_BEAMS * beam_m),
              ) / 10,
          };
  return success({
    ...begun(wish),
    conditions,
    start: going === 'round' ? { ...start, speed_mps: 0 } : start,
    goal,
    berth:
      going === 'round' ? [] : berth.on.filter((on) => place.features.some((f) => f.id === on)),
    limit_s: usualLimitFor(length_m),
  });
}
