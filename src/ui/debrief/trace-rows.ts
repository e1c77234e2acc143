import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { Trace } from '@/core/simulation';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { lengthIn, speedIn, type Units } from '../words/units';
import type { Boat } from '@/document';

/** Height of a row, px. */
export const ROW = 40;
const MOST_POINTS = 600;

interface Row {
  readonly name: string;
  readonly of: (trace: Trace) => Float64Array | null | undefined;
  readonly shown: (value: number) => number;
  readonly unit: string;
  /** Least span shown, in the unit. */
  readonly least: readonly [number, number];
  readonly digits: number;
}

/** What is drawn of a boat's track, each in a row of its own; what it does not tell has none. */
export function rowsFor(
  { boat, trace }: { readonly boat: Boat; readonly trace: Trace },
  units: Units,
): Row[] {
  const rows: Row[] = [
    {
      name: 'over ground',
      of: (t) => t.groundSpeed,
      shown: (mps) => speedIn(mps, units.speed),
      unit: units.speed,
      least: [0, 1],
      digits: 1,
    },
    {
      name: 'turning',
      of: (t) => t.yawRate,
      shown: (rate) => rate * DEGREES_PER_RADIAN,
      unit: '°/s',
      least: [-2, 2],
      digits: 0,
    },
    {
      name: boat.steering.control,
      of: (t) => t.rudder,
      shown: (angle) => angle * DEGREES_PER_RADIAN,
      unit: '°',
      least: [-10, 10],
      digits: 0,
    },
  ];
  boat.drives.forEach((drive, i) => {
    rows.push({
      name: boat.drives.length > 1 ? drive.name : 'propeller',
      of: (t) => t.engines[i]?.rps,
      shown: (rps) => rps * 60,
      unit: 'rpm',
      least: [-100, 100],
      digits: 0,
    });
  });
  boat.thrusters.forEach((thruster, i) => {
    rows.push({
      name: thruster.name,
      of: (t) => t.thrusters[i],
      shown: (power) => 100 * power,
      unit: '%',
      least: [-100, 100],
      digits: 0,
    });
  });
  rows.push(
    {
      name: 'sounder',
      of: (t) => t.told?.depth,
      shown: (depth) => lengthIn(depth, units.length),
      unit: units.length,
      least: [0, 2],
      digits: 1,
    },
    {
      name: 'apparent',
      of: (t) => t.told?.wind,
      shown: (mps) => speedIn(mps, units.speed),
      unit: units.speed,
      least: [0, 5],
      digits: 0,
    },
    {
      name: 'off the bow',
      of: (t) => t.told?.windAngle,
      shown: (angle) => angle * DEGREES_PER_RADIAN,
      unit: '°',
      least: [-30, 30],
      digits: 0,
    },
  );
  return rows.filter(({ of }) => of(trace)?.some((value) => !Number.isNaN(value)));
}

/** Every so many samples, the first and the last among them. */
function thinned(time: Float64Array, values: Float64Array): [number, number][] {
  const stride = Math.max(1, Math.ceil(time.length / MOST_POINTS));
  const points: [number, number][] = [];
  for (let i = 0; i < time.length; i += stride) points.push([time[i]!, values[i]!]);
  return points;
}

/** A run as it is drawn: what it recorded, and where along the axis each sample stands, s. */
export interface Drawn {
  readonly trace: Trace;
  readonly times: Float64Array;
}

/** The curves of one row, a path for each run. */
export function curves(row: Row, top: number, x: (t: number) => number, runs: readonly Drawn[]) {
  const columns = runs.map(({ trace }) => row.of(trace));
  const spans = columns.flatMap((column) =>
    column ? extent(column, row.shown).filter((end) => end !== undefined) : [],
  );
  const low = Math.min(row.least[0], ...spans);
  const high = Math.max(row.least[1], ...spans);
  const y = scaleLinear([low, high], [top + ROW, top + 2]);
  const path = line<[number, number]>()
    .defined(([, value]) => !Number.isNaN(value))
    .x(([t]) => x(t))
    .y(([, value]) => y(row.shown(value)));
  return {
    row,
    top,
    zero: y(0),
    low: `${low.toFixed(row.digits)} ${row.unit}`,
    high: `${high.toFixed(row.digits)} ${row.unit}`,
    paths: runs.map(({ times }, i) => {
      const column = columns[i];
      return column ? (path(thinned(times, column)) ?? '') : '';
    }),
  };
}
