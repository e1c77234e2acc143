import type { World } from './derivative';
import { groundSpeed } from './readings';
import { PSI, R, U, V, X, Y, type SimState } from './state';

/** Columns of a take's record, one Float64Array each, sampled every SAMPLE_S. SI and radians. */
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

export type TraceColumn = (typeof TRACE_COLUMNS)[number];
export type Trace = Readonly<Record<TraceColumn, Float64Array>>;

/** Time between samples, s: a whole number of steps. */
export const SAMPLE_S = 0.1;

/** Grows a trace sample by sample. Heading is unwrapped; gear, throttle and rps are the first engine's. */
export class TraceWriter {
  private readonly columns: Record<TraceColumn, Float64Array>;
  private length = 0;

  constructor(private readonly capacity: number) {
    this.columns = Object.fromEntries(
      TRACE_COLUMNS.map((name) => [name, new Float64Array(capacity)]),
    ) as Record<TraceColumn, Float64Array>;
  }

  write(state: SimState, world: World, clearance: number): void {
    if (this.length >= this.capacity) return;
    const i = this.length++;
    const c = this.columns;
    const { motion } = state;
    const engine = state.engines[0];
    c.time[i] = state.time;
    c.x[i] = motion[X]!;
    c.y[i] = motion[Y]!;
    c.heading[i] = motion[PSI]!;
    c.surge[i] = motion[U]!;
    c.sway[i] = motion[V]!;
    c.yawRate[i] = motion[R]!;
    c.groundSpeed[i] = groundSpeed(state, world);
    c.rudder[i] = state.rudder;
    c.gear[i] = engine?.engaged ?? 0;
    c.throttle[i] = engine?.throttle ?? 0;
    c.rps[i] = engine?.rps ?? 0;
    c.clearance[i] = clearance;
  }

  /** The record so far, cut to length. */
  finish(): Trace {
    return Object.fromEntries(
      TRACE_COLUMNS.map((name) => [name, this.columns[name].slice(0, this.length)]),
    ) as Record<TraceColumn, Float64Array>;
  }
}
