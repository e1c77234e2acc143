import type { ObstacleSet } from '../holding';
import { cos, sin, wrapHalfTurn } from '../math';
import { AIMED_SHARE, LIKED_ROOM } from '../policy';
import type { Told } from '../simulation';
import type { Prospect } from './bursts';
import { addFelt, AT_REST, FELT_SIZE, feelOf, placeOf, WHEELS, type Feel } from './feel';
import { fieldOf, roomOf, roundTheDeck } from './field';
import { type Weathering } from './guess';
import { leversOf } from './levers';
import type { Frame } from './grid';
import { waysOf, type Missed } from './ways';

/** What is steered for: a point of the boat near a place on a heading, or to be clear of everything. SI, radians. */
export type Aim =
  | { readonly is: 'clear'; readonly distance: number }
  | {
      readonly is: 'lie';
      readonly point: { readonly x: number; readonly y: number };
      readonly mark: { readonly x: number; readonly y: number };
      readonly within: number;
      readonly heading: number;
      readonly headingWithin: number;
    };

/** How far round start and goal water is looked at, lengths. */
const ROUND_LENGTHS = 1.6;
/** Places the way is known at lie so far apart, lengths. */
const CELL_LENGTHS = 0.1;

/** What a goal asks of a pose, over what it allows. */
function missedOf(goal: Aim, room: (x: number, y: number, heading: number) => number): Missed {
  if (goal.is === 'clear')
    return (x, y, heading) => goal.distance / Math.max(0.05, room(x, y, heading));
  const { point, mark, heading: wanted } = goal;
  const within = AIMED_SHARE * goal.within;
  const true_ = AIMED_SHARE * goal.headingWithin;
  return (x, y, heading) => {
    const s = sin(heading);
    const c = cos(heading);
    const px = x + point.x * s + point.y * c;
    const py = y + point.x * c - point.y * s;
    const far = Math.sqrt((px - mark.x) * (px - mark.x) + (py - mark.y) * (py - mark.y));
    return Math.max(far / within, Math.abs(wrapHalfTurn(heading - wanted)) / true_);
  };
}

/** Half the time from look to look, and a moment, s. */
const LOOKS_S = 1;
/** Of what the gears can take off so much is counted on, and no more than so much, m/s²; and so much of it is thought likely. */
const COUNTED_ON = 0.5;
const LIKELY = 0.8;
const SLOWS_MOST = 0.12;
const SLOWS_LEAST = 0.02;

/** What way is taken off with the gears the other way, m/s²: what is counted on, and what is likely. */
function slowsBy({ levers, by }: Feel): Pick<Prospect, 'slows' | 'gathers'> {
  const amidships = FELT_SIZE + AT_REST;
  let most = 0;
  levers.forEach(({ way }, k) => {
    if (way === -1) most = Math.max(most, -by[k * WHEELS * FELT_SIZE + amidships]!);
  });
  const within = (slows: number) => Math.max(SLOWS_LEAST, Math.min(SLOWS_MOST, slows));
  return { slows: within(COUNTED_ON * most), gathers: Math.max(SLOWS_LEAST, LIKELY * most) };
}

/** Way the boat is stopped turning at, m/s; a slow turn, rad/s. */
const TURNING_AT = 0.25;
/** How long drifting aside goes on, s. */
const DRIFTS_S = 1.5;

/** How long turning and drifting go on before they can be stopped. */
function goesOnBy(feel: Feel, late: number) {
  const shares = new Float64Array(8);
  const place = placeOf(feel, TURNING_AT, 0, 0, shares);
  let most = 0;
  feel.levers.forEach((_, k) => {
    if (feel.pushes[k] !== 0) return;
    for (const wheel of [0, 2]) {
      const rate = new Float64Array(3);
      addFelt(feel.by, (k * WHEELS + wheel) * FELT_SIZE + place, shares, 1, rate);
      most = Math.max(most, Math.abs(rate[2]!));
    }
  });
  return {
    turns: late + feel.delay + 0.7 * feel.comes + LOOKS_S / 2,
    turnsBy: 0.5 / Math.max(0.005, COUNTED_ON * most),
    drifts: DRIFTS_S,
  };
}

/** From midships to the furthest of the deck, and some, m. */
const clearOf = (deck: Float64Array): number => {
  let far = 0;
  for (let i = 0; i < deck.length; i += 2)
    far = Math.max(far, Math.sqrt(deck[i]! * deck[i]! + deck[i + 1]! * deck[i + 1]!));
  return far + 3;
};

/** So far off where it is to lie it is looked for water that is free to lie in, m; and how much room is enough there, m. */
const SHIFTED_M = 2.5;
const ENOUGH_M = 0.6;

/**
 * Where the boat is to lie, midships, and its heading there, shifted to the middle of the free water as far as the goal allows; where it begins, if it is only
 * to be clear.
 */
function frameOf(goal: Aim, start: Told['start'], missed: Missed, room: Missed): Frame {
  const turned = (x: number, y: number, heading: number): Frame => ({
    x,
    y,
    heading,
    sin: sin(heading),
    cos: cos(heading),
  });
  if (goal.is !== 'lie') return turned(start.x, start.y, start.heading);
  const { point, mark, heading } = goal;
  const s = sin(heading);
  const c = cos(heading);
  const x0 = mark.x - point.x * s - point.y * c;
  const y0 = mark.y - point.x * c + point.y * s;
  let best = turned(x0, y0, heading);
  let most = -Infinity;
  for (let across = -SHIFTED_M; across <= SHIFTED_M; across += 0.1)
    for (let along = -SHIFTED_M; along <= SHIFTED_M; along += 0.25) {
      const x = x0 + across * c + along * s;
      const y = y0 - across * s + along * c;
      if (missed(x, y, heading) > 1) continue;
      const worth =
        Math.min(ENOUGH_M, room(x, y, heading)) - 0.01 * (Math.abs(across) + Math.abs(along));
      if (worth > most) {
        most = worth;
        best = turned(x, y, heading);
      }
    }
  return best;
}

/** Where a helm that looks ahead is going, and what it has to reckon with on the way. */
export interface Outlook {
  readonly prospect: Prospect;
  readonly weathering: Weathering;
}

/** How the boat is worked: with thrusters as well or not, by its gears alone or not, how fast at the most, m/s, and how late what is done comes, s. */
export interface Manner {
  readonly thrusters: boolean;
  readonly idle?: boolean;
  readonly most: number;
  readonly late: number;
}

/** What is the same however the boat is worked: how it answers, what room there is, and the ways to the goal. */
type Basis = Pick<
  Prospect,
  | 'feel'
  | 'field'
  | 'deck'
  | 'ways'
  | 'missed'
  | 'spare'
  | 'goesOn'
  | 'reach'
  | 'clear'
  | 'slows'
  | 'gathers'
> & { readonly weathering: Weathering };

function basisFor(
  { craft, weather, start }: Told,
  shore: ObstacleSet,
  aim: Aim,
  thrusters: boolean,
  idle: boolean,
): Basis {
  const { length } = craft.spec.hull;
  const levers = leversOf(craft, weather.waterDensity, thrusters, idle);
  const feel = feelOf(craft, weather, levers);
  const weathering = {
    windFrom: weather.windFrom,
    east: weather.currentSpeed * sin(weather.currentSet),
    north: weather.currentSpeed * cos(weather.currentSet),
    besides: new Float64Array(3),
  };
  const margin = ROUND_LENGTHS * length;
  const to = aim.is === 'lie' ? aim.mark : start;
  const far = margin + length;
  const box = {
    west: Math.min(start.x, to.x) - far,
    south: Math.min(start.y, to.y) - far,
    east: Math.max(start.x, to.x) + far,
    north: Math.max(start.y, to.y) + far,
  };
  const field = fieldOf(shore, box, Math.max(0.25, length / 40));
  const deck = roundTheDeck(craft, Math.max(0.5, length / 16));
  const room = (x: number, y: number, heading: number) => roomOf(field, deck, x, y, heading);
  const missed = missedOf(aim, room);
  const frame = frameOf(aim, start, missed, room);
  const across = (start.x - frame.x) * frame.cos - (start.y - frame.y) * frame.sin;
  const along = (start.x - frame.x) * frame.sin + (start.y - frame.y) * frame.cos;
  const reach = {
    port: margin + Math.max(0, -across),
    starboard: margin + Math.max(0, across),
    astern: margin + Math.max(0, -along),
    ahead: margin + Math.max(0, along),
  };
  const spare = Math.min(LIKED_ROOM.most, LIKED_ROOM.lengths * length + LIKED_ROOM.more);
  const cell = Math.max(0.6, CELL_LENGTHS * length);
  const ways = waysOf(
    feel,
    weathering,
    frame,
    { field, deck, reach, spare, clear: clearOf(deck) },
    cell,
    missed,
  );
  return {
    feel,
    field,
    deck,
    ways,
    missed,
    spare,
    goesOn: aim.is === 'clear',
    reach: 0.4 * length,
    clear: clearOf(deck),
    ...slowsBy(feel),
    weathering,
  };
}

/** Bases that were found last, by what they were found from: tries of a manoeuvre differ in nothing they go by. */
const found = new Map<string, Basis>();
const FOUND_AT_MOST = 8;

/** What stands or floats there as text, once for each. */
const texts = new WeakMap<object, string>();
function textOf(what: object): string {
  const known = texts.get(what);
  if (known !== undefined) return known;
  const text = JSON.stringify(what);
  texts.set(what, text);
  return text;
}

/** What counts of an aim, whatever else whoever asks carries along with it. */
const figuresOf = (aim: Aim): readonly (string | number)[] =>
  aim.is === 'clear'
    ? [aim.is, aim.distance]
    : [
        aim.is,
        ...[aim.point.x, aim.point.y, aim.mark.x, aim.mark.y],
        ...[aim.within, aim.heading, aim.headingWithin],
      ];

function basisOnce(
  told: Told,
  shore: ObstacleSet,
  aim: Aim,
  thrusters: boolean,
  idle: boolean,
): Basis {
  const { windFrom, windSpeed, currentSet, currentSpeed, waterDensity } = told.weather;
  const { x, y, heading } = told.start;
  const of = [windFrom, windSpeed, currentSet, currentSpeed, waterDensity, x, y, heading];
  const key = [
    JSON.stringify([figuresOf(aim), thrusters, idle, of]),
    textOf(told.craft.spec),
    textOf(shore.obstacles),
  ].join();
  const basis = found.get(key) ?? basisFor(told, shore, aim, thrusters, idle);
  // The one used last stands last.
  found.delete(key);
  found.set(key, basis);
  const [oldest] = found.keys();
  if (found.size > FOUND_AT_MOST) found.delete(oldest!);
  return basis;
}

/** Where a boat is worked to and what it has to reckon with, for somebody who works it in a manner. */
export function outlookFor(
  told: Told,
  shore: ObstacleSet,
  aim: Aim,
  { thrusters, idle = false, most, late }: Manner,
): Outlook {
  // Thrusters that a boat does not have make no difference.
  const fitted = thrusters && told.craft.spec.thrusters.length > 0;
  const { weathering, ...basis } = basisOnce(told, shore, aim, fitted, idle);
  const { feel } = basis;
  const lag = late + LOOKS_S + feel.delay + 0.7 * feel.comes;
  return { prospect: { ...basis, most, lag, ...goesOnBy(feel, late) }, weathering };
}
