import { sounded } from './aground';
import { lineCount } from './lines-now';
import { othersOf, type World } from './world';

/** Time between samples, s: a whole number of steps. */
export const SAMPLE_S = 0.1;

/** Lines, other boats, locks, and paddles of a lock, that a record tells of. */
export const MOST_LINES = 12;
export const MOST_OTHERS = 4;
export const MOST_LOCKS = 2;
export const MOST_PADDLES = 12;
const MOST_ENGINES = 4;
const MOST_THRUSTERS = 2;

/** Columns of every record. Heading is unwrapped; clearance is to the nearest thing that is not the boat's berth. */
export const OWN_COLUMNS = [
  'time',
  'x',
  'y',
  'heading',
  'surge',
  'sway',
  'yawRate',
  'groundSpeed',
  'rudder',
  'clearance',
] as const;
export type OwnColumn = (typeof OWN_COLUMNS)[number];

type Column = Float64Array;

/** A gear (−1, 0, 1), a throttle (0 … 1), turns a second, and the drive's own angle where it is turned by itself. */
export interface EngineColumns {
  readonly gear: Column;
  readonly throttle: Column;
  readonly rps: Column;
  readonly angle: Column | null;
}

/** Tension, N, what is made of it (MADE), length without load, m, and where its end is, m. */
export interface LineColumns {
  readonly tension: Column;
  readonly made: Column;
  readonly length: Column;
  readonly endX: Column;
  readonly endY: Column;
}

/** Midships of another boat, m east and north, and its heading. */
export interface PoseColumns {
  readonly x: Column;
  readonly y: Column;
  readonly heading: Column;
}

/** Levels, m, how far the four leaves (LEAF) are open, and the paddles. */
export interface LockColumns {
  readonly chamber: Column;
  readonly upper: Column;
  readonly lower: Column;
  readonly leaves: readonly Column[];
  readonly paddles: readonly Column[];
}

/** What only a boat's own instruments tell: depth at the sounder, m; wind felt aboard, m/s, and from where off the bow, starboard positive. */
export interface ToldColumns {
  readonly depth: Column;
  readonly wind: Column;
  readonly windAngle: Column;
}

/** A run's record: columns of one length, sampled every SAMPLE_S. SI and radians. */
export interface Trace extends Readonly<Record<OwnColumn, Column>> {
  readonly engines: readonly EngineColumns[];
  /** Power, −1 … 1 to starboard. */
  readonly thrusters: readonly Column[];
  /** Lines hands may tend. */
  readonly lines: readonly LineColumns[];
  /** Water under the boat, m, where the depth is known. */
  readonly underKeel: Column | null;
  readonly others: readonly PoseColumns[];
  readonly locks: readonly LockColumns[];
  readonly told: ToldColumns | null;
}

/** What a record has columns for. */
export interface Layout {
  /** Of each engine, whether it has an angle of its own. */
  readonly engines: readonly { readonly turns: boolean }[];
  readonly thrusters: number;
  readonly lines: number;
  readonly sounded: boolean;
  readonly others: number;
  /** Paddles of each lock. */
  readonly locks: readonly number[];
  readonly told: boolean;
}

/** All a record could tell of a run. */
const WHOLE: Layout = {
  engines: Array.from({ length: MOST_ENGINES }, () => ({ turns: true })),
  thrusters: MOST_THRUSTERS,
  lines: MOST_LINES,
  sounded: true,
  others: MOST_OTHERS,
  locks: Array.from({ length: MOST_LOCKS }, () => MOST_PADDLES),
  told: false,
};

/** The locks a record tells of. */
export const locksOf = ({ gates }: World) => (gates?.locks ?? []).slice(0, MOST_LOCKS);

/** How many of the boat's lines, and of the others', are told of. */
function recorded(world: World): number {
  const tended = world.lines.tended || othersOf(world).some((other) => other.world.lines.tended);
  return tended ? Math.min(lineCount(world), MOST_LINES) : 0;
}

export const layoutOf = (world: World): Layout => ({
  engines: world.craft.spec.drives.map(({ steering }) => ({ turns: steering === 'own' })),
  thrusters: world.craft.spec.thrusters.length,
  lines: recorded(world),
  sounded: sounded(world.environment) || Boolean(world.gates),
  others: Math.min(othersOf(world).length, MOST_OTHERS),
  locks: locksOf(world).map(({ lock }) => lock.paddles.length),
  told: false,
});

const times = <T>(count: number, make: () => T): readonly T[] =>
  Array.from({ length: count }, make);

/** A record of a layout, its columns made one after another. */
export function traceOf(layout: Layout, column: () => Column): Trace {
  return {
    // One by one and in the order of OWN_COLUMNS: an object made of entries is looked up in far more slowly.
    time: column(),
    x: column(),
    y: column(),
    heading: column(),
    surge: column(),
    sway: column(),
    yawRate: column(),
    groundSpeed: column(),
    rudder: column(),
    clearance: column(),
    engines: layout.engines.map(({ turns }) => ({
      gear: column(),
      throttle: column(),
      rps: column(),
      angle: turns ? column() : null,
    })),
    thrusters: times(layout.thrusters, column),
    lines: times(layout.lines, () => ({
      tension: column(),
      made: column(),
      length: column(),
      endX: column(),
      endY: column(),
    })),
    underKeel: layout.sounded ? column() : null,
    others: times(layout.others, () => ({ x: column(), y: column(), heading: column() })),
    locks: layout.locks.map((paddles) => ({
      chamber: column(),
      upper: column(),
      lower: column(),
      leaves: times(4, column),
      paddles: times(paddles, column),
    })),
    told: layout.told ? { depth: column(), wind: column(), windAngle: column() } : null,
  };
}

/** The layout of a record that is there. */
export const layoutIn = (trace: Trace): Layout => ({
  engines: trace.engines.map(({ angle }) => ({ turns: angle !== null })),
  thrusters: trace.thrusters.length,
  lines: trace.lines.length,
  sounded: trace.underKeel !== null,
  others: trace.others.length,
  locks: trace.locks.map(({ paddles }) => paddles.length),
  told: trace.told !== null,
});

/**
 * The columns of a record by the names files have them under: the first engine's have no number, everything else counts from one.
 * A boat without an engine has one that does nothing.
 */
export function namedColumns(trace: Trace): Readonly<Record<string, Column>> {
  const { clearance, told } = trace;
  const named: Record<string, Column> = {};
  for (const name of OWN_COLUMNS) if (name !== 'clearance') named[name] = trace[name];
  const [first, ...more] = trace.engines;
  const nothing = () => new Float64Array(trace.time.length);
  named.gear = first?.gear ?? nothing();
  named.throttle = first?.throttle ?? nothing();
  named.rps = first?.rps ?? nothing();
  named.clearance = clearance;
  if (first?.angle) named.angle1 = first.angle;
  more.forEach(({ gear, throttle, rps, angle }, i) => {
    const number = i + 2;
    named[`gear${number}`] = gear;
    named[`throttle${number}`] = throttle;
    named[`rps${number}`] = rps;
    if (angle) named[`angle${number}`] = angle;
  });
  trace.thrusters.forEach((power, i) => {
    named[`thruster${i + 1}`] = power;
  });
  trace.lines.forEach((line, i) => {
    for (const [what, column] of Object.entries(line)) named[`${what}${i + 1}`] = column as Column;
  });
  if (trace.underKeel) named.underKeel = trace.underKeel;
  trace.others.forEach(({ x, y, heading }, i) => {
    named[`other${i + 1}X`] = x;
    named[`other${i + 1}Y`] = y;
    named[`other${i + 1}Heading`] = heading;
  });
  trace.locks.forEach(({ chamber, upper, lower, leaves, paddles }, i) => {
    const lock = `lock${i + 1}`;
    named[`${lock}Chamber`] = chamber;
    named[`${lock}Upper`] = upper;
    named[`${lock}Lower`] = lower;
    leaves.forEach((leaf, k) => {
      named[`${lock}Leaf${k + 1}`] = leaf;
    });
    paddles.forEach((paddle, k) => {
      named[`${lock}Paddle${k + 1}`] = paddle;
    });
  });
  if (told) {
    named.toldDepth = told.depth;
    named.toldWind = told.wind;
    named.toldWindAngle = told.windAngle;
  }
  return named;
}

/** Every name a column of a run's file may have. */
export const COLUMN_NAMES = Object.keys(
  namedColumns(traceOf(WHOLE, () => new Float64Array(0))),
) as [string, ...string[]];

/** How many columns a record of a layout has. */
export function columnCount(layout: Layout): number {
  let count = 0;
  const counted = new Float64Array(0);
  traceOf(layout, () => {
    count += 1;
    return counted;
  });
  return count;
}

/** All columns of a record, in the order `traceOf` makes them. */
export function columnsIn(trace: Trace): readonly Column[] {
  return [
    ...OWN_COLUMNS.map((name) => trace[name]),
    ...trace.engines.flatMap(({ gear, throttle, rps, angle }) => [
      gear,
      throttle,
      rps,
      ...(angle ? [angle] : []),
    ]),
    ...trace.thrusters,
    ...trace.lines.flatMap((line) => Object.values(line) as Column[]),
    ...(trace.underKeel ? [trace.underKeel] : []),
    ...trace.others.flatMap((other) => Object.values(other) as Column[]),
    ...trace.locks.flatMap(({ chamber, upper, lower, leaves, paddles }) => [
      chamber,
      upper,
      lower,
      ...leaves,
      ...paddles,
    ]),
    ...(trace.told ? (Object.values(trace.told) as Column[]) : []),
  ];
}

/** The same record of other columns, made from each of its own. */
export function mapColumns(trace: Trace, change: (column: Column) => Column): Trace {
  const columns = columnsIn(trace).values();
  return traceOf(layoutIn(trace), () => change(columns.next().value!));
}
