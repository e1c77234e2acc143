import { DRIVE, type Craft, type OwnerFigures } from '../boat';
import { cos, sin } from '../math';
import { AIR_KGPM3, MPS_PER_KNOT } from '../units';
import { environmentFor } from '../simulation';
import { holdsHer } from './hold';
import { CALM, OpenWater } from './open-water';
import { backAndFill, kickAhead, opposedEngines, turningCircle } from './turning';
import { asternSteeringSpeed, carryFrom, propWalk, steadySpeed, stopFrom } from './way';
import { driftFrom, thrusterAgainstSpeed } from './wind';

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

const KN = MPS_PER_KNOT;
const DEGREE = Math.PI / 180;
const BEAM_WIND = 15 * KN;
/** What one person holds for a while, N. */
const PERSON_N = 300;
/** Astern over ahead thrust of two folding blades. */
const FOLDING = 0.38;
/** … and of three fixed ones. */
const FIXED = 0.7;

/** A trial that several rows read, made once a boat. */
function once<T>(trial: (craft: Craft) => T): (craft: Craft) => T {
  const known = new WeakMap<Craft, { readonly found: T }>();
  return (craft) => {
    const before = known.get(craft);
    if (before) return before.found;
    const found = trial(craft);
    known.set(craft, { found });
    return found;
  };
}

const length = (craft: Craft) => craft.spec.hull.length;
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

const idle = (craft: Craft, engines = Infinity) => steadySpeed(craft, 1, 0, engines) / KN;
const stopLengths = (craft: Craft) =>
  (stopFrom(craft, 3 * KN)?.distance ?? Infinity) / length(craft);
/** Towards the side a right-handed screw walks to, so that left-handed ones count alike. */
const byHand = (craft: Craft) => craft.spec.drives[0]!.hand;
const room = (side: 1 | -1) => (craft: Craft) =>
  (backAndFill(craft, side === byHand(craft) ? 1 : -1)?.room ?? Infinity) / length(craft);
const circle = once((craft) => turningCircle(craft, 1, 0, 1, steadySpeed(craft, 1, 0)));
const diameter = (craft: Craft) => (circle(craft)?.diameter ?? Infinity) / length(craft);
const kickRate = (craft: Craft) => Math.abs(kickAhead(craft).rate) / DEGREE;
const drift = once((craft) => driftFrom(craft, BEAM_WIND, Math.PI / 2));
const percent = (craft: Craft) => (100 * drift(craft).drift) / BEAM_WIND;
const thruster = once((craft) => thrusterAgainstSpeed(craft, 0));
const thrusterLeft = (knots: number) => (craft: Craft) => 100 * thruster(craft)[knots]!.share;
const thrustered = (least: number, most: number) => (kind: Kind) =>
  small(kind) && kind.length >= least && kind.length <= most;

/** The same boat with a two-blade folding propeller. */
function folded(craft: Craft): Craft {
  const { drives } = craft;
  const values = drives.values.slice();
  for (let i = 0; i < drives.count; i++) {
    const at = (i * values.length) / drives.count;
    values[at + DRIVE.ASTERN_SQUARED]! *= FOLDING / FIXED;
  }
  return { ...craft, drives: { ...drives, values } };
}

/** Rate of turn two seconds after a click astern with the drive hard over, °/s. */
function clickAstern(craft: Craft): number {
  const water = OpenWater.of(craft);
  water.wheelSet(1);
  water.engine(-1, 0);
  water.until(() => water.state.engines[0]!.engaged !== 0, 5);
  water.run(2);
  return Math.abs(water.rate) / DEGREE;
}

/** Wind abeam that pushes with what one person holds, kn. */
function holdsByHand(craft: Craft): number {
  const { windage } = craft.spec;
  const share = environmentFor(craft, CALM).windShare;
  const perSquare = 0.5 * AIR_KGPM3 * windage.lateralArea * windage.sideDrag * share * share;
  return Math.sqrt(PERSON_N / perSquare) / KN;
}

/** Angle to the track a helm steers at idle with the wind abeam, °. */
function crabAngle(craft: Craft): number {
  const water = OpenWater.of(craft, { weather: { windFrom: Math.PI / 2, windSpeed: BEAM_WIND } });
  water.engine(1, 0);
  // A helm that steers the track north: the course made good brought back to it.
  let sum = 0;
  let count = 0;
  water.until(() => {
    const east = water.ahead * sin(water.heading) + water.sideways * cos(water.heading);
    const wanted = -2.2 * east - 0.03 * water.x + 0.35;
    water.wheel(Math.max(-1, Math.min(1, 2 * (wanted - water.heading) - 8 * water.rate)));
    if (water.time > 300) {
      sum += water.heading;
      count += 1;
    }
    return false;
  }, 600);
  return sum / count / DEGREE;
}

/** Seconds from letting go with the wind off the berth until the nearest end is five metres off. */
function blownOff(craft: Craft): number {
  const water = OpenWater.of(craft, { weather: { windFrom: -Math.PI / 2, windSpeed: BEAM_WIND } });
  const end = 0.5 * length(craft);
  water.until(() => water.x - end * Math.abs(sin(water.heading)) >= 5, 600);
  return water.time;
}

/** Lengths run from steady dead slow before full rudder has changed the heading by 5°. */
function runBeforeTurning(craft: Craft): number {
  const water = OpenWater.of(craft, { speed: steadySpeed(craft, 1, 0) });
  const engine = water.state.engines[0]!;
  engine.orderedGear = engine.engaged = 1;
  engine.rps = craft.spec.drives[0]!.idleRps;
  water.wheel(1);
  water.until(() => water.heading >= 5 * DEGREE, 900);
  return water.y / length(craft);
}

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
