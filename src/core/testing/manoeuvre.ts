import { assembleCraft, type BoatSpec } from '../boat';
import { LINE, LINE_COLUMNS, solidObstacle, type Lines } from '../holding';
import {
  mirroredMark,
  mirroredPlan,
  mirroredPoint,
  type Cue,
  type PlanStep,
  type Rigging,
  type RunInput,
  type TimedOrder,
} from '../plan';
import { sloop } from './boats';
import type { Weather } from '../simulation';
import { bottomOf, type Bottom } from '../water';
import { CALM } from './rig';
import { flipLock } from './locks';

export { box } from './boxes';

const DEG = Math.PI / 180;

export const wheelTo = (angle: number, after = 0): TimedOrder => ({
  after,
  order: { do: 'wheel', angle: angle * DEG },
});

export const engineIn = (gear: -1 | 0 | 1, throttle = 0, after = 0): TimedOrder => ({
  after,
  order: { do: 'engine', engine: null, gear, throttle },
});

export const stepOf = (cue: Cue, orders: TimedOrder[], rest: Partial<PlanStep> = {}): PlanStep => ({
  id: 'b',
  cue,
  within: 120,
  orders,
  expect: [],
  wayOut: { automatic: false, orders: [] },
  ...rest,
});

/** A sloop in calm open water, told what to do. */
export function inputOf(steps: PlanStep[], end: Cue, rest: Partial<RunInput> = {}): RunInput {
  return {
    boat: sloop(),
    obstacles: [],
    weather: CALM,
    start: { x: 0, y: 0, heading: 0, speed: 0 },
    plan: { steps, end: { cue: end, within: 120 } },
    goal: { is: 'clear', distance: 0 },
    berth: new Set(),
    limit: 300,
    ...rest,
  };
}

/** On the place east is turned to west; on another boat starboard to port. */
function flipLines(lines: Lines): Lines {
  const rows = lines.rows.slice();
  for (let at = 0; at < rows.length; at += LINE_COLUMNS) rows[at + LINE.EAST]! *= -1;
  return { ...lines, boatY: lines.boatY.map((y) => -y), rows };
}

function flipRigging(rigging: Rigging): Rigging {
  return {
    ...rigging,
    lines: rigging.lines.map((line) => ({
      ...line,
      from: mirroredPoint(line.from),
      at: mirroredPoint(line.at),
    })),
    helm: rigging.helm && mirroredPoint(rigging.helm),
    crew: rigging.crew.map((person) => ({
      ...person,
      at: person.at.aboard
        ? { aboard: true, point: mirroredPoint(person.at.point) }
        : { aboard: false, mark: mirroredMark(person.at.mark) },
    })),
  };
}

function flipBoat(boat: BoatSpec): BoatSpec {
  return {
    ...boat,
    drives: boat.drives.map((d) => ({ ...d, hand: d.hand === 1 ? -1 : 1, y: -d.y })),
    foils: boat.foils.map(mirroredPoint),
    rudders: boat.rudders.map(mirroredPoint),
    fenders: boat.fenders.map(mirroredPoint),
  };
}

const flipRing = (ring: Float64Array) => ring.map((value, i) => (i % 2 === 0 ? -value : value));

/** Wind, current, shelter and bottom; a current that differs from place to place is not turned round. */
function flipWeather(weather: Weather): Weather {
  const { windbreaks, bottom } = weather;
  return {
    ...weather,
    windFrom: -weather.windFrom,
    currentSet: -weather.currentSet,
    ...(windbreaks
      ? { windbreaks: windbreaks.map((w) => ({ ...w, outline: flipRing(w.outline) })) }
      : {}),
    ...(bottom ? { bottom: flipBottom(bottom) } : {}),
  };
}

function flipBottom({ charted, loose, elsewhere }: Bottom): Bottom {
  const areas = charted.map(({ outline, depth }) => ({ outline: flipRing(outline), depth }));
  const spots = [...loose, ...charted.flatMap(({ soundings }) => soundings)];
  const flipped = spots.map((spot) => ({ ...spot, x: -spot.x }));
  return bottomOf(areas, flipped, elsewhere)!;
}

/** The same mirrored east for west, with a boat whose propellers turn the other way. */
export function mirrored(input: RunInput): RunInput {
  const { goal, start, weather, plan } = input;
  return {
    ...input,
    ...(input.lines ? { lines: flipLines(input.lines) } : {}),
    ...(input.rigging ? { rigging: flipRigging(input.rigging) } : {}),
    ...(input.others
      ? {
          others: input.others.map((other) => ({
            ...other,
            craft: assembleCraft(flipBoat(other.craft.spec)),
            start: { ...other.start, x: -other.start.x, heading: -other.start.heading },
            lines: flipLines(other.lines),
          })),
        }
      : {}),
    boat: flipBoat(input.boat),
    ...(input.ladders ? { ladders: input.ladders.map(mirroredMark) } : {}),
    obstacles: input.obstacles.map((o) => {
      if (!o.outline) return { ...o, x: -o.x, minX: -o.maxX, maxX: -o.minX };
      const outline = o.outline.map((value, i) => (i % 2 === 0 ? -value : value));
      const { friction, stiffness, height } = o;
      const surface = { friction, stiffness };
      return solidObstacle(o.id, o.name, Float64Array.from(outline), surface, height);
    }),
    weather: flipWeather(weather),
    ...(input.bridges
      ? { bridges: input.bridges.map((b) => ({ ...b, outline: flipRing(b.outline) })) }
      : {}),
    ...(input.locks ? { locks: input.locks.map(flipLock) } : {}),
    ...(input.zones
      ? { zones: input.zones.map((z) => ({ ...z, outline: flipRing(z.outline) })) }
      : {}),
    start: { ...start, x: -start.x, heading: -start.heading },
    plan: mirroredPlan(plan),
    goal:
      goal.is === 'lie'
        ? {
            ...goal,
            point: mirroredPoint(goal.point),
            mark: mirroredMark(goal.mark),
            heading: -goal.heading,
          }
        : goal,
  };
}
