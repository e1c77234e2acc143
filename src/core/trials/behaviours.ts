import { type Craft, type OwnerFigures } from '../boat';
import { holdsHer } from './hold';
import { backAndFill, kickAhead, opposedEngines, turningCircle } from './turning';
import { asternSteeringSpeed, carryFrom, propWalk, stopFrom } from './way';
import {
  KN,
  DEGREE,
  length,
  idle,
  stopLengths,
  byHand,
  room,
  circle,
  diameter,
  kickRate,
  drift,
  percent,
  thruster,
  thrusterLeft,
  folded,
  clickAstern,
  holdsByHand,
  crabAngle,
  blownOff,
  runBeforeTurning,
} from './behaviour-figures';

/**
 * What a handler would check of a boat: how it goes, stops, turns, drifts and holds, each with the range recalled practice gives a
 * class. Ranges are not measurements; each row is meant for every boat of the classes it speaks of.
 */

/** What of a boat decides which rows speak of it. */
export type Kind = Pick<
  OwnerFigures,
  'class' | 'length' | 'drive' | 'engines' | 'blades' | 'keel' | 'rudders'
>;

export interface Behaviour {
  readonly no: number;
  readonly what: string;
  readonly of: (kind: Kind) => boolean;
  readonly range: readonly [least: number, most: number];
  readonly unit: string;
  /** The figure of a boat, in that unit; Infinity where it never comes to it. */
  readonly measure: (craft: Craft, kind: Kind) => number;
}

const yacht = ({ class: c }: Kind) => c === 'sailing yacht';
const canal = ({ class: c }: Kind) => c === 'canal boat';
const cruiser = ({ class: c }: Kind) => c === 'motor yacht' || c === 'displacement motor boat';
const small = ({ class: c }: Kind) => c !== 'ship' && c !== 'barge';
const single = ({ engines }: Kind) => engines === 1;
const onShaft = (kind: Kind) => single(kind) && kind.drive === 'shaft';
const twinShafts = (kind: Kind) =>
  kind.class === 'motor yacht' && kind.engines === 2 && kind.drive === 'shaft';
const longKeel = ({ keel }: Kind) => keel === 'long';
const finKeel = ({ keel }: Kind) => keel === 'fin' || keel === 'lifting' || keel === 'twin';
/** One rudder that stands in the race of a screw close before it. */
const inRace = (kind: Kind) => onShaft(kind) && kind.rudders === 1;
const steeredDrive = ({ drive }: Kind) => drive === 'outboard' || drive === 'outdrive';

const thrustered = (least: number, most: number) => (kind: Kind) =>
  small(kind) && kind.length >= least && kind.length <= most;

type Row = readonly [
  no: number,
  what: string,
  of: Behaviour['of'],
  range: readonly [number, number],
  unit: string,
  measure: Behaviour['measure'],
];

const ROWS: readonly Row[] = [
  [
    1,
    'idle ahead, sailing yacht 9–13 m',
    (k) => yacht(k) && k.length >= 9 && k.length <= 13,
    [1.5, 3.2],
    'kn',
    (c) => idle(c),
  ],
  [1, 'idle ahead, canal boat', canal, [1, 2.2], 'kn', (c) => idle(c)],
  [
    1,
    'idle ahead, displacement motor boat',
    (k) => k.class === 'displacement motor boat',
    [1.8, 4],
    'kn',
    (c) => idle(c),
  ],
  [
    1,
    'idle ahead, outboard day boat',
    (k) => k.class === 'open boat' && k.drive === 'outboard',
    [1.8, 4.5],
    'kn',
    (c) => idle(c),
  ],
  [1, 'idle ahead, one engine of two', twinShafts, [2.5, 4], 'kn', (c) => idle(c, 1)],
  [1, 'idle ahead, both engines', twinShafts, [4, 6.5], 'kn', (c) => idle(c)],
  [
    2,
    'stop from 3 kn, yacht, three fixed blades',
    (k) => yacht(k) && k.blades === '3 fixed',
    [0.7, 2],
    'L',
    stopLengths,
  ],
  [
    2,
    'the same with two-blade folding, times that',
    (k) => yacht(k) && k.blades === '3 fixed',
    [1.4, 3],
    '×',
    (c) => stopLengths(folded(c)) / stopLengths(c),
  ],
  [2, 'stop from 3 kn, twin motor yacht', twinShafts, [0.4, 1.3], 'L', stopLengths],
  [2, 'stop from 3 kn, canal boat', canal, [1, 3.5], 'L', stopLengths],
  [
    3,
    'carry in neutral, 2 to 0.5 kn',
    small,
    [4, 15],
    'L',
    (c) => (carryFrom(c, 2 * KN, 0.5 * KN)?.distance ?? Infinity) / length(c),
  ],
  [
    4,
    'walk in 5 s, fixed blades on a shaft',
    (k) => onShaft(k) && k.blades.endsWith('fixed') && (yacht(k) || cruiser(k)),
    [4, 15],
    '°',
    (c) => (byHand(c) * propWalk(c).turned) / DEGREE,
  ],
  [
    4,
    'walk in 5 s, sail drive',
    (k) => yacht(k) && k.drive === 'sail drive',
    [1, 5],
    '°',
    (c) => (byHand(c) * propWalk(c).turned) / DEGREE,
  ],
  [
    5,
    'sternway that full rudder needs, fin keel and spade',
    (k) => yacht(k) && finKeel(k) && onShaft(k),
    [0.8, 2],
    'kn',
    (c) => (asternSteeringSpeed(c) ?? Infinity) / KN,
  ],
  [
    5,
    'the same, long keel',
    (k) => yacht(k) && longKeel(k),
    [1.5, Infinity],
    'kn',
    (c) => (asternSteeringSpeed(c) ?? Infinity) / KN,
  ],
  [
    6,
    'kick ahead, rudder in the race',
    (k) => inRace(k) && (yacht(k) || cruiser(k)),
    [2, 9],
    '°/s',
    kickRate,
  ],
  [
    6,
    'headway gained by it',
    (k) => inRace(k) && (yacht(k) || cruiser(k)),
    [0, 1],
    'kn',
    (c) => kickAhead(c).headway / KN,
  ],
  [
    6,
    'kick ahead, two rudders outside the race',
    (k) => yacht(k) && k.rudders === 2 && single(k),
    [0, 0.6],
    '°/s',
    kickRate,
  ],
  [6, 'kick ahead, canal boat', canal, [0.5, 2], '°/s', kickRate],
  [
    7,
    'half turn, favourite way',
    (k) => inRace(k) && (yacht(k) || cruiser(k)),
    [1.2, 1.9],
    'L',
    room(1),
  ],
  [
    7,
    'half turn, other way',
    (k) => inRace(k) && (yacht(k) || cruiser(k)),
    [1.25, 3.5],
    'L',
    room(-1),
  ],
  [
    7,
    'bursts, favourite way',
    (k) => inRace(k) && (yacht(k) || cruiser(k)),
    [3, 8],
    '',
    (c) => backAndFill(c, byHand(c))?.bursts ?? Infinity,
  ],
  [
    8,
    'engines opposed at idle, rate',
    twinShafts,
    [3, 9],
    '°/s',
    (c) => Math.abs(opposedEngines(c)!.rate) / DEGREE,
  ],
  [8, 'creep ahead', twinShafts, [0.1, 0.9], 'kn', (c) => opposedEngines(c)!.creep / KN],
  [
    8,
    'extra thrust astern that stops it',
    twinShafts,
    [0.2, 0.8],
    '×',
    (c) => opposedEngines(c)!.extraAstern,
  ],
  [9, 'drift, keel yacht', yacht, [3, 6], '%', percent],
  [
    9,
    'drift, light high motor boat',
    (k) => k.class === 'motor yacht' || k.class === 'open boat',
    [4, 9],
    '%',
    percent,
  ],
  [
    9,
    'drift, canal boat or light barge',
    (k) => canal(k) || k.class === 'barge',
    [3, 8],
    '%',
    percent,
  ],
  [
    10,
    'lies with the wind off the bow',
    (k) => yacht(k) || cruiser(k) || k.class === 'open boat',
    [90, 150],
    '°',
    (c) => drift(c).lies / DEGREE,
  ],
  [
    10,
    'bow falls off the first 30° from beam on',
    (k) => yacht(k) || cruiser(k),
    [4, 20],
    's',
    (c) => drift(c).fallsIn ?? Infinity,
  ],
  [11, 'turning diameter, fin keel', (k) => yacht(k) && finKeel(k), [1.2, 3], 'L', diameter],
  [11, 'turning diameter, long keel', (k) => yacht(k) && longKeel(k), [3, 5], 'L', diameter],
  [11, 'turning diameter, outboard or outdrive', steeredDrive, [1.5, 3.5], 'L', diameter],
  [11, 'turning diameter, canal boat', canal, [1.2, 3], 'L', diameter],
  [11, 'turning diameter, twin shafts', twinShafts, [1.8, 4.5], 'L', diameter],
  [
    12,
    'pivot in a turn ahead, forward of midships',
    ({ engines }) => engines > 0,
    [0.25, 0.45],
    'L',
    (c) => (circle(c)?.pivot ?? Infinity) / length(c),
  ],
  [
    12,
    'pivot turning astern, abaft',
    // A long keel does not turn by its rudder going astern (row 5).
    (k) => (yacht(k) || cruiser(k)) && !longKeel(k),
    [0.15, 0.35],
    'L',
    (c) => -(turningCircle(c, -1, 0.3)?.pivot ?? Infinity) / length(c),
  ],
  [
    12,
    'pivot at the first kick, forward',
    (k) => inRace(k) || twinShafts(k),
    [0.1, 0.2],
    'L',
    (c) => kickAhead(c).pivot / length(c),
  ],
  [
    13,
    'bow thruster of a boat of 11 to 14 m, from rest',
    thrustered(11, 14),
    [4, 10],
    '°/s',
    (c) => thruster(c)[0]!.rate / DEGREE,
  ],
  [13, 'left of it at 2 kn', thrustered(0, 40), [45, 85], '%', thrusterLeft(2)],
  [13, 'left of it at 4 kn', thrustered(0, 40), [10, 50], '%', thrusterLeft(4)],
  [
    14,
    'turned while stopping from 2 kn',
    (k) => yacht(k) && onShaft(k),
    [6, 20],
    '°',
    (c) => (byHand(c) * (stopFrom(c, 2 * KN)?.turned ?? Infinity)) / DEGREE,
  ],
  [
    15,
    'outboard, full lock, click astern, rate after 2 s',
    (k) => k.drive === 'outboard',
    [2, 10],
    '°/s',
    clickAstern,
  ],
  [
    16,
    'wind one person (300 N) just holds abeam, 12-m yacht',
    (k) => yacht(k) && k.length >= 11 && k.length <= 13,
    [8, 12],
    'kn',
    holdsByHand,
  ],
  [
    16,
    'wind in which idle ahead on a midship spring holds it',
    (k) => yacht(k) && k.length >= 11 && k.length <= 13,
    [12, 25],
    'kn',
    (c) => Math.min(60, holdsHer(c).spring! / KN),
  ],
  [
    17,
    'canal boat idling, 15 kn abeam: crab angle',
    (k) => canal(k) && k.length >= 15 && k.length <= 19,
    [12, 30],
    '°',
    crabAngle,
  ],
  [
    18,
    'light barge of 45 to 60 m, 15 kn off the berth: nearest end 5 m off',
    (k) => k.class === 'barge' && k.length >= 45,
    [25, 70],
    's',
    blownOff,
  ],
  [
    19,
    'feeder ship, full rudder, run before 5° of turn',
    (k) => k.class === 'ship',
    [0.3, 0.9],
    'L',
    runBeforeTurning,
  ],
  [19, 'thruster left at 4 kn, ship', (k) => k.class === 'ship', [10, 50], '%', thrusterLeft(4)],
];

const needsThruster = (no: number, what: string) => no === 13 || what.startsWith('thruster');

export const BEHAVIOURS: readonly Behaviour[] = ROWS.map(
  ([no, what, of, range, unit, measure]) => ({ no, what, of, range, unit, measure }),
);

/** Does a row speak of a boat: by its kind, and by whether it has what is tried? */
export const speaksOf = ({ no, what, of }: Behaviour, craft: Craft, kind: Kind): boolean =>
  of(kind) && (!needsThruster(no, what) || (craft.spec.thrusters[0]?.x ?? -1) > 0);
