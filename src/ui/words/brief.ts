import { CURRENT_PUSHES_MPS, DRIFT_WORTH_SAYING_MPS, EXACTLY_ABREAST_M } from '@/core/policy';
import {
  sizeOf,
  type BriefRanges,
  type Capabilities,
  type Brief,
  type Leg,
  type PushedWhere,
  type OnHer,
} from '@/core/brief';
import type { TimeToContact } from '@/core/search';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { MOST_WIND_MPS } from '@/document';
import { boatSpeed, clock, distance, force, heading, windSpeed, type Units } from './units';
import { rangeText } from './spreads';

/** One thing the core says, why, and the figures behind it. */
export interface Statement {
  readonly key: string;
  readonly text: string;
  readonly why: string;
  readonly figures: readonly (readonly [string, string])[];
  /** The moment of the run it is about. */
  readonly time: number | null;
  readonly hurts: boolean;
}

const side = (value: number) => (value < 0 ? 'port' : 'starboard');
const degrees = (radians: number) => Math.round(Math.abs(radians) * DEGREES_PER_RADIAN);

/** Which way something goes on the boat: "to starboard", "from ahead". */
function goes({ ahead, starboard }: OnHer): string {
  if (Math.abs(starboard) >= Math.abs(ahead)) return `to ${side(starboard)}`;
  return ahead < 0 ? 'back' : 'ahead';
}

function along(push: OnHer, text: (mps: number) => string): string {
  const across = `${text(Math.abs(push.starboard))} across the boat to ${side(push.starboard)}`;
  return `${across}, ${text(Math.abs(push.ahead))} along the boat from ${push.ahead < 0 ? 'ahead' : 'astern'}`;
}

const WHERE = { start: 'At the start', berth: 'In the berth' } as const;

/** The line that says where a figure lies, once boat and day have been drawn. */
function often(
  ranges: BriefRanges | null,
  name: string,
  text: (value: number) => string,
  never?: string | null,
): [string, string][] {
  const range = ranges?.[name];
  const told = range ? rangeText(range, text, never) : '';
  return told ? [['in 90 of 100', told]] : [];
}

function lyingStatements(
  { where, push, letGo }: PushedWhere,
  ranges: BriefRanges | null,
  units: Units,
): Statement[] {
  const wind = (mps: number) => windSpeed(mps, units);
  const current = (mps: number) => boatSpeed(mps, units);
  const list: Statement[] = [];
  const hasCurrent = sizeOf(push.current) > CURRENT_PUSHES_MPS;
  list.push({
    key: `${where}-push`,
    text:
      sizeOf(push.force) < 1
        ? `${WHERE[where]} nothing pushes the boat`
        : `${WHERE[where]} the boat is pushed ${goes(push.force)} with ${force(sizeOf(push.force), units)}`,
    why: `Held still on ${heading(push.heading)}: wind ${along(push.wind, wind)}${
      hasCurrent ? `; current ${along(push.current, current)}` : '; no current'
    }.`,
    figures: [
      ['across the boat', `${force(push.force.starboard, units)} to ${side(push.force.starboard)}`],
      [
        'along the boat',
        `${force(push.force.ahead, units)} ${push.force.ahead < 0 ? 'back' : 'ahead'}`,
      ],
      ['of it the wind across', force(push.windForce.starboard, units)],
      ...often(ranges, `${where}-push`, (newtons) => force(newtons, units)),
    ],
    time: null,
    hurts: false,
  });
  if (letGo.speed < DRIFT_WORTH_SAYING_MPS) return list;
  const first = letGo.first === 'neither' ? 'bodily' : `${letGo.first} first`;
  list.push({
    key: `${where}-drift`,
    text: `Let go there the boat drifts to ${heading(letGo.towards)} at ${boatSpeed(letGo.speed, units)}, ${first}`,
    why: 'Simulated: half a minute from rest over ground, engines in neutral, nothing in the way.',
    figures: [
      ['turned by then', `${degrees(letGo.turned)}° to ${side(letGo.turned)}`],
      ['the boat’s heading then', heading(push.heading + letGo.turned)],
      ...often(ranges, `${where}-drift`, (mps) => boatSpeed(mps, units)),
    ],
    time: null,
    hurts: false,
  });
  return list;
}

export const OPPOSITE = {
  port: 'starboard',
  starboard: 'port',
  ahead: 'astern',
  astern: 'ahead',
} as const;

export const SAY_SIDE = {
  port: 'to port',
  starboard: 'to starboard',
  ahead: 'ahead',
  astern: 'astern',
};

const comesText = ({ on, name }: TimeToContact) =>
  on === 'bridge' ? `under ${name}, too low` : `on to ${name}`;

function legFigures(leg: Leg, units: Units): [string, string][] {
  const name = `step ${leg.step + 1}`;
  const course = leg.course === null ? 'stays about there' : `course ${heading(leg.course)}`;
  const drift = `drifts to ${heading(leg.letGo.towards)} at ${boatSpeed(leg.letGo.speed, units)}`;
  const ferry = leg.ferry
    ? `; ferry angle ${degrees(leg.ferry.crab)}° up-stream, ${boatSpeed(leg.ferry.speed, units)} made good`
    : '';
  const onto = leg.onto
    ? `; ${comesText(leg.onto)} in ${Math.round(leg.onto.seconds)} s at ${boatSpeed(leg.onto.speed, units)}`
    : '';
  return [[name, `${course}, ${distance(leg.distance, units)}, ${drift}${onto}${ferry}`]];
}

/** Legs one after another with the danger on the same side are said as one. */
function legStatement(
  legs: readonly Leg[],
  swaps: boolean,
  last: boolean,
  units: Units,
): Statement {
  const first = legs[0]!;
  const end = legs.at(-1)!;
  const name = last
    ? first.step === 0
      ? 'All the way'
      : `From step ${first.step + 1} on`
    : `Step ${first.step + 1} to ${end.step + 2}`;
  const { lee } = first;
  const danger =
    lee === null
      ? 'nothing drives the boat'
      : `danger ${swaps ? 'changes, it is now ' : ''}${SAY_SIDE[lee]}, safe ${SAY_SIDE[OPPOSITE[lee]]}`;
  const worst = legs.reduce<Leg | null>(
    (so, leg) => (leg.onto && (!so?.onto || leg.onto.seconds < so.onto.seconds) ? leg : so),
    null,
  );
  const onto = worst?.onto;
  return {
    key: `leg-${first.step}`,
    text: `${name}: ${danger}`,
    why: onto
      ? `Let go at rest half-way from step ${worst!.step + 1} the boat comes ${comesText(onto)}${onto.part ? ` with its ${onto.part}` : ''} in ${Math.round(onto.seconds)} s, at ${boatSpeed(onto.speed, units)}.`
      : 'Let go at rest half-way between steps the boat comes on to nothing within a minute.',
    figures: legs.flatMap((leg) => legFigures(leg, units)),
    time: first.from,
    hurts: legs.some((leg) => leg.onto !== null && leg.onto.grade !== 'soft'),
  };
}

/** What pushes the boat, from start to end. */
export function pushStatements(brief: Brief, units: Units): Statement[] {
  const runs: Leg[][] = [];
  for (const leg of brief.legs) {
    const run = runs.at(-1);
    if (run && run[0]!.lee === leg.lee) run.push(leg);
    else runs.push([leg]);
  }
  return [
    ...brief.lying.flatMap((lying) => lyingStatements(lying, brief.ranges, units)),
    ...runs.map((run, i) => legStatement(run, i > 0, i === runs.length - 1, units)),
  ];
}

function stopStatements(
  { stop, carry, walk }: Capabilities,
  ranges: BriefRanges | null,
  length: number,
  units: Units,
): Statement[] {
  const list: Statement[] = [];
  if (stop) {
    const lengths = (stop.distance / length).toFixed(1);
    list.push({
      key: 'stop',
      text: `From ${boatSpeed(stop.from, units)} the boat stops in ${distance(stop.distance, units)}, ${lengths} lengths`,
      why: `Simulated in this wind: firm astern with the wheel amidships, going straight at that speed, ${Math.round(stop.time)} s.`,
      figures: [
        ...often(ranges, 'stop', (m) => distance(m, units), 'not in two minutes'),
        ['heading meanwhile', `${degrees(stop.turned)}° to ${side(stop.turned)}`],
        ['set aside', `${distance(Math.abs(stop.aside), units)} to ${side(stop.aside)}`],
      ],
      time: null,
      hurts: false,
    });
    if (degrees(stop.turned) >= 2)
      list.push({
        key: 'aim-off',
        text: `Aim off ${degrees(stop.turned)}° to ${side(-stop.turned)} before going astern`,
        why: 'So that what turns the boat while it stops leaves it straight.',
        figures: [
          ...often(ranges, 'turned', (radians) => `${degrees(radians)}°`),
          ...(walk
            ? [
                [
                  'prop walk alone',
                  `${degrees(walk.turned)}° to ${side(walk.turned)} in ${Math.round(walk.seconds)} s from rest`,
                ] as const,
              ]
            : []),
        ],
        time: null,
        hurts: false,
      });
  }
  if (carry)
    list.push({
      key: 'carry',
      text: `In neutral the boat carries ${distance(carry.distance, units)} from ${boatSpeed(carry.from, units)}`,
      why:
        carry.time >= 59.5
          ? `A minute on the boat still has ${boatSpeed(Math.max(0, carry.to), units)}.`
          : `Down to ${boatSpeed(Math.max(0, carry.to), units)} in ${Math.round(carry.time)} s.`,
      figures: often(ranges, 'carry', (m) => distance(m, units)),
      time: null,
      hurts: false,
    });
  return list;
}

export function turnStatement(
  { turns, turnsAt }: Capabilities,
  ranges: BriefRanges | null,
  units: Units,
): Statement | null {
  if (turns.length === 0) return null;
  const done = turns.filter((turn) => turn.done);
  const better = done.slice().sort((a, b) => a.room - b.room)[0];
  const text =
    better === undefined
      ? 'No room for half a turn on the spot, either way'
      : done.length === 1
        ? `Half a turn on the spot goes to ${better.side} only`
        : `Turn to ${better.side}: it takes ${distance(better.room, units)} of water, the other way ${distance(done.find((t) => t !== better)!.room, units)}`;
  return {
    key: 'turn',
    text,
    why: `Simulated both ways from rest at ${clock(turnsAt ?? 0)}, wheel hard over, bursts ahead and astern, among all that is there.`,
    figures: turns.flatMap((turn): [string, string][] => [
      [
        `to ${turn.side}`,
        turn.done
          ? `${turn.bursts} bursts, ${Math.round(turn.time)} s${turn.nearest.name ? `, ${distance(Math.max(0, turn.nearest.distance), units)} from ${turn.nearest.name}` : ''}`
          : turn.touched
            ? `touches ${turn.nearest.name ?? 'something'}`
            : `not round in ${turn.bursts} bursts`,
      ],
      ...often(ranges, `turn ${turn.side}`, (m) => `${distance(m, units)} of water`, 'not round'),
    ]),
    time: turnsAt,
    hurts: better === undefined,
  };
}

const anyWind = (units: Units) => `${windSpeed(MOST_WIND_MPS, units)} and more`;

function holdStatements(
  { holds }: Capabilities,
  ranges: BriefRanges | null,
  wind: number,
  units: Units,
): Statement[] {
  const say = (key: string, means: string, most: number | null, how: string) => {
    if (most === null) return [];
    const enough = most > wind;
    const to = most === Infinity ? anyWind(units) : `${windSpeed(most, units)} abeam`;
    return [
      {
        key,
        text: enough
          ? `${means} holds the bow: up to ${to}`
          : `${means} no longer holds the bow; it does up to ${to}`,
        why: `${how} for ${Math.round(holds.seconds)} s from rest, wind abeam, calm water: is the stem where it was? It blows ${windSpeed(wind, units)} now.`,
        figures: often(ranges, key, (mps) => windSpeed(mps, units), null),
        time: null,
        hurts: !enough,
      },
    ];
  };
  /** The whole of the boat, not its bow alone. */
  const whole = (key: string, means: string, most: number | null, how: string) => {
    if (most === null) return [];
    const enough = most > wind;
    const to = most === Infinity ? anyWind(units) : windSpeed(most, units);
    return [
      {
        key,
        text: enough
          ? `${means} holds the boat against wind off: up to ${to}`
          : most === 0
            ? `${means} does not hold the boat against wind off, however light`
            : `${means} no longer holds the boat against wind off; it does up to ${to}`,
        why: `${how} It blows ${windSpeed(wind, units)} now.`,
        figures: often(ranges, key, (mps) => windSpeed(mps, units), null),
        time: null,
        hurts: !enough,
      },
    ];
  };
  return [
    ...say('burst', 'Half ahead, wheel hard over', holds.burst, 'Half throttle ahead'),
    ...say('thruster', 'The bow thruster', holds.thruster, 'Full power'),
    ...whole(
      'joystick',
      'The joystick',
      holds.joystick,
      `Pushed over against it for ${Math.round(holds.seconds)} s from rest, twisted to keep the boat’s heading, wind abeam, calm water: is it where it was, and still abeam of it?`,
    ),
    ...whole(
      'spring',
      'Idling ahead on a midship spring',
      holds.spring,
      `Led a quarter of the boat’s length aft, fenders between, with the wheel that does best of four, wind off the quay for ${Math.round(holds.springSeconds)} s: does it lie still and alongside?`,
    ),
  ];
}

function speedStatement(brief: Brief, units: Units): Statement | null {
  const known = brief.speeds.filter(({ speed }) => speed !== null);
  if (known.length === 0) return null;
  const word = { 3: 'three', 2: 'two', 1: 'one' } as Record<number, string>;
  return {
    key: 'speeds',
    text: known
      .map(
        ({ lengths, speed }) =>
          `${boatSpeed(speed!, units)} ${word[lengths]!} length${lengths > 1 ? 's' : ''} off`,
      )
      .join(', '),
    why: 'Speed over ground on the way in, counted from where the boat is to lie.',
    figures: known.map(({ lengths, time }) => [`${word[lengths]!} off`, `at ${clock(time!)}`]),
    time: known[0]!.time,
    hurts: false,
  };
}

/** Moments of steps by what is abreast then, for a helm who has no clock. */
export function abreastStatements({ abreast }: Brief, units: Units): Statement[] {
  return abreast.map(({ step, time, point, mark, side, aside, ahead }) => ({
    key: `abreast-${step}`,
    text: `Step ${step + 1} comes with ${mark} abreast of the boat’s ${point}`,
    why: `It then stands ${distance(aside, units)} off to ${side}, in this run; in another wind it may be abreast a little earlier or later.`,
    figures: [
      [
        'exactly',
        Math.abs(ahead) < EXACTLY_ABREAST_M
          ? 'abreast'
          : `${distance(Math.abs(ahead), units)} ${ahead > 0 ? 'before' : 'past'} abreast`,
      ],
    ],
    time,
    hurts: false,
  }));
}

/** What the boat can do here. @param wind its mean, m/s */
export function ableStatements(
  brief: Brief,
  length: number,
  wind: number,
  units: Units,
): Statement[] {
  const { able } = brief;
  if (!able) return [];
  const turn = turnStatement(able, brief.ranges, units);
  const speeds = speedStatement(brief, units);
  return [
    ...(speeds ? [speeds] : []),
    ...stopStatements(able, brief.ranges, length, units),
    ...(turn ? [turn] : []),
    ...holdStatements(able, brief.ranges, wind, units),
  ];
}
