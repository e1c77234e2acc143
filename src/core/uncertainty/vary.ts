import { assembleCraft, type BoatSpec } from '../boat';
import { LINE, LINE_COLUMNS, MADE } from '../holding';
import { cos, sin } from '../math';
import {
  cueDefinition,
  EXPECTATIONS,
  ORDERS,
  isGroup,
  type Cue,
  type Parameters,
  type Plan,
  type RunInput,
  type SimpleCue,
  type TimedOrder,
} from '../plan';
import { CALLER, LIES_AT_START_MPS } from '../policy';
import type { Weather } from '../simulation';
import type { Draw, Judged } from './draw';

/** Less wind than this is a calm, m/s. */
const CALM_MPS = 0.05;
/** Offsets of the start are those of a boat this long or shorter; of a longer one they grow with it, m. */
const USUAL_LENGTH_M = 12;

/** A boat as one draw has it. */
export function variedBoat(boat: BoatSpec, draw: Draw): BoatSpec {
  const { thrust, thrustAstern, propWalk, windForce, windCentre, hullDrag } = draw;
  const { hull, windage } = boat;
  return {
    ...boat,
    drives: boat.drives.map((drive) => ({
      ...drive,
      bollardThrust: drive.bollardThrust * thrust,
      asternEfficiency: drive.asternEfficiency * thrustAstern,
      walkAstern: drive.walkAstern * propWalk,
      walkAhead: drive.walkAhead * propWalk,
    })),
    windage: {
      ...windage,
      frontalDrag: windage.frontalDrag * windForce,
      sternDrag: windage.sternDrag * windForce,
      sideDrag: windage.sideDrag * windForce,
      centreX: windage.centreX + windCentre * hull.length,
    },
    hull: {
      ...hull,
      wettedArea: hull.wettedArea * hullDrag,
      residuaryQuadratic: hull.residuaryQuadratic * hullDrag,
      residuarySextic: hull.residuarySextic * hullDrag,
      crossFlowDrag: hull.crossFlowDrag * hullDrag,
    },
  };
}

function variedWeather(weather: Weather, draw: Draw): Weather {
  const calm = weather.windSpeed < CALM_MPS ? draw.calm : null;
  const windSpeed = calm ? calm.speed : weather.windSpeed * draw.windSpeed;
  const { gusts } = draw;
  return {
    ...weather,
    windSpeed,
    windFrom: calm ? calm.from : weather.windFrom + draw.windFrom,
    currentSpeed: weather.currentSpeed * draw.current,
    currentSet: weather.currentSet + draw.currentSet,
    ...(weather.wash ? { wash: { ...weather.wash, times: weather.wash.times * draw.wash } } : {}),
    // Gusts of the day itself stay as strong as they are told, and come otherwise in each run.
    ...(gusts && windSpeed >= CALM_MPS
      ? { gusts: { ...(weather.gusts ?? gusts), seed: gusts.seed } }
      : {}),
  };
}

/** Does it begin from where the boat lies: to go clear of it, or made fast? */
function beginsLying({ start, goal, lines }: RunInput): boolean {
  if (goal.is === 'clear') return true;
  if (!lines || Math.abs(start.speed) >= LIES_AT_START_MPS) return false;
  for (let i = 0; i < lines.count; i++)
    if (!lines.tended || lines.rows[i * LINE_COLUMNS + LINE.MADE] === MADE.FAST) return true;
  return false;
}

function variedStart(input: RunInput, draw: Draw): RunInput['start'] {
  const { start, boat } = input;
  if (!draw.start) return start;
  const { along, across, heading, speed } = draw.start[beginsLying(input) ? 'leaving' : 'arriving'];
  const times = Math.max(1, boat.hull.length / USUAL_LENGTH_M);
  const s = sin(start.heading);
  const c = cos(start.heading);
  return {
    x: start.x + times * (along * s + across * c),
    y: start.y + times * (along * c - across * s),
    heading: start.heading + heading,
    speed: start.speed + speed,
  };
}

/** What a person judges by eye: every distance, angle and speed in it off by so much. */
function byEye<T>(part: T, parameters: Parameters, judged: Judged): T {
  const off = Object.entries(parameters).flatMap(([name, { kind }]) => {
    const value = (part as unknown as Readonly<Record<string, number>>)[name]!;
    if (kind === 'distance') return [[name, value * judged.distance]];
    if (kind === 'angle' || kind === 'heading') return [[name, value + judged.angle]];
    // Nobody judges a speed to be under nought.
    return kind === 'speed' ? [[name, Math.max(0, value + judged.speed)]] : [];
  });
  return { ...part, ...Object.fromEntries(off) } as T;
}

const judgedCue = (cue: SimpleCue, judged: Judged): SimpleCue =>
  byEye(
    cue,
    (cueDefinition(cue) as unknown as { readonly parameters: Parameters }).parameters,
    judged,
  );

/** Does somebody stand at the bow who calls how far it is? */
function isCalled({ rigging, boat }: RunInput): boolean {
  const forward = CALLER.forward * boat.hull.length;
  return rigging?.crew.some(({ at }) => at.aboard && at.point.x >= forward) ?? false;
}

/**
 * A plan as a person carries it out: cues judged by eye, every order late. Which is drawn goes by its place in the plan.
 *
 * @param called does somebody at the bow call distances?
 */
function variedPlan(plan: Plan, draw: Draw, called: boolean): Plan {
  let orders = 0;
  let judgements = 0;
  const judgedBy = (judgement: number): Judged => {
    const by = draw.judged(judgement);
    return called ? { ...by, distance: 1 + CALLER.left * (by.distance - 1) } : by;
  };
  const later = ({ after, order }: TimedOrder): TimedOrder => {
    const definition = ORDERS[order.do];
    const late = draw.late(orders++);
    const timed = { after: after + late, late };
    if (!('byEye' in definition || 'watches' in definition)) return { ...timed, order };
    const judged = judgedBy(judgements++);
    const { distance: eye, angle, speed: fast } = judged;
    const asked = 'byEye' in definition ? byEye(order, definition.parameters, judged) : order;
    const watched = { ...asked, eye, angle, fast, late };
    return { ...timed, order: watched };
  };
  const judged = (cue: Cue): Cue =>
    isGroup(cue)
      ? { ...cue, of: cue.of.map((part) => judgedCue(part, judgedBy(judgements++))) }
      : judgedCue(cue, judgedBy(judgements++));
  const steps = plan.steps.map((step) => ({
    ...step,
    cue: judged(step.cue),
    orders: step.orders.map(later),
  }));
  // Ways out come after: what is drawn of the plan itself does not go by whether it has any.
  return {
    ...plan,
    steps: steps.map((step) => {
      if (!step.wayOut.automatic) return step;
      const { orders: out, again, ...wayOut } = step.wayOut;
      return {
        ...step,
        expect: step.expect.map((expected) =>
          byEye(expected, EXPECTATIONS[expected.is].parameters, judgedBy(judgements++)),
        ),
        wayOut: {
          ...wayOut,
          orders: out.map(later),
          ...(again ? { again: { ...again, cue: judged(again.cue) } } : {}),
        },
      };
    }),
  };
}

/** A manoeuvre's boat and day as one draw has them; start, plan and person as they are told. */
export function variedAround(input: RunInput, draw: Draw): RunInput {
  const { craft, ...rest } = input;
  const { weather, start } = input;
  return {
    ...rest,
    // Whoever handles it knows the boat and the day as they are told.
    told: input.told ?? { craft: craft ?? assembleCraft(input.boat), weather, start },
    boat: variedBoat(input.boat, draw),
    weather: variedWeather(input.weather, draw),
  };
}

/**
 * A manoeuvre as one draw has it: day, boat, start and person otherwise. The only place where a run is varied by a draw.
 * What was made ready of the shore stays; the boat is another.
 */
export function varied(input: RunInput, draw: Draw): RunInput {
  const { locks, rigging, ...rest } = variedAround(input, draw);
  return {
    ...rest,
    start: variedStart(input, draw),
    plan: variedPlan(input.plan, draw, isCalled(input)),
    ...(rigging ? { rigging: { ...rigging, seed: draw.throws ?? rigging.seed } } : {}),
    ...(locks
      ? {
          locks: locks.map((lock) => ({
            ...lock,
            waterTimes: (lock.waterTimes ?? 1) * draw.lockWater,
          })),
        }
      : {}),
  };
}
