import { groundSpeed } from './readings';
import { PSI, R, U, V, X, Y, type SimState } from './state';
import type { World } from './world';

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

/** Columns only some boats have: engines after the first, thrusters (power −1 … 1), drives' own angles. */
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
] as const;

export type TraceColumn = (typeof TRACE_COLUMNS)[number];
export type MoreColumn = (typeof MORE_COLUMNS)[number];
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

function columnsFor({ craft }: World): (TraceColumn | MoreColumn)[] {
  const { drives, thrusters } = craft.spec;
  const more = drives.flatMap((drive, i) => {
    const own = drive.steering === 'own' ? [`angle${i + 1}`] : [];
    return i === 0 ? own : [`gear${i + 1}`, `throttle${i + 1}`, `rps${i + 1}`, ...own];
  });
  return [
    ...TRACE_COLUMNS,
    ...(more as MoreColumn[]),
    ...thrusters.map((_, i) => `thruster${i + 1}` as MoreColumn),
  ];
}

interface EngineColumns {
  readonly gear: Float64Array;
  readonly throttle: Float64Array;
  readonly rps: Float64Array;
  readonly angle: Float64Array | null;
}

/** Grows a trace sample by sample. Heading is unwrapped; gear, throttle and rps are the first engine's. */
export class TraceWriter {
  private readonly columns: Partial<Record<TraceColumn | MoreColumn, Float64Array>>;
  /** The same columns by what they are of, found once: three and perhaps an angle for each engine, one a thruster. */
  private readonly ofEngine: readonly EngineColumns[];
  private readonly ofThruster: readonly Float64Array[];
  private length = 0;

  constructor(
    private readonly capacity: number,
    private readonly world: World,
  ) {
    this.columns = Object.fromEntries(
      columnsFor(world).map((name) => [name, new Float64Array(capacity)]),
    );
    const { drives, thrusters } = world.craft.spec;
    this.ofEngine = drives.map((_, k) => ({
      gear: this.columns[engineColumn('gear', k)]!,
      throttle: this.columns[engineColumn('throttle', k)]!,
      rps: this.columns[engineColumn('rps', k)]!,
      angle: this.columns[`angle${k + 1}` as MoreColumn] ?? null,
    }));
    this.ofThruster = thrusters.map((_, k) => this.columns[`thruster${k + 1}` as MoreColumn]!);
  }

  write(state: SimState, clearance: number): void {
    if (this.length >= this.capacity) return;
    const i = this.length++;
    const c = this.columns as Record<TraceColumn, Float64Array>;
    const { motion } = state;
    c.time[i] = state.time;
    c.x[i] = motion[X]!;
    c.y[i] = motion[Y]!;
    c.heading[i] = motion[PSI]!;
    c.surge[i] = motion[U]!;
    c.sway[i] = motion[V]!;
    c.yawRate[i] = motion[R]!;
    c.groundSpeed[i] = groundSpeed(state, this.world);
    c.rudder[i] = state.angles[0]!;
    c.clearance[i] = clearance;
    this.writeEngines(state, i);
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

  /** The record so far, cut to length. */
  finish(): Trace {
    return Object.fromEntries(
      Object.entries(this.columns).map(([name, values]) => [name, values.slice(0, this.length)]),
    ) as unknown as Trace;
  }
}
