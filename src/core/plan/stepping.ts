import { halfBreadthAt } from '../boat';
import { nearestOnPolygon } from '../math';
import {
  STEP_OVER_S,
  WALKS_ABOARD_MPS,
  STEP_WAITS_S,
  LOOKS_S,
  STEP_GAP_M,
  STEP_UP_M,
  CLIMBS_MPS,
  ON_LADDER_S,
  STEP_SPEED_MPS,
  PROPELLER_ROOM_M,
  WALKS_ASHORE_MPS,
} from '../policy';
import { groundSpeed, pointAboard, pointOnWater, type SimState, type World } from '../simulation';
import type { CrewEvent } from './event-names';
import { between, type CrewMember, type Job } from './crew-member';
import { markNow } from './marks';
import { footings, type Ashore, type Footing } from './on-foot';
import type { MarkOnPlace, PointOnBoat } from './references';

// Steps ashore and aboard: over a gap the boat lies still beside, no higher than one steps, or by a ladder.

/** What steps need to know of the boat, and to tell. */
export interface Rails {
  readonly state: SimState;
  readonly world: World;
  readonly now: number;
  inDanger: boolean;
  helmManned(): boolean;
  leave(member: CrewMember, to: PointOnBoat): void;
  tailLies(member: CrewMember, to: Ashore): void;
  walkAshore(member: CrewMember, mark: MarkOnPlace): Generator<number, boolean>;
  tellCrew(member: CrewMember, what: CrewEvent): void;
}

/** Where one steps, and how one gets there from ashore. */
interface Stepped {
  readonly point: PointOnBoat;
  readonly footing: Footing;
}

function propellerNear({ world, state }: Rails, point: PointOnBoat): boolean {
  return world.craft.spec.drives.some(
    (drive, i) => state.engines[i]!.engaged !== 0 && between(drive, point) < PROPELLER_ROOM_M,
  );
}

function lookForPropeller(
  at: Rails,
  member: CrewMember,
  point: PointOnBoat,
  before: boolean,
): void {
  if (!before && !propellerNear(at, point)) return;
  at.inDanger = true;
  at.tellCrew(member, 'in danger');
}

/** Where one stands, and the deck's edge abreast of that on either side: who is to step walks to the one that is near. */
function railsBeside({ world }: Rails, point: PointOnBoat): readonly PointOnBoat[] {
  const half = halfBreadthAt(world.craft.spec.hull.deck, point.x);
  return [point, { ...point, y: -half }, { ...point, y: half }];
}

/** The deck's edge by each ladder the boat lies within a step of. */
function railsByLadders({ world, state }: Rails): readonly PointOnBoat[] {
  const near = { x: 0, y: 0, distance: Infinity };
  return (world.ladders ?? []).flatMap(({ name, x, y }) => {
    const there = pointAboard(state, x, y);
    nearestOnPolygon(near, world.craft.spec.hull.deck, there.x, there.y);
    return near.distance > STEP_GAP_M ? [] : [{ name, x: near.x, y: near.y }];
  });
}

/** The nearest of the ways to step at one of some points; null where there is none. */
function bestOf(
  { world, state }: Rails,
  points: readonly PointOnBoat[],
  from: (point: PointOnBoat) => Ashore,
  high: number,
): Stepped | null {
  for (const point of points) {
    const here = pointOnWater(state, point.x, point.y);
    const found = footings(world, state, from(point), here, STEP_GAP_M, high);
    if (found.length === 0) continue;
    const footing = found.reduce((a, b) => (b.way + b.climb < a.way + a.climb ? b : a));
    return { point, footing };
  }
  return null;
}

/** Waits until one can step at one of some points, or by a ladder: near enough, slow enough, and from where one can get to on foot. */
function* untilSteppable(
  at: Rails,
  member: CrewMember,
  points: readonly PointOnBoat[],
  from: (point: PointOnBoat) => Ashore,
): Generator<number, Stepped | null> {
  const deadline = at.now + STEP_WAITS_S;
  const slow = () => groundSpeed(at.state, at.world) <= STEP_SPEED_MPS;
  const look = (high: number) => {
    const there = [...points, ...railsByLadders(at)];
    return slow() ? bestOf(at, there, from, high) : null;
  };
  let found = look(STEP_UP_M);
  while (!found) {
    if (at.now >= deadline) {
      at.tellCrew(member, look(Infinity) ? 'too high to step' : 'could not step');
      return null;
    }
    yield at.now + LOOKS_S;
    found = look(STEP_UP_M);
  }
  const before = propellerNear(at, found.point);
  yield at.now + STEP_OVER_S;
  lookForPropeller(at, member, found.point, before);
  return found;
}

/** Up or down a ladder. */
function* climb(
  at: Rails,
  member: CrewMember,
  { point, footing }: Stepped,
): Generator<number, void> {
  if (footing.climb === 0) return;
  at.tellCrew(member, 'on a ladder');
  yield at.now + ON_LADDER_S + footing.climb / CLIMBS_MPS;
  lookForPropeller(at, member, point, false);
}

/** Steps, or climbs, on to what the boat lies by; tells whether they got there. */
export function* getAshore(at: Rails, member: CrewMember): Generator<number, boolean> {
  if (!member.at?.aboard) {
    at.tellCrew(member, 'not there');
    return false;
  }
  const { point } = member.at;
  // Whatever the boat lies against will do.
  const beside = ({ x, y }: PointOnBoat) => pointOnWater(at.state, x, y);
  const found = yield* untilSteppable(at, member, railsBeside(at, point), beside);
  if (!found) return false;
  yield at.now + between(point, found.point) / WALKS_ABOARD_MPS;
  const manned = at.helmManned();
  at.leave(member, { name: '', x: Infinity, y: Infinity });
  yield* climb(at, member, found);
  member.at = { aboard: false, mark: { name: '', ...beside(found.point) } };
  at.tellCrew(member, 'ashore');
  if (manned && !at.helmManned()) at.tellCrew(member, 'helm left');
  return true;
}

export function* stepAshore(at: Rails, member: CrewMember, mark: MarkOnPlace): Job {
  if (yield* getAshore(at, member)) yield* at.walkAshore(member, mark);
}

export function* stepAboard(at: Rails, member: CrewMember, point: PointOnBoat): Job {
  if (!member.at || member.at.aboard) return at.tellCrew(member, 'not there');
  const { mark } = member.at;
  const from = () => markNow(at.state, mark);
  const here = pointOnWater(at.state, point.x, point.y);
  const soon = bestOf(at, [...railsBeside(at, point), ...railsByLadders(at)], from, STEP_UP_M);
  yield at.now + (soon?.footing.way ?? between(from(), here)) / WALKS_ASHORE_MPS;
  const found = yield* untilSteppable(at, member, railsBeside(at, point), from);
  if (!found) return;
  at.tailLies(member, pointOnWater(at.state, found.point.x, found.point.y));
  yield* climb(at, member, found);
  member.at = { aboard: true, point: found.point };
  at.tellCrew(member, 'aboard');
  if (found.point === point) return;
  yield at.now + between(found.point, point) / WALKS_ABOARD_MPS;
  member.at = { aboard: true, point };
  at.tellCrew(member, 'at');
}
