import {
  fenderHeight,
  type Brief,
  type FirstLine,
  type HeldBy,
  type StepFrom,
  type StepPlace,
} from '@/core/brief';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { stoppedBy } from '@/core/holding';
import { isDoneBy } from '@/core/plan';
import {
  SPRING_SPEEDS_MPS,
  WALKS_ABOARD_MPS,
  STEP_UP_M,
  PROPELLER_ROOM_M,
  AT_HAND_M,
  SIDES_ALIKE,
  HELD_STAYS_M,
} from '@/core/policy';
import { namedPoints, type Berth, type Boat, type PlanDocument } from '@/document';
import type { StoppingSpring } from '@/planner';
import type { School } from '@/core/policy';
import type { Statement } from './brief';
import { taskText } from '../plan/orders';
import { reasonsForSide } from './sides';
import { boatSpeed, clock, distance, force, type Units } from './units';

const quiet = { figures: [], time: null, hurts: false } as const;

/** Which side to, by wind, current and walk. */
export function sideStatement(
  brief: Brief,
  side: 'port' | 'starboard',
  units: Units,
): Statement | null {
  const sides = brief.berthed?.sides ?? [];
  const best = sides[0];
  if (!best) return null;
  const clear = Math.abs(best.worth - sides[1]!.worth) >= SIDES_ALIKE;
  return {
    key: 'side',
    text:
      best.side === side || !clear
        ? `Berth the boat ${side} side to`
        : `${best.side === 'port' ? 'Port' : 'Starboard'} side to would be easier than ${side} side to`,
    why: reasonsForSide(sides, side, units).join(' '),
    ...quiet,
  };
}

/** The angle the boat comes in at, from the run. */
export function angleStatement(brief: Brief): Statement | null {
  const at = brief.speeds.find(({ lengths, angle }) => lengths === 2 && angle !== null);
  if (!at || at.angle === null || at.time === null) return null;
  const angle = Math.round(Math.abs(at.angle) * DEGREES_PER_RADIAN);
  return {
    key: 'angle',
    text: angle < 3 ? 'Come in parallel to the berth' : `Come in at ${angle}° to the berth`,
    why: `The boat’s heading two lengths off, against the one it is to lie on, in this run.`,
    figures: [],
    time: at.time,
    hurts: false,
  };
}

const SAID: Readonly<Record<FirstLine, string>> = {
  spring: 'spring from amidships, led aft',
  'stern line': 'stern line',
  'bow line': 'bow line',
  'breast line': 'breast line amidships',
};

/** One way of two or more that schools teach, with what the core finds for it here. */
export interface SchoolWay<T extends string> {
  readonly value: T;
  readonly text: string;
  readonly finding: string;
  readonly best: boolean;
}

const worst = ({ off, along }: HeldBy) => Math.max(off, along);

/** Which line first (or last off), the best first. */
export function lineWays(brief: Brief, units: Units): SchoolWay<FirstLine>[] {
  return (brief.berthed?.lines ?? []).map((held, i) => ({
    value: held.line,
    text: `${SAID[held.line]}${held.motoring ? ', idling ahead on it' : ''}`,
    finding:
      worst(held) < HELD_STAYS_M
        ? 'the boat stays where it is'
        : `the boat goes ${distance(held.off, units)} off and ${distance(held.along, units)} along in half a minute`,
    best: i === 0,
  }));
}

/** Stopping with idle astern or a firm burst. */
export function burstWays(brief: Brief, units: Units): SchoolWay<School['throttle']>[] {
  const { stop, gentle } = brief.able ?? {};
  if (!stop || !gentle) return [];
  const found = ({ distance: d, turned, time }: typeof stop) =>
    `stops in ${distance(d, units)}, ${Math.round(time)} s, turning ${Math.round(Math.abs(turned) * DEGREES_PER_RADIAN)}°`;
  return [
    { value: 'gears alone', text: 'never touch the throttle', finding: found(gentle), best: false },
    { value: 'as needed', text: 'a firm, short burst', finding: found(stop), best: false },
  ];
}

const STEPPED: Readonly<Record<StepPlace, string>> = {
  stern: 'at the stern',
  amidships: 'amidships',
  bow: 'forward',
};

function overText({ gap, over, ladder, steppable }: StepFrom, units: Units): string {
  if (ladder !== null) return `it stands ${distance(over, units)} over the deck: by the ${ladder}`;
  if (steppable) return `${distance(gap, units)} to step over`;
  return over > STEP_UP_M
    ? `it stands ${distance(over, units)} over the deck, too high to step, and the boat lies by no ladder`
    : `${distance(gap, units)} off, too far to step`;
}

function stepFinding(from: StepFrom, units: Units): string {
  const { propeller } = from;
  const over = overText(from, units);
  if (propeller === null) return over;
  const near = propeller < PROPELLER_ROOM_M ? '; out of gear before anybody steps' : '';
  return `${over}, ${distance(propeller, units)} from the propeller${near}`;
}

/** Where the crew step off and on, the best first. */
export function stepWays({ stepping }: Brief, units: Units): SchoolWay<StepPlace>[] {
  return (stepping?.places ?? []).map((from, i) => ({
    value: from.place,
    text: STEPPED[from.place],
    finding: stepFinding(from, units),
    best: i === 0 && from.steppable,
  }));
}

function stepText({ place, over, ladder, steppable }: StepFrom, who: string): string {
  if (ladder !== null) return `${who} climbs by the ${ladder}`;
  if (steppable) return `${who} steps ${STEPPED[place]}`;
  const instead = over > STEP_UP_M ? 'stop the boat by a ladder' : 'bring the boat closer first';
  return `${who} cannot step ${STEPPED[place]}: ${instead}`;
}

/** Where to step, by the school that was picked or by the figures. */
export function stepStatement(
  { stepping }: Brief,
  picked: StepPlace | null,
  units: Units,
): Statement | null {
  if (!stepping) return null;
  const [best] = stepping.places;
  const from = stepping.places.find(({ place }) => place === picked) ?? best!;
  const who = stepping.who ?? 'Crew';
  const why = `${stepFinding(from, units)}.`;
  return {
    key: 'step',
    text: stepText(from, who),
    why: `As the boat lies then: ${why} ${from === best ? 'No place aboard lies nearer.' : `The school that was picked; ${STEPPED[best!.place]} it is ${distance(best!.gap, units)}.`} Nobody jumps.`,
    figures: [],
    time: stepping.time,
    hurts: !from.steppable,
  };
}

/** How high fenders hang, for this boat at this berth. */
export function fenderStatement(
  boat: Boat,
  berth: Berth | null,
  side: string,
  units: Units,
): Statement | null {
  if (!berth || boat.fenders.length === 0) return null;
  const lengths = boat.fenders.map((f) => f.length_m);
  const length = Math.min(...lengths);
  const { middle, by, edgeAboveDeck } = fenderHeight(berth.height_m, boat.hull.freeboard_m, length);
  return {
    key: 'fenders',
    text: `Fenders to ${side} with their middle ${distance(middle, units)} over the water`,
    why: `${berth.name} stands ${distance(berth.height_m, units)} over the water, the deck edge ${distance(boat.hull.freeboard_m, units)}; a third of the fender covers the lower of the two, ${by === 'deck' ? 'the deck edge' : 'the berth’s edge'}.${
      edgeAboveDeck
        ? ' The edge stands above the deck: hang them so that they cannot roll up on to it.'
        : ''
    } Some on the other side too.`,
    figures: [['fenders', `${distance(length, units)} long`]],
    time: null,
    hurts: false,
  };
}

/** Who does what, and what they call, from the first line and the run's own calls. */
export function crewStatements(
  brief: Brief,
  line: FirstLine | null,
  coming: boolean,
  units: Units,
): Statement[] {
  const one = brief.speeds.find(({ lengths }) => lengths === 1)?.time ?? null;
  const by = line ? SAID[line] : 'first line';
  // A school may have been picked against what was found.
  const best = line === brief.berthed?.lines[0]?.line;
  const reason = best
    ? 'Of the lines tried it alone holds the boat best here'
    : 'It is the school that was picked; another line alone holds the boat better here';
  return [
    {
      key: 'line-hand',
      text: coming
        ? `Line hand: the ${by} first, on a turn, made fast when the helm says so`
        : `Line hand: the ${by} comes off last, led back aboard`,
      why: coming
        ? `${reason}; the others wait for it.`
        : `${reason}; it goes when all others are in.`,
      ...quiet,
    },
    {
      key: 'caller',
      text: coming
        ? `At the bow: calls the distance as a falling number${one === null ? '' : `, from a length off at ${clock(one)}`}`
        : 'At the stern: says when the propeller is clear of every line',
      why: coming
        ? `A number that falls tells the helm the speed as well; ${distance(1, units)} steps near the end.`
        : 'No gear goes in before that is said.',
      figures: [],
      time: one,
      hurts: false,
    },
    {
      key: 'helm',
      text: 'Helm: says each order before doing it, and calls the way out if it is to be taken',
      why: 'What is said before it is done can be stopped by whoever sees more.',
      ...quiet,
    },
  ];
}

/** What each of the people in the plan is asked to do, step by step; nobody's name where hands are whoever is at hand. */
export function handsStatements({ steps, crew }: PlanDocument, units: Units): Statement[] {
  const asked = new Map<string, { text: string; step: number }[]>();
  for (const { name } of crew) asked.set(name, []);
  steps.forEach(({ orders }, i) => {
    for (const order of orders) {
      if (!isDoneBy(order, 'crew')) continue;
      const by = 'by' in order ? order.by : undefined;
      const who = by ?? (crew.length === 1 ? crew[0]!.name : 'whoever is at hand');
      const list = asked.get(who) ?? [];
      asked.set(who, [...list, { text: taskText(order, units), step: i + 1 }]);
    }
  });
  return [...asked].map(([who, list]): Statement => ({
    key: `hands-${who}`,
    text:
      list.length === 0
        ? `${who}: nothing with lines in this plan`
        : `${who}: ${list.map(({ text, step }) => `${text} (step ${step})`).join('; ')}`,
    why: 'As the plan has it. Each says it back before the first line is off.',
    ...quiet,
  }));
}

/** How long to measure a spring that stops the boat at its berth, with what it then stretches and carries. */
export function springStatement(spring: StoppingSpring | null, units: Units): Statement | null {
  if (!spring) return null;
  const { cleat, to, span, rope, mass } = spring;
  const [slow, firm] = SPRING_SPEEDS_MPS.map((speed) => stoppedBy(rope, mass, speed, span));
  if (!slow) return null;
  const told = (speed: number, by: NonNullable<typeof slow>) =>
    `from ${boatSpeed(speed, units)} it stretches ${distance(by.stretch, units)} and carries ${force(by.load, units)}, ${Math.round((100 * by.load) / rope.breaks)} % of what parts it`;
  const more = firm ? `; ${told(SPRING_SPEEDS_MPS[1], firm)}` : '';
  return {
    key: 'spring-length',
    text: `A spring from the ${cleat} to ${to}, made fast at ${distance(slow.length, units)}, stops the boat there`,
    why: `Measured where the boat is to lie, ${distance(span, units)} from cleat to bollard: ${told(SPRING_SPEEDS_MPS[0], slow)}${more}. All its way taken by the line alone; twice the speed is four times the energy.`,
    ...quiet,
  };
}

/** Alone aboard: what is within reach of the helm, and how long the walk to the rest is. */
export function aloneStatement(boat: Boat, { crew }: PlanDocument): Statement | null {
  const aboard = crew.filter(({ at }) => 'aboard' in at);
  const points = namedPoints(boat);
  const helm = points.find(({ name }) => name === 'helm');
  if (aboard.length !== 1 || !helm) return null;
  const walks = points
    .filter(({ name }) => /cleat|fairlead|bitt/.test(name))
    .map(({ name, x, y }) => ({ name, far: Math.hypot(x - helm.x, y - helm.y) }));
  const near = walks.filter(({ far }) => far <= AT_HAND_M).map(({ name }) => name);
  const rest = walks
    .filter(({ far }) => far > AT_HAND_M)
    .map(({ name, far }) => `${name} ${Math.round(far / WALKS_ABOARD_MPS)} s`);
  return {
    key: 'alone',
    text:
      near.length > 0
        ? `Alone: from the helm ${aboard[0]!.name} reaches the ${near.join(' and the ')}`
        : `Alone: from the helm ${aboard[0]!.name} reaches no cleat; lead the last line there`,
    why: `Away from the helm orders wait. A walk there takes: ${rest.join(', ')}.`,
    ...quiet,
  };
}
