import { knownOf } from './known';
import { assembleCraft, type Craft } from '@/core/boat';
import { obstacleSetOf, solidObstacle, type Obstacle, type ObstacleSet } from '@/core/holding';
import { cos, seriesAt, sin } from '@/core/math';
import type { Again, Goal, OtherInput, Plan, RunInput } from '@/core/plan';
import { clearStart } from '@/core/search';
import { leastUnder, type StartPose } from '@/core/simulation';
import { toBoatSpec, withFenders } from './boat-spec';
import { toWeather } from './conditions';
import { radians } from './fields';
import type { GoalDocument, ManoeuvreFile } from './manoeuvre';
import { Names, namedThings } from './names';
import type { PlanDocument } from './plan';
import { bridgesOf, zonesOf } from './areas';
import { workedLocks } from './worked-locks';
import { withoutDrawnLeaves, withPounds } from './lock-sites';
import { laddersOf, toObstacles } from './place';
import { failure, success, type Problem, type Result } from './result';
import { toRigging } from './rigging-input';
import { toCue, toExpectation, toOrder } from './plan-input';

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

/** Boats where they lie as it begins. */
interface AtStart {
  readonly start: StartPose;
  readonly others: readonly Pick<OtherInput, 'name' | 'craft' | 'start'>[];
}

/** Where the boats begin, pushed clear of what they overlap by centimetres; and those that begin inside something, or another boat. */
function clearStarts(
  { start, others }: AtStart,
  craft: Craft,
  shore: ObstacleSet,
): { readonly starts: readonly StartPose[]; readonly problems: readonly Problem[] } {
  const boats = [{ name: 'the boat', craft, start, path: 'start' }].concat(
    others.map((other, i) => ({ ...other, name: `'${other.name}'`, path: `others[${i}].start` })),
  );
  const starts: StartPose[] = [];
  const problems = boats.flatMap((boat, i) => {
    // Those that were put there before the boat are in its way; it is in nobody's.
    const before = obstacleSetOf([
      ...shore.obstacles,
      ...boats.slice(0, i).map(({ name, craft: of }, k) => outlineOf(name, name, of, starts[k]!)),
    ]);
    const found = clearStart(boat.craft, i === 0 ? shore : before, boat.start);
    starts.push(found.is === 'clear' ? found.start : boat.start);
    if (found.is === 'clear') return [];
    const named = (on: number) => {
      const { name } = before.obstacles[on]!;
      return on < shore.count ? `'${name}'` : name;
    };
    const message =
      found.is === 'inside'
        ? `${boat.name} starts ${found.deep.toFixed(1)} m inside ${named(found.on)}; move the start`
        : squeezedText(boat.name, found.between.map(named), found.short);
    return [{ path: boat.path, message }];
  });
  return { starts, problems };
}

function squeezedText(boat: string, between: readonly string[], short: number): string {
  const [a, b] = between as [string, string];
  const where = a === b ? `in ${a}` : `between ${a} and ${b}`;
  return `${boat} starts squeezed ${where}, ${short.toFixed(2)} m too little room for it and its fenders; move the start, or take fenders in`;
}

/** Has every boat water under it where it begins? */
function shoalProblems(
  { start, others, weather, locks }: AtStart & Required<Pick<RunInput, 'weather' | 'locks'>>,
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

/** A boat's deck where it lies at the start. */
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

type AgainDocument = NonNullable<PlanDocument['steps'][number]['wayOut']['again']>;

function roundAgain(
  { step, cue, within_s, times }: AgainDocument,
  steps: PlanDocument['steps'],
  names: Names,
  path: string,
): Again {
  const number = Math.max(
    0,
    steps.findIndex(({ id }) => id === step),
  );
  return { step: number, cue: toCue(cue, names, `${path}.cue`), within: within_s, times };
}

/** A plan's steps and end, with what names they use looked up. */
function planInput({ steps, end }: PlanDocument, names: Names): Plan {
  return {
    steps: steps.map((step, i) => {
      const path = `plan.steps[${i}]`;
      return {
        id: step.id,
        cue: toCue(step.cue, names, `${path}.cue`),
        within: step.within_s,
        orders: step.orders.map((o, k) => toOrder(o, names, `${path}.orders[${k}]`)),
        expect: step.expect.map((e, k) => toExpectation(e, names, `${path}.expect[${k}]`)),
        wayOut: {
          automatic: step.wayOut.automatic,
          orders: step.wayOut.orders.map((o, k) =>
            toOrder(o, names, `${path}.wayOut.orders[${k}]`),
          ),
          ...(step.wayOut.again
            ? { again: roundAgain(step.wayOut.again, steps, names, `${path}.wayOut.again`) }
            : {}),
        },
      };
    }),
    end: { cue: toCue(end.cue, names, 'plan.end.cue'), within: end.within_s },
  };
}

/** The boat with one plan's fenders out, and what is amiss with where it begins. */
interface Fendered {
  readonly key: string;
  readonly craft: Craft;
  /** Where the boat and the others begin. */
  readonly starts: readonly StartPose[];
  readonly problems: readonly Problem[];
}

/** Makes what the core runs of one manoeuvre with any plan; names that lead nowhere are problems. */
export type PreparedRun = (plan: PlanDocument) => Result<RunInput>;

/**
 * A checked manoeuvre made ready to be run with many plans: what place, day, locks and other boats come to is worked out
 * once. The manoeuvre's own plan is not looked at.
 */
export function prepareRun(asKept: ManoeuvreFile): PreparedRun {
  const worked = asKept.locks.map(({ lock }) => lock);
  const file = { ...asKept, place: withPounds(asKept.place, worked) };
  const { place } = file;
  const known = namedThings(file);
  const weather = toWeather(file.conditions, place);
  const below = weather.level ? seriesAt(weather.level, 0) : 0;
  const lockProblems: Problem[] = [];
  const locks = workedLocks(file, { problems: lockProblems }, below);
  const shore = obstacleSetOf(withoutDrawnLeaves(toObstacles(place), place, locks));
  const about = file.others.map(({ id, name, boat, start }) => ({
    id,
    name,
    craft: assembleCraft(toBoatSpec(boat)),
    start: { x: start.x_m, y: start.y_m, heading: radians(start.heading_deg), speed: 0 },
  }));
  const sure = knownOf(file.boat, file.conditions);
  const ground = {
    ...(sure ? { known: sure } : {}),
    obstacles: shore.obstacles,
    bridges: bridgesOf(place.areas),
    ladders: laddersOf(place),
    zones: zonesOf(place.areas),
    shore,
    weather,
    ...(locks.length > 0 ? { locks } : {}),
    start: {
      x: file.start.x_m,
      y: file.start.y_m,
      heading: radians(file.start.heading_deg),
      speed: file.start.speed_mps,
    },
    berth: new Set(file.berth),
    limit: file.limit_s,
  };
  const ids = new Set([...shore.obstacles, ...about].map(({ id }) => id));
  const strayBerths = file.berth.flatMap((id, i) =>
    ids.has(id) ? [] : [{ path: `berth[${i}]`, message: `the place has nothing called '${id}'` }],
  );
  let last: Fendered | null = null;
  const fendered = (fenders: PlanDocument['fenders']): Fendered => {
    const key = JSON.stringify(fenders);
    if (last?.key === key) return last;
    const craft = assembleCraft(toBoatSpec(withFenders(file.boat, fenders)));
    const boats = { start: ground.start, others: about };
    const { starts, problems: inside } = clearStarts(boats, craft, shore);
    const problems = [...inside, ...shoalProblems({ ...boats, weather, locks }, craft)];
    last = { key, craft, starts, problems };
    return last;
  };
  return (plan) => {
    const whole = { ...file, plan };
    const names = new Names(whole, known);
    const looked = planInput(plan, names);
    const { craft, starts, problems: atStart } = fendered(plan.fenders);
    names.problems.push(...lockProblems);
    const { lines, where, rigging } = toRigging(whole, craft, names, locks);
    const others = about.map((other, i) => ({
      ...other,
      start: starts[i + 1]!,
      lines: lines[i + 1]!,
    }));
    const input: RunInput = {
      ...ground,
      start: starts[0]!,
      boat: craft.spec,
      craft,
      ...(lines[0]!.count > 0 ? { lines: lines[0]! } : {}),
      ...(others.length > 0 ? { others, where } : {}),
      ...(where.length > 0 || rigging.crew.length > 0 ? { rigging } : {}),
      plan: looked,
      goal: goal(file.goal, names),
    };
    const problems = [...names.problems, ...strayBerths, ...takenNames(file), ...atStart];
    return problems.length > 0 ? failure(...problems) : success(input);
  };
}

/** Turns a checked manoeuvre into what the core runs. */
export const toRunInput = (file: ManoeuvreFile): Result<RunInput> => prepareRun(file)(file.plan);
