import { GROUND, LINE, LINE_COLUMNS } from '../holding';
import type { LockState } from '../locks';
import {
  columnCount,
  layoutIn,
  layoutOf,
  mapColumns,
  traceOf,
  type Layout,
  type LineColumns,
  type LockColumns,
  type Trace,
} from './columns';
import { lineAt, lineEnd } from './lines-now';
import { PSI, R, U, V, X, Y, type SimState } from './state';
import type { Simulation } from './simulation';
import type { LineAt, World } from './world';

/** Filled so far a record is handed over as it is; less, it is copied, so that what is not used goes. */
const FULL_SHARE = 0.9;

/** What seldom changes about a line: what is made of it, its length, and where its end is. */
interface Seldom {
  readonly columns: readonly [Float64Array, Float64Array, Float64Array, Float64Array];
  /** That, as it was last; and the sample from which on it has been so, which is written down once it changes. */
  readonly last: Float64Array;
  since: number;
}

const seldomOf = ({ made, length, endX, endY }: LineColumns): Seldom => ({
  columns: [made, length, endX, endY],
  last: new Float64Array(4).fill(NaN),
  since: 0,
});

/** A record of columns of one length, side by side in one buffer: two dozen of their own cost more than what is written in them. */
function sideBySide(layout: Layout, length: number): Trace {
  const all = new Float64Array(columnCount(layout) * length);
  let next = 0;
  return traceOf(layout, () => all.subarray(next++ * length, next * length));
}

function writeLock(columns: LockColumns, lock: LockState, i: number): void {
  columns.chamber[i] = lock.chamber;
  columns.upper[i] = lock.upper;
  columns.lower[i] = lock.lower;
  for (let k = 0; k < 4; k++) columns.leaves[k]![i] = lock.leaves[k]!;
  for (let k = 0; k < lock.open.length; k++) columns.paddles[k]![i] = lock.open[k]!;
}

/** Grows a trace sample by sample. */
export class TraceWriter {
  private readonly trace: Trace;
  private readonly seldom: readonly Seldom[];
  private readonly where: readonly LineAt[];
  private length = 0;

  constructor(
    private readonly capacity: number,
    private readonly world: World,
  ) {
    this.trace = sideBySide(layoutOf(world), capacity);
    this.seldom = this.trace.lines.map(seldomOf);
    this.where = this.trace.lines.map((_, k) => lineAt(world, k));
  }

  /** @param underKeel water under the boat, m; kept where the depth is known
   * @param now with its place over the ground, and the lines' tensions, as they stand */
  write(now: Simulation, clearance: number, underKeel: number): void {
    const { ground, state } = now;
    if (this.length >= this.capacity) return;
    const i = this.length++;
    const { trace } = this;
    const { motion } = state;
    trace.time[i] = state.time;
    trace.x[i] = motion[X]!;
    trace.y[i] = motion[Y]!;
    trace.heading[i] = motion[PSI]!;
    trace.surge[i] = motion[U]!;
    trace.sway[i] = motion[V]!;
    trace.yawRate[i] = motion[R]!;
    const ahead = ground[GROUND.SURGE]!;
    const across = ground[GROUND.SWAY]!;
    trace.groundSpeed[i] = Math.sqrt(ahead * ahead + across * across);
    trace.rudder[i] = state.angles[0]!;
    trace.clearance[i] = clearance;
    if (trace.underKeel) trace.underKeel[i] = underKeel;
    this.writeEngines(state, i);
    for (let k = 0; k < trace.lines.length; k++) this.writeLine(now, i, k);
    for (let k = 0; k < trace.locks.length; k++) writeLock(trace.locks[k]!, state.locks[k]!, i);
    for (let k = 0; k < trace.others.length; k++) {
      const { x, y, heading } = trace.others[k]!;
      const other = state.others[k]!.motion;
      x[i] = other[X]!;
      y[i] = other[Y]!;
      heading[i] = other[PSI]!;
    }
  }

  private writeLine(now: Simulation, i: number, k: number): void {
    const { state } = now;
    const seldom = this.seldom[k]!;
    const { last } = seldom;
    // Read where they stand: a look-up for each would cost more than what is written.
    const { boat, row } = this.where[k]!;
    const rows = boat === 0 ? state.lines : state.others[boat - 1]!.lines;
    const at = row * LINE_COLUMNS;
    this.trace.lines[k]!.tension[i] =
      boat === 0 ? now.vessel.scratch.tension[row]! : now.tensionOf(k);
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
    this.fill(seldom, i);
    last[0] = made;
    last[1] = length;
    last[2] = x;
    last[3] = y;
  }

  /** Writes down what has been so of a line up to before sample `i`. */
  private fill(seldom: Seldom, i: number): void {
    for (let c = 0; c < 4; c++) seldom.columns[c]!.fill(seldom.last[c]!, seldom.since, i);
    seldom.since = i;
  }

  private writeEngines({ engines, thrusters, angles }: SimState, i: number): void {
    const { driveChannel } = this.world.craft;
    const { trace } = this;
    for (let k = 0; k < trace.engines.length; k++) {
      const engine = engines[k]!;
      const { gear, throttle, rps, angle } = trace.engines[k]!;
      gear[i] = engine.engaged;
      throttle[i] = engine.throttle;
      rps[i] = engine.rps;
      if (angle) angle[i] = angles[driveChannel[k]!]!;
    }
    for (let k = 0; k < trace.thrusters.length; k++) trace.thrusters[k]![i] = thrusters[k]!.power;
  }

  /** The record of a run that is over and of which nothing more is asked: its columns themselves where they are as good as full. */
  handOver(): Trace {
    if (this.length < FULL_SHARE * this.capacity) return this.finish();
    for (const seldom of this.seldom) this.fill(seldom, this.length);
    return mapColumns(this.trace, (column) => column.subarray(0, this.length));
  }

  /** The record so far, cut to length; or no more than its last samples. */
  finish(samples = this.length): Trace {
    for (const seldom of this.seldom) this.fill(seldom, this.length);
    const from = Math.max(0, this.length - samples);
    const length = this.length - from;
    const all = new Float64Array(columnCount(layoutIn(this.trace)) * length);
    let next = 0;
    return mapColumns(this.trace, (column) => {
      const cut = all.subarray(next++ * length, next * length);
      cut.set(column.subarray(from, this.length));
      return cut;
    });
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
