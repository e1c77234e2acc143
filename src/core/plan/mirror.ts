import { CUES, isGroup, type Cue, type SimpleCue } from './cues';
import { EXPECTATIONS, type Expectation } from './expectations';
import { ORDERS, type Order } from './orders';
import type { Parameter, Parameters } from './parameters';
import type { LineEnd, MarkOnPlace, PointOnBoat } from './references';
import type { Plan, PlanStep, TimedOrder } from './types';

/** A place seen in the mirror, east for west; one on another boat to its other side. */
export const mirroredMark = <T extends MarkOnPlace>(mark: T): T =>
  mark.boat ? { ...mark, y: -mark.y } : { ...mark, x: -mark.x };

export const mirroredPoint = <T extends Pick<PointOnBoat, 'y'>>(point: T): T => ({
  ...point,
  y: -point.y,
});

const OTHER_SIDE: Readonly<Record<string, string>> = {
  port: 'starboard',
  starboard: 'port',
  left: 'right',
  right: 'left',
};

/** The value of a parameter in the mirror, by its kind. Whoever and whatever has a name or a number keeps it. */
function mirroredValue(p: Parameter, value: unknown): unknown {
  if (value === null || value === undefined) return value;
  switch (p.kind) {
    case 'heading':
      return -(value as number);
    case 'angle':
    case 'distance':
    case 'share':
      return p.lateral ? -(value as number) : value;
    case 'choice':
      return p.sides ? (OTHER_SIDE[value as string] ?? value) : value;
    case 'mark':
      return mirroredMark(value as MarkOnPlace);
    case 'lineEnd': {
      const end = value as LineEnd;
      return { ...mirroredMark(end), tail: end.tail && mirroredMark(end.tail) };
    }
    case 'point':
    case 'anyPoint':
      return mirroredPoint(value as PointOnBoat);
    default:
      return value;
  }
}

function mirrored<T extends object>(part: T, parameters: Parameters): T {
  const now = { ...part } as Record<string, unknown>;
  for (const [name, p] of Object.entries(parameters))
    if (name in now) now[name] = mirroredValue(p, now[name]);
  return now as T;
}

export const mirroredOrder = (order: Order): Order => mirrored(order, ORDERS[order.do].parameters);
const mirroredSimple = (cue: SimpleCue): SimpleCue => mirrored(cue, CUES[cue.is].parameters);
export const mirroredCue = (cue: Cue): Cue =>
  isGroup(cue) ? { ...cue, of: cue.of.map(mirroredSimple) } : mirroredSimple(cue);
export const mirroredExpectation = (expected: Expectation): Expectation =>
  mirrored(expected, EXPECTATIONS[expected.is].parameters);

const mirroredTimed = (timed: TimedOrder): TimedOrder => ({
  ...timed,
  order: mirroredOrder(timed.order),
});

const mirroredStep = (step: PlanStep): PlanStep => ({
  ...step,
  cue: mirroredCue(step.cue),
  orders: step.orders.map(mirroredTimed),
  expect: step.expect.map(mirroredExpectation),
  wayOut: {
    ...step.wayOut,
    orders: step.wayOut.orders.map(mirroredTimed),
    ...(step.wayOut.again
      ? { again: { ...step.wayOut.again, cue: mirroredCue(step.wayOut.again.cue) } }
      : {}),
  },
});

/** The same plan with port for starboard, on a place with east for west. */
export const mirroredPlan = ({ steps, end }: Plan): Plan => ({
  steps: steps.map(mirroredStep),
  end: { ...end, cue: mirroredCue(end.cue) },
});
