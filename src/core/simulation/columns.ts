import { sounded } from './aground';
import { lineCount } from './lines-now';
import { othersOf, type World } from './world';

/** Columns of a run's record, one Float64Array each, sampled every SAMPLE_S. SI and radians. */
export const TRACE_COLUMNS = [
  'time',
  'x',
  'y',
  'heading',
  'surge',
  'sway',
  'yawRate',
  'groundSpeed',
  'rudder',
  'gear',
  'throttle',
  'rps',
  'clearance',
] as const;

/**
 * Columns only some boats have: engines after the first, thrusters (power −1 … 1), drives' own angles; and of each line
 * hands may tend its tension, N, what is made of it (MADE) and its length without load, m; water under her where the depth is
 * known, m; place and heading of each of the other boats.
 */
export const MORE_COLUMNS = [
  'gear2',
  'throttle2',
  'rps2',
  'gear3',
  'throttle3',
  'rps3',
  'gear4',
  'throttle4',
  'rps4',
  'thruster1',
  'thruster2',
  'angle1',
  'angle2',
  'angle3',
  'angle4',
  'tension1',
  'tension2',
  'tension3',
  'tension4',
  'tension5',
  'tension6',
  'tension7',
  'tension8',
  'tension9',
  'tension10',
  'tension11',
  'tension12',
  'made1',
  'made2',
  'made3',
  'made4',
  'made5',
  'made6',
  'made7',
  'made8',
  'made9',
  'made10',
  'made11',
  'made12',
  'length1',
  'length2',
  'length3',
  'length4',
  'length5',
  'length6',
  'length7',
  'length8',
  'length9',
  'length10',
  'length11',
  'length12',
  'endX1',
  'endY1',
  'endX2',
  'endY2',
  'endX3',
  'endY3',
  'endX4',
  'endY4',
  'endX5',
  'endY5',
  'endX6',
  'endY6',
  'endX7',
  'endY7',
  'endX8',
  'endY8',
  'endX9',
  'endY9',
  'endX10',
  'endY10',
  'endX11',
  'endY11',
  'endX12',
  'endY12',
  'underKeel',
  'other1X',
  'other1Y',
  'other1Heading',
  'other2X',
  'other2Y',
  'other2Heading',
  'other3X',
  'other3Y',
  'other3Heading',
  'other4X',
  'other4Y',
  'other4Heading',
] as const;

/** Locks a record has columns for, and paddles of each. */
export const MOST_LOCKS = 2;
export const MOST_PADDLES = 12;

/** Columns of a lock, from 1: its levels, how far its leaves (LEAF) are open, and its paddles. */
type PaddleNumber = 1 | 2 | 3 | 4 | 5 | 6 | 7 | 8 | 9 | 10 | 11 | 12;
export type LockColumn =
  `lock${1 | 2}${'Chamber' | 'Upper' | 'Lower' | `Leaf${1 | 2 | 3 | 4}` | `Paddle${PaddleNumber}`}`;

/** Columns of the ith lock (0 or 1) with so many paddles: chamber, upper and lower level, four leaves, paddles. */
export function lockColumns(i: number, paddles: number): readonly LockColumn[] {
  const of = (what: string) => `lock${i + 1}${what}` as LockColumn;
  return [
    of('Chamber'),
    of('Upper'),
    of('Lower'),
    ...[1, 2, 3, 4].map((k) => of(`Leaf${k}`)),
    ...Array.from({ length: paddles }, (_, k) => of(`Paddle${k + 1}`)),
  ];
}

/** Every column a lock may have. */
export const LOCK_COLUMNS: readonly LockColumn[] = [0, 1].flatMap((i) =>
  lockColumns(i, MOST_PADDLES),
);

/** Lines, and other boats, a record has columns for. */
export const MOST_LINES = 12;
export const MOST_OTHERS = 4;

/** What only a boat's own instruments tell: depth at the sounder, m; wind felt aboard, m/s, and from where off the bow, rad to starboard. */
export type ToldColumn = 'toldDepth' | 'toldWind' | 'toldWindAngle';

export type TraceColumn = (typeof TRACE_COLUMNS)[number];
export type MoreColumn = (typeof MORE_COLUMNS)[number] | LockColumn | ToldColumn;
export type Trace = Readonly<
  Record<TraceColumn, Float64Array> & Partial<Record<MoreColumn, Float64Array>>
>;

/** Time between samples, s: a whole number of steps. */
export const SAMPLE_S = 0.1;

/** Column of a thing counted from 0: the first engine's has no number. */
export function engineColumn(
  what: 'gear' | 'throttle' | 'rps',
  engine: number,
): TraceColumn | MoreColumn {
  return engine === 0 ? what : (`${what}${engine + 1}` as MoreColumn);
}

/** The columns a record of that world has. */
export function columnsFor(world: World): (TraceColumn | MoreColumn)[] {
  const { craft } = world;
  const { drives, thrusters } = craft.spec;
  const more = drives.flatMap((drive, i) => {
    const own = drive.steering === 'own' ? [`angle${i + 1}`] : [];
    return i === 0 ? own : [`gear${i + 1}`, `throttle${i + 1}`, `rps${i + 1}`, ...own];
  });
  return [
    ...TRACE_COLUMNS,
    ...(more as MoreColumn[]),
    ...thrusters.map((_, i) => `thruster${i + 1}` as MoreColumn),
    ...Array.from({ length: recorded(world) }, (_, i) =>
      LINE_RECORD.map((what) => `${what}${i + 1}` as MoreColumn),
    ).flat(),
    ...(sounded(world.environment) || world.gates ? (['underKeel'] as const) : []),
    ...othersOf(world)
      .slice(0, MOST_OTHERS)
      .flatMap((_, i) => otherColumns(i)),
    ...locksOf(world).flatMap(({ lock }, i) => lockColumns(i, lock.paddles.length)),
  ];
}

/** The locks a record tells of. */
export const locksOf = ({ gates }: World) => (gates?.locks ?? []).slice(0, MOST_LOCKS);

/** Columns of the ith other boat: east, north, heading. */
export function otherColumns(i: number): readonly [MoreColumn, MoreColumn, MoreColumn] {
  const of = (what: string) => `other${i + 1}${what}` as MoreColumn;
  return [of('X'), of('Y'), of('Heading')];
}

/** What is recorded of each line: tension, N, what is made of it, length without load, m, and where its end is, m. */
export const LINE_RECORD = ['tension', 'made', 'length', 'endX', 'endY'] as const;

/** How many of her lines, and of the others', are told of. */
export function recorded(world: World): number {
  const tended = world.lines.tended || othersOf(world).some((other) => other.world.lines.tended);
  return tended ? Math.min(lineCount(world), MOST_LINES) : 0;
}
