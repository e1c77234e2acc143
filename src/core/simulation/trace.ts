import { GROUND, LINE, LINE_COLUMNS } from '../holding';
import type { LockState } from '../locks';
import {
  columnsFor,
  engineColumn,
  type LINE_RECORD,
  lockColumns,
  locksOf,
  MOST_OTHERS,
  otherColumns,
  recorded,
  type MoreColumn,
  type Trace,
  type TraceColumn,
} from './columns';
import { lineAt, lineEnd } from './lines-now';
import { PSI, R, U, V, X, Y, type SimState } from './state';
import type { Simulation } from './simulation';
import { othersOf, type LineAt, type World } from './world';

/** Filled so far a record is handed over as it is; less, it is copied, so that what is not used goes. */
const FULL_SHARE = 0.9;

/** Columns of every boat, by themselves: looked up among all of a record they cost more than what is written. */
type OwnColumns = Readonly<Record<Exclude<TraceColumn, 'gear' | 'throttle' | 'rps'>, Float64Array>>;

interface EngineColumns {
  readonly gear: Float64Array;
  readonly throttle: Float64Array;
  readonly rps: Float64Array;
  readonly angle: Float64Array | null;
}

interface LineColumns {
  readonly pull: Float64Array;
  /** What seldom changes about it: what is made of it, its length, and where its end is. */
  readonly seldom: readonly [Float64Array, Float64Array, Float64Array, Float64Array];
  /** That, as it was last; and the sample from which on it has been so, which is written down once it changes. */
  readonly last: Float64Array;
  since: number;
}

/** Columns of one length, side by side in one buffer: two dozen of their own cost more than what is written in them. */
function sideBySide<T extends string>(
  names: readonly T[],
  length: number,
): Partial<Record<T, Float64Array>> {
  const all = new Float64Array(names.length * length);
  const columns: Partial<Record<T, Float64Array>> = {};
  names.forEach((name, i) => {
    columns[name] = all.subarray(i * length, (i + 1) * length);
  });
  return columns;
}

function writeLock(columns: readonly Float64Array[], lock: LockState, i: number): void {
  columns[0]![i] = lock.chamber;
  columns[1]![i] = lock.upper;
  columns[2]![i] = lock.lower;
  for (let k = 0; k < 4; k++) columns[3 + k]![i] = lock.leaves[k]!;
  for (let k = 0; k < lock.open.length; k++) columns[7 + k]![i] = lock.open[k]!;
}

/** Grows a trace sample by sample. Heading is unwrapped; gear, throttle and rps are the first engine's. */
export class TraceWriter {
  private readonly names: readonly (TraceColumn | MoreColumn)[];
  private readonly columns: Partial<Record<TraceColumn | MoreColumn, Float64Array>>;
  /** The same columns by what they are of, found once: three and perhaps an angle for each engine, one a thruster. */
  private readonly ofEngine: readonly EngineColumns[];
  private readonly own: OwnColumns;
  private readonly ofKeel: Float64Array | null;
  private readonly ofThruster: readonly Float64Array[];
  private readonly ofLine: readonly LineColumns[];
  private readonly where: readonly LineAt[];
  private readonly ofOther: readonly (readonly Float64Array[])[];
  private readonly ofLock: readonly (readonly Float64Array[])[];
  private length = 0;

  constructor(
    private readonly capacity: number,
    private readonly world: World,
  ) {
    this.names = columnsFor(world);
    this.columns = sideBySide(this.names, capacity);
    const c = this.columns as Record<TraceColumn, Float64Array>;
    const { time, x, y, heading, surge, sway, yawRate, groundSpeed, rudder, clearance } = c;
    this.own = { time, x, y, heading, surge, sway, yawRate, groundSpeed, rudder, clearance };
    this.ofKeel = this.columns.underKeel ?? null;
    const { drives, thrusters } = world.craft.spec;
    this.ofEngine = drives.map((_, k) => ({
      gear: this.columns[engineColumn('gear', k)]!,
      throttle: this.columns[engineColumn('throttle', k)]!,
      rps: this.columns[engineColumn('rps', k)]!,
      angle: this.columns[`angle${k + 1}` as MoreColumn] ?? null,
    }));
    const ofLine = (what: (typeof LINE_RECORD)[number], k: number) =>
      this.columns[`${what}${k + 1}` as MoreColumn]!;
    this.ofLine = Array.from({ length: recorded(world) }, (_, k) => ({
      pull: ofLine('tension', k),
      seldom: [ofLine('made', k), ofLine('length', k), ofLine('endX', k), ofLine('endY', k)],
      last: new Float64Array(4).fill(NaN),
      since: 0,
    }));
    this.where = this.ofLine.map((_, k) => lineAt(world, k));
    this.ofOther = othersOf(world)
      .slice(0, MOST_OTHERS)
      .map((_, k) => otherColumns(k).map((name) => this.columns[name]!));
    this.ofLock = locksOf(world).map(({ lock }, k) =>
      lockColumns(k, lock.paddles.length).map((name) => this.columns[name]!),
    );
    this.ofThruster = thrusters.map((_, k) => this.columns[`thruster${k + 1}` as MoreColumn]!);
  }

  /** @param underKeel water under her, m; kept where the depth is known
   * @param now with her place over the ground, and the lines' tensions, as they stand */
  write(now: Simulation, clearance: number, underKeel: number): void {
    const { ground, state } = now;
    if (this.length >= this.capacity) return;
    const i = this.length++;
    const c = this.own;
    const { motion } = state;
    c.time[i] = state.time;
    c.x[i] = motion[X]!;
    c.y[i] = motion[Y]!;
    c.heading[i] = motion[PSI]!;
    c.surge[i] = motion[U]!;
    c.sway[i] = motion[V]!;
    c.yawRate[i] = motion[R]!;
    const ahead = ground[GROUND.SURGE]!;
    const across = ground[GROUND.SWAY]!;
    c.groundSpeed[i] = Math.sqrt(ahead * ahead + across * across);
    c.rudder[i] = state.angles[0]!;
    c.clearance[i] = clearance;
    if (this.ofKeel) this.ofKeel[i] = underKeel;
    this.writeEngines(state, i);
    for (let k = 0; k < this.ofLine.length; k++) this.writeLine(now, i, k);
    for (let k = 0; k < this.ofLock.length; k++) writeLock(this.ofLock[k]!, state.locks[k]!, i);
    for (let k = 0; k < this.ofOther.length; k++) {
      const [x, y, heading] = this.ofOther[k]!;
      const other = state.others[k]!.motion;
      x![i] = other[X]!;
      y![i] = other[Y]!;
      heading![i] = other[PSI]!;
    }
  }

  private writeLine(now: Simulation, i: number, k: number): void {
    const { state } = now;
    const columns = this.ofLine[k]!;
    const { last } = columns;
    // Read where they stand: a look-up for each would cost more than what is written.
    const { boat, row } = this.where[k]!;
    const rows = boat === 0 ? state.lines : state.others[boat - 1]!.lines;
    const at = row * LINE_COLUMNS;
    columns.pull[i] = boat === 0 ? now.vessel.scratch.tension[row]! : now.tensionOf(k);
    const made = rows[at + LINE.MADE]!;
    const length = rows[at + LINE.LENGTH]!;
    let x = rows[at + LINE.EAST]!;
    let y = rows[at + LINE.NORTH]!;
    if (rows[at + LINE.ON] !== 0) {
      const end = lineEnd(state, this.world, k);
      x = end.x;
      y = end.y;
    }
    if (made === last[0] && length === last[1] && x === last[2] && y === last[3]) return;
    this.fill(columns, i);
    last[0] = made;
    last[1] = length;
    last[2] = x;
    last[3] = y;
  }

  /** Writes down what has been so of a line up to before sample `i`. */
  private fill(columns: LineColumns, i: number): void {
    for (let c = 0; c < 4; c++) columns.seldom[c]!.fill(columns.last[c]!, columns.since, i);
    columns.since = i;
  }

  private writeEngines({ engines, thrusters, angles }: SimState, i: number): void {
    const { driveChannel } = this.world.craft;
    for (let k = 0; k < this.ofEngine.length; k++) {
      const engine = engines[k]!;
      const { gear, throttle, rps, angle } = this.ofEngine[k]!;
      gear[i] = engine.engaged;
      throttle[i] = engine.throttle;
      rps[i] = engine.rps;
      if (angle) angle[i] = angles[driveChannel[k]!]!;
    }
    for (let k = 0; k < this.ofThruster.length; k++) this.ofThruster[k]![i] = thrusters[k]!.power;
  }

  /** The record of a run that is over and of which nothing more is asked: its columns themselves where they are as good as full. */
  handOver(): Trace {
    if (this.length < FULL_SHARE * this.capacity) return this.finish();
    for (const columns of this.ofLine) this.fill(columns, this.length);
    const views: Partial<Record<TraceColumn | MoreColumn, Float64Array>> = {};
    for (const name of this.names) views[name] = this.columns[name]!.subarray(0, this.length);
    return views as Trace;
  }

  /** The record so far, cut to length; or no more than its last samples. */
  finish(samples = this.length): Trace {
    for (const columns of this.ofLine) this.fill(columns, this.length);
    const from = Math.max(0, this.length - samples);
    const cut = sideBySide(this.names, this.length - from);
    for (const name of this.names) cut[name]!.set(this.columns[name]!.subarray(from, this.length));
    return cut as Trace;
  }
}

/** Index of the last sample of a record at or before a time. */
export function sampleBefore({ time }: Trace, at: number): number {
  let low = 0;
  let high = time.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (time[middle]! <= at) low = middle;
    else high = middle - 1;
  }
  return low;
}
