import type { Craft } from '../boat';
import type { ObstacleSet } from '../holding';
import { cos, sin, wrapHalfTurn } from '../math';
import { AIMED_SHARE, LIKED_ROOM } from '../policy';
import type { Told, Weather } from '../simulation';
import type { Prospect } from './bursts';
import { addFelt, AT_REST, FELT_SIZE, feelOf, placeOf, WHEELS, type Feel } from './feel';
import { fieldOf, roomOf, roundTheDeck } from './field';
import { type Weathering } from './guess';
import { Latest, textOf } from './latest';
import { leversOf } from './levers';
import type { Frame } from './grid';
import { waysOf, type Missed, type Ways } from './ways';

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
export function slowsBy({ levers, by }: Feel): Pick<Prospect, 'slows' | 'gathers'> {
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
export const clearOf = (deck: Float64Array): number => {
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
export interface Outlook<P extends Prospect = Prospect> {
  readonly prospect: P;
  readonly weathering: Weathering;
}

/** How the boat is worked: with thrusters as well or not, by its gears alone or not, how fast at the most, m/s, and how late what is done comes, s. */
export interface Manner {
  readonly thrusters: boolean;
  readonly idle?: boolean;
  readonly most: number;
  readonly late: number;
}

/** Wind and current as a weather has them, with nothing learnt besides. */
export const weatheringOf = ({ windFrom, currentSpeed, currentSet }: Weather): Weathering => ({
  windFrom,
  east: currentSpeed * sin(currentSet),
  north: currentSpeed * cos(currentSet),
  besides: new Float64Array(3),
});

/** Room a boat so long likes to keep, m. */
export const likedRoom = (length: number): number =>
  Math.min(LIKED_ROOM.most, LIKED_ROOM.lengths * length + LIKED_ROOM.more);

/** What the same ways and the same boat come to in the hands of somebody who works it in a manner. */
export function workedBy<P extends Pick<Prospect, 'feel'>>(basis: P, { most, late }: Manner) {
  const { feel } = basis;
  const lag = late + LOOKS_S + feel.delay + 0.7 * feel.comes;
  return { ...basis, most, lag, ...goesOnBy(feel, late) };
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
> & { readonly ways: Ways; readonly weathering: Weathering };

function basisFor(
  { craft, weather, start }: Told,
  shore: ObstacleSet,
  aim: Aim,
  thrusters: boolean,
  idle: boolean,
  round: number,
): Basis {
  const { length } = craft.spec.hull;
  const feel = feelFor(craft, weather, thrusters, idle);
  const weathering = weatheringOf(weather);
  const margin = round * length;
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
  const spare = likedRoom(length);
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
const found = new Latest<Basis>(8);

const feels = new Latest<Feel>(6);

/** How a boat answers in a weather, by the levers it is worked by. */
export function feelFor(craft: Craft, weather: Weather, thrusters: boolean, idle: boolean): Feel {
  const { windFrom, windSpeed, waterDensity } = weather;
  const key = [textOf(craft.spec), windFrom, windSpeed, waterDensity, thrusters, idle].join();
  return feels.of(key, () =>
    feelOf(craft, weather, leversOf(craft, waterDensity, thrusters, idle)),
  );
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
  round: number,
): Basis {
  const { windFrom, windSpeed, currentSet, currentSpeed, waterDensity } = told.weather;
  const { x, y, heading } = told.start;
  const of = [windFrom, windSpeed, currentSet, currentSpeed, waterDensity, x, y, heading];
  const key = [
    JSON.stringify([figuresOf(aim), thrusters, idle, round, of]),
    textOf(told.craft.spec),
    textOf(shore.obstacles),
  ].join();
  return found.of(key, () => basisFor(told, shore, aim, thrusters, idle, round));
}

/**
 * Where a boat is worked to and what it has to reckon with, for somebody who works it in a manner.
 *
 * @param round how far round start and goal water is looked at, lengths
 */
export function outlookFor(
  told: Told,
  shore: ObstacleSet,
  aim: Aim,
  manner: Manner,
  round: number = ROUND_LENGTHS,
): Outlook<Prospect & { readonly ways: Ways }> {
  const { thrusters, idle = false } = manner;
  // Thrusters that a boat does not have make no difference.
  const fitted = thrusters && told.craft.spec.thrusters.length > 0;
  const { weathering, ...basis } = basisOnce(told, shore, aim, fitted, idle, round);
  return { prospect: workedBy(basis, manner), weathering };
}
