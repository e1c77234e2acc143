import { assembleCraft, type Craft } from '@/core/boat';
import { shoreOf, solidObstacle, type Obstacle, type Shore } from '@/core/holding';
import { cos, seriesAt, sin } from '@/core/math';
import type { Cue, Expectation, Goal, Order, RunInput, TimedOrder } from '@/core/plan';
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
import type { CueDocument, ExpectationDocument, OrderDocument } from './plan';

/** Overlap at the start that is put down to rounding or a squeezed fender, m. */
const START_OVERLAP_M = 0.1;

function cue(document: CueDocument, names: Names, path: string): Cue {
  switch (document.is) {
    case 'stopped': {
      const boat = names.boat(document.boat, path);
      return boat === 0 ? { is: 'stopped' } : { is: 'stopped', boat };
    }
    case 'start':
    case 'sternway':
      return { is: document.is };
    case 'after':
      return { is: 'after', time: document.time_s };
    case 'heading':
      return { is: 'heading', heading: radians(document.heading_deg) };
    case 'turned':
      return { is: 'turned', by: radians(document.by_deg) };
    case 'speed': {
      const { over, compare, speed_mps } = document;
      return { is: 'speed', over, compare, speed: speed_mps };
    }
    case 'abeam':
    case 'within': {
      const point = names.pointOfAny(document.point, path);
      const mark = names.mark(document.mark, path);
      if (document.is === 'abeam') return { is: 'abeam', point, mark };
      return { is: 'within', point, mark, distance: document.distance_m };
    }
    case 'line':
      return { is: 'line', line: names.line(document.line, path), state: document.state };
    case 'crew':
      return { is: 'crew', who: names.somebody(document.who, path), where: document.where };
    case 'lock':
      return { is: 'lock', lock: names.lock(document.lock, path), state: document.state };
    case 'any':
    case 'all':
      return { is: document.is, of: document.of.map((c, i) => cue(c, names, `${path}.of[${i}]`)) };
  }
}

const GEARS = { ahead: 1, neutral: 0, astern: -1 } as const;

/** An order as the core gives it; names that lead nowhere are noted in `names`. */
export function toOrder(document: OrderDocument, names: Names, path: string): TimedOrder {
  const after = document.after_s;
  switch (document.do) {
    case 'wheel':
      names.helm(path);
      return { after, order: { do: 'wheel', angle: radians(document.angle_deg) } };
    case 'steer':
      names.helm(path);
      return { after, order: { do: 'steer', heading: radians(document.heading_deg) } };
    case 'steerFor':
      names.helm(path);
      return {
        after,
        order: {
          do: 'steerFor',
          mark: names.mark(document.mark, path),
          first: document.first,
        },
      };
    case 'engine':
      return {
        after,
        order: {
          do: 'engine',
          engine: names.engine(document.engine, path),
          gear: GEARS[document.gear],
          throttle: document.throttle,
        },
      };
    case 'thruster':
      return {
        after,
        order: {
          do: 'thruster',
          thruster: names.thruster(document.thruster, path),
          power: document.power,
        },
      };
    case 'joystick': {
      names.joystick(path);
      const { ahead, sideways, twist } = document;
      return { after, order: { do: 'joystick', surge: ahead, sway: sideways, yaw: twist } };
    }
    case 'call':
      return { after, order: { do: 'call', text: document.text } };
    case 'pass':
      return {
        after,
        order: {
          do: 'pass',
          line: names.rope(document.line, path),
          by: names.handOn(document.line, document.by, path),
          mark: names.lineEnd(document.to, path),
          how: document.how,
          length: document.length_m ?? null,
        },
      };
    case 'tend': {
      const { how, turns, winch } = document;
      const line = names.line(document.line, path);
      const by = names.handOn(document.line, document.by, path);
      const length = document.length_m ?? null;
      return { after, order: { do: 'tend', line, by, how, length, turns, winch } };
    }
    case 'letGo': {
      const line = names.rope(document.line, path);
      return {
        after,
        order: { do: 'letGo', line, by: names.handOn(document.line, document.by, path) },
      };
    }
    case 'anchor': {
      const { how } = document;
      const line = names.anchor(document.line, path);
      const by = names.handOn(document.line, document.by, path);
      return { after, order: { do: 'anchor', line, by, how, length: document.length_m ?? null } };
    }
    case 'stepAshore': {
      const by = names.person(document.by, path) ?? 0;
      return { after, order: { do: 'stepAshore', by, mark: names.mark(document.mark, path) } };
    }
    case 'stepAboard':
    case 'go': {
      const by = names.person(document.by, path) ?? 0;
      return { after, order: { do: document.do, by, point: names.point(document.point, path) } };
    }
    case 'paddle':
    case 'gates':
      return { after, order: lockOrder(document, names, path) };
    case 'signal':
      return { after, order: { do: 'signal' } };
    case 'other': {
      const { gear, throttle, heading_deg } = document;
      const boat = names.boat(document.boat, path);
      const heading = heading_deg === undefined ? null : radians(heading_deg);
      const mark = document.mark === undefined ? undefined : names.mark(document.mark, path);
      return { after, order: { do: 'other', boat, gear: GEARS[gear], throttle, heading, mark } };
    }
  }
}

function lockOrder(
  document: Extract<OrderDocument, { do: 'paddle' | 'gates' }>,
  names: Names,
  path: string,
): Order {
  const lock = names.lock(document.lock, path);
  const by = names.person(document.by, path);
  if (document.do === 'paddle') {
    const paddle = names.paddle(document.lock, document.paddle, path);
    return { do: 'lock', lock, by, order: { do: 'wind', paddle, to: document.to } };
  }
  const { end, to, leaf } = document;
  const one = leaf === 'both' ? {} : { leaf };
  return { do: 'lock', lock, by, order: { do: 'gates', end, to, ...one } };
}

function expectation(document: ExpectationDocument, names: Names, path: string): Expectation {
  const at = document.at === 'next' ? 'next' : ({ after: document.at.after_s } as const);
  switch (document.is) {
    case 'heading':
      return {
        is: 'heading',
        at,
        heading: radians(document.heading_deg),
        within: radians(document.within_deg),
      };
    case 'speed':
      return {
        is: 'speed',
        at,
        over: document.over,
        least: document.least_mps,
        most: document.most_mps,
      };
    case 'turning':
      return { is: 'turning', at, to: document.to };
    case 'clear':
      return { is: 'clear', at, least: document.least_m };
    case 'line':
      return { is: 'line', at, line: names.line(document.line, path), state: document.state };
    case 'near':
      return {
        is: 'near',
        at,
        point: names.pointOfAny(document.point, path),
        mark: names.mark(document.mark, path),
        within: document.within_m,
      };
  }
}

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
function startProblems(input: RunInput, craft: Craft, shore: Shore): Problem[] {
  const { start, others = [] } = input;
  const boats = [{ name: 'the boat', craft, start, path: 'start' }].concat(
    others.map((other, i) => ({ ...other, name: `'${other.name}'`, path: `others[${i}].start` })),
  );
  return boats.flatMap((boat, i) => {
    // Those that were put there before her are in her way; she is in nobody's.
    const before = shoreOf([
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
export function withBoats({ obstacles, others = [] }: RunInput): Shore {
  const boats = others.map(({ id, name, craft, start }) => outlineOf(id, name, craft, start));
  return shoreOf([...obstacles, ...boats]);
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
      cue: cue(step.cue, names, `${path}.cue`),
      within: step.within_s,
      orders: step.orders.map((o, k) => toOrder(o, names, `${path}.orders[${k}]`)),
      expect: step.expect.map((e, k) => expectation(e, names, `${path}.expect[${k}]`)),
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
  const shore = shoreOf(withoutDrawnLeaves(toObstacles(file.place), file.place, locks));
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
      end: { cue: cue(end.cue, names, 'plan.end.cue'), within: end.within_s },
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
