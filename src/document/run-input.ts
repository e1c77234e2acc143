import { assembleCraft, type Craft } from '@/core/boat';
import { obstacleSetOf, solidObstacle, type Obstacle, type ObstacleSet } from '@/core/holding';
import { cos, seriesAt, sin } from '@/core/math';
import type { Goal, RunInput } from '@/core/plan';
import { roomAt } from '@/core/search';
import { leastUnder } from '@/core/simulation';
import { toBoatSpec, withFenders } from './boat-spec';
import { toWeather } from './conditions';
import { radians } from './fields';
import type { GoalDocument, ManoeuvreFile } from './manoeuvre';
import { Names } from './names';
import { bridgesOf, zonesOf } from './areas';
import { workedLocks } from './worked-locks';
import { withoutDrawnLeaves, withPounds } from './lock-sites';
import { laddersOf, toObstacles } from './place';
import { failure, success, type Problem, type Result } from './result';
import { toRigging } from './rigging-input';
import { toCue, toExpectation, toOrder } from './plan-input';

/** Overlap at the start that is put down to rounding or a squeezed fender, m. */
const START_OVERLAP_M = 0.1;

function goal(document: GoalDocument, names: Names): Goal {
  if (document.is === 'clear') return { is: 'clear', distance: document.distance_m };
  if (document.is === 'through')
    return { is: 'through', lock: names.lock(document.lock, 'goal'), by: document.by };
  return {
    is: 'lie',
    point: names.point(document.point, 'goal'),
    mark: names.mark(document.mark, 'goal'),
    within: document.within_m,
    heading: radians(document.heading_deg),
    headingWithin: radians(document.headingWithin_deg),
    speedBelow: document.speedBelow_mps,
  };
}

/** Names and ids of other boats that the place has given to something else. */
function takenNames({ place, others }: ManoeuvreFile): Problem[] {
  const things = [...place.features, ...place.berths];
  return others.flatMap((other, i) =>
    (['id', 'name'] as const).flatMap((key) => {
      if (!things.some((thing) => thing[key] === other[key])) return [];
      const message = `'${other[key]}' is the ${key} of something of the place; give the other boat another`;
      return [{ path: `others[${i}].${key}`, message }];
    }),
  );
}

/** Does a boat begin inside something, or inside another boat? */
function startProblems(input: RunInput, craft: Craft, shore: ObstacleSet): Problem[] {
  const { start, others = [] } = input;
  const boats = [{ name: 'the boat', craft, start, path: 'start' }].concat(
    others.map((other, i) => ({ ...other, name: `'${other.name}'`, path: `others[${i}].start` })),
  );
  return boats.flatMap((boat, i) => {
    // Those that were put there before her are in her way; she is in nobody's.
    const before = obstacleSetOf([
      ...shore.obstacles,
      ...boats.slice(0, i).map(({ name, craft: of, start: at }) => outlineOf(name, name, of, at)),
    ]);
    const { x, y, heading } = boat.start;
    const found = roomAt(boat.craft, i === 0 ? shore : before, new Set(), x, y, heading);
    if (found.distance >= -START_OVERLAP_M) return [];
    const named = before.obstacles[found.obstacle]!.name;
    const what = found.obstacle < shore.count ? `'${named}'` : named;
    const deep = (-found.distance).toFixed(1);
    const message = `${boat.name} starts ${deep} m inside ${what}; move the start`;
    return [{ path: boat.path, message }];
  });
}

/** Has every boat water under her where she begins? */
function shoalProblems(
  { start, others = [], weather, locks = [] }: RunInput,
  craft: Craft,
): Problem[] {
  const now = locks.length > 0 ? { locks, states: locks.map(({ begins }) => begins) } : null;
  const { bottom = null, depth = Infinity, level = null } = weather;
  const boats = [{ name: 'the boat', craft, start, path: 'start' }].concat(
    others.map((other, i) => ({ ...other, name: `'${other.name}'`, path: `others[${i}].start` })),
  );
  return boats.flatMap((boat) => {
    const under = leastUnder(boat.craft, { bottom, depth, level }, boat.start, 0, now);
    if (under >= 0) return [];
    const message = `${boat.name} starts aground, ${(-under).toFixed(1)} m too little water; move the start or take another hour`;
    return [{ path: boat.path, message }];
  });
}

/** What stands there with the other boats where they lie at the start, as things in one another's way. */
export function withBoats({ obstacles, others = [] }: RunInput): ObstacleSet {
  const boats = others.map(({ id, name, craft, start }) => outlineOf(id, name, craft, start));
  return obstacleSetOf([...obstacles, ...boats]);
}

/** A boat's deck where she lies at the start. */
function outlineOf(
  id: string,
  name: string,
  { spec }: Craft,
  { x, y, heading }: RunInput['start'],
): Obstacle {
  const s = sin(heading);
  const c = cos(heading);
  const { deck } = spec.hull;
  const points = new Float64Array(deck.length);
  for (let i = 0; i < deck.length; i += 2) {
    points[i] = x + deck[i]! * s + deck[i + 1]! * c;
    points[i + 1] = y + deck[i]! * c - deck[i + 1]! * s;
  }
  return solidObstacle(id, name, points, { friction: 0, stiffness: 1 });
}

/** Turns a checked manoeuvre into what the core runs; names that lead nowhere are problems. */
export function toRunInput(asKept: ManoeuvreFile): Result<RunInput> {
  const worked = asKept.locks.map(({ lock }) => lock);
  const file = { ...asKept, place: withPounds(asKept.place, worked) };
  const names = new Names(file);
  const steps = file.plan.steps.map((step, i) => {
    const path = `plan.steps[${i}]`;
    return {
      id: step.id,
      cue: toCue(step.cue, names, `${path}.cue`),
      within: step.within_s,
      orders: step.orders.map((o, k) => toOrder(o, names, `${path}.orders[${k}]`)),
      expect: step.expect.map((e, k) => toExpectation(e, names, `${path}.expect[${k}]`)),
      wayOut: {
        automatic: step.wayOut.automatic,
        orders: step.wayOut.orders.map((o, k) => toOrder(o, names, `${path}.wayOut.orders[${k}]`)),
      },
    };
  });
  const { end } = file.plan;
  const craft = assembleCraft(toBoatSpec(withFenders(file.boat, file.plan.fenders)));
  const weather = toWeather(file.conditions, file.place);
  const below = weather.level ? seriesAt(weather.level, 0) : 0;
  const locks = workedLocks(file, names, below);
  const shore = obstacleSetOf(withoutDrawnLeaves(toObstacles(file.place), file.place, locks));
  const { lines, where, rigging } = toRigging(file, craft, names, locks);
  const others = file.others.map(({ id, name, boat, start }, i) => ({
    id,
    name,
    craft: assembleCraft(toBoatSpec(boat)),
    start: { x: start.x_m, y: start.y_m, heading: radians(start.heading_deg), speed: 0 },
    lines: lines[i + 1]!,
  }));
  const input: RunInput = {
    boat: craft.spec,
    ...(lines[0]!.count > 0 ? { lines: lines[0]! } : {}),
    ...(others.length > 0 ? { others, where } : {}),
    ...(where.length > 0 || rigging.crew.length > 0 ? { rigging } : {}),
    obstacles: shore.obstacles,
    bridges: bridgesOf(file.place.areas),
    ladders: laddersOf(file.place),
    zones: zonesOf(file.place.areas),
    craft,
    shore,
    weather,
    ...(locks.length > 0 ? { locks } : {}),
    start: {
      x: file.start.x_m,
      y: file.start.y_m,
      heading: radians(file.start.heading_deg),
      speed: file.start.speed_mps,
    },
    plan: {
      steps,
      end: { cue: toCue(end.cue, names, 'plan.end.cue'), within: end.within_s },
    },
    goal: goal(file.goal, names),
    berth: new Set(file.berth),
    limit: file.limit_s,
  };
  const known = new Set([...input.obstacles, ...others].map((o) => o.id));
  const strayBerths = file.berth.flatMap((id, i) =>
    known.has(id) ? [] : [{ path: `berth[${i}]`, message: `the place has nothing called '${id}'` }],
  );
  const problems = [
    ...names.problems,
    ...strayBerths,
    ...takenNames(file),
    ...startProblems(input, craft, shore),
    ...shoalProblems(input, craft),
  ];
  return problems.length > 0 ? failure(...problems) : success(input);
}
