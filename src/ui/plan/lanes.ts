import { extent } from 'd3-array';
import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import simplify from 'simplify-js';
import type { BoatSpec } from '@/core/boat';
import type { Run } from '@/core/plan';
import { sampleBefore, type OwnColumn } from '@/core/simulation';
import { DEGREES_PER_RADIAN } from '@/core/units';
import type { PlanDocument } from '@/document';
import { readAt } from '../water/sample';
import { boatSpeed, heading, speedIn, type Units } from '../words/units';
import type { Lane } from './lane';
import { lineLane } from './line-lane';

type Scale = ScaleLinear<number, number>;
const PAD = 3;
/** Pixels a curve may be off where samples are left out: what runs straight needs two points. */
const OFF_PX = 0.2;

function curve(
  run: Run,
  x: Scale,
  y: Scale,
  value: (i: number) => number,
  filled: boolean,
): string {
  const { time } = run.trace;
  const bends: { x: number; y: number }[] = [];
  let before = NaN;
  let now = value(0);
  for (let i = 0; i < time.length; i++) {
    const after = i + 1 < time.length ? value(i + 1) : NaN;
    // Level ground is told by its ends.
    if (now !== before || now !== after) bends.push({ x: x(time[i]!), y: y(now) });
    before = now;
    now = after;
  }
  const points = simplify(bends, OFF_PX).map((p): [number, number] => [p.x, p.y]);
  if (!filled) return line().digits(1)(points) ?? '';
  return (
    area<[number, number]>()
      .x(([px]) => px)
      .y0(y(0))
      .y1(([, py]) => py)
      .digits(1)(points) ?? ''
  );
}

function yScale(low: number, high: number, height: number): Scale {
  return scaleLinear([low, high], [height - PAD, PAD]);
}

function range(run: Run, column: OwnColumn): [number, number] {
  const [low, high] = extent(run.trace[column]);
  return [low ?? 0, high ?? 0];
}

const degreesText = (radians: number) => {
  const degrees = Math.round(radians * DEGREES_PER_RADIAN);
  if (degrees === 0) return 'amidships';
  return `${Math.abs(degrees)}° ${degrees < 0 ? 'port' : 'stbd'}`;
};

/** Wheel: port above the line, starboard below, as wide as the lock. */
export function wheelLane(run: Run, x: Scale, limit: number, name: string, height = 36): Lane {
  const y = yScale(limit, -limit, height);
  return {
    name,
    height,
    top: 'port',
    foot: 'stbd',
    filled: false,
    path: curve(run, x, y, (i) => run.trace.rudder[i]!, false),
    zero: y(0),
    read: (time) => degreesText(readAt(run, 'rudder', time)),
  };
}

/** An engine: revolutions ahead above the line, astern below; full throttle fills the lane. */
export function engineLane(
  run: Run,
  x: Scale,
  engine: number,
  fullRps: number,
  name: string,
  height = 38,
): Lane {
  const y = yScale(-1, 1, height);
  const columns = run.trace.engines[engine];
  return {
    name,
    height,
    top: 'ahead',
    foot: 'astern',
    filled: true,
    path: curve(run, x, y, (i) => (columns?.rps[i] ?? 0) / fullRps, true),
    zero: y(0),
    read: (time) => {
      const engaged = columns?.gear[sampleBefore(run.trace, time)] ?? 0;
      return engaged > 0 ? 'ahead' : engaged < 0 ? 'astern' : 'neutral';
    },
  };
}

/** A thruster: power pushing to port above the line, to starboard below, as on the wheel. */
export function thrusterLane(
  run: Run,
  x: Scale,
  thruster: number,
  name: string,
  height = 24,
): Lane {
  const y = yScale(1, -1, height);
  const power = run.trace.thrusters[thruster];
  return {
    name,
    height,
    top: 'port',
    foot: 'stbd',
    filled: true,
    path: curve(run, x, y, (i) => power?.[i] ?? 0, true),
    zero: y(0),
    read: (time) => {
      const now = Math.round(100 * readAt(run, power, time));
      return now === 0 ? 'off' : `${Math.abs(now)} % ${now < 0 ? 'port' : 'stbd'}`;
    },
  };
}

/** Speed through the water along the keel; sternway falls below the line. */
export function speedLane(run: Run, x: Scale, units: Units, height = 42): Lane {
  const [low, high] = range(run, 'surge');
  const y = yScale(Math.min(0, low), Math.max(0.5, high), height);
  return {
    name: 'Speed',
    height,
    top: speedIn(Math.max(0.5, high), units.speed).toFixed(1),
    foot: speedIn(low, units.speed) < -0.05 ? speedIn(low, units.speed).toFixed(1) : '0',
    filled: false,
    path: curve(run, x, y, (i) => run.trace.surge[i]!, false),
    zero: y(0),
    read: (time) => boatSpeed(readAt(run, 'surge', time), units),
  };
}

/** Heading, unwrapped so that it never jumps at north; starboard upwards. */
export function headingLane(run: Run, x: Scale, height = 42): Lane {
  const [low, high] = range(run, 'heading');
  const room = Math.max(0, 0.35 - (high - low)) / 2;
  const y = yScale(low - room, high + room, height);
  return {
    name: 'Heading',
    height,
    top: heading(high + room),
    foot: heading(low - room),
    filled: false,
    path: curve(run, x, y, (i) => run.trace.heading[i]!, false),
    zero: null,
    read: (time) => heading(readAt(run, 'heading', time)),
  };
}

/** Rate of turn, port above the line as on the wheel. */
export function turnLane(run: Run, x: Scale, height = 42): Lane {
  const [low, high] = range(run, 'yawRate');
  const most = Math.max(0.03, Math.abs(low), Math.abs(high));
  const y = yScale(most, -most, height);
  const degrees = most * DEGREES_PER_RADIAN;
  // The gutter holds the reading and the scale side by side: ten and more go without tenths.
  const figure = degrees.toFixed(degrees < 10 ? 1 : 0);
  return {
    name: 'Turning',
    height,
    top: `${figure} port`,
    foot: `${figure} stbd`,
    filled: false,
    path: curve(run, x, y, (i) => run.trace.yawRate[i]!, false),
    zero: y(0),
    read: (time) => {
      const rate = readAt(run, 'yawRate', time) * DEGREES_PER_RADIAN;
      if (Math.abs(rate) < 0.05) return 'steady';
      return `${Math.abs(rate).toFixed(1)}°/s ${rate < 0 ? 'port' : 'stbd'}`;
    },
  };
}

/** Control lanes of a boat first (wheel, engines, thrusters), then what came of them. */
export interface LaneSet {
  readonly lanes: readonly Lane[];
  readonly controls: number;
}

const LOW = { wheel: 28, engine: 25, thruster: 25, reading: 34 };
const HIGH = { wheel: 34, engine: 36, thruster: 28, reading: 33 };
/** Room for lanes under one another, and between two, px. */
const LANES_PX = 186;
export const LANE_GAP = 3;

/** What hands add to the lanes. */
interface Rigged {
  readonly lines: PlanDocument['lines'];
  readonly breaks: readonly number[];
  /** Height taken by words beside the calls, px. */
  readonly words: number;
}

const NO_RIG: Rigged = { lines: [], breaks: [], words: 0 };

/** The lanes of a boat: one for each engine and thruster it has. */
export function lanesFor(
  run: Run,
  spec: BoatSpec,
  x: Scale,
  units: Units,
  rigged: Rigged = NO_RIG,
): LaneSet {
  const { drives, thrusters, steering } = spec;
  const rows = drives.length + thrusters.length + rigged.lines.length;
  const tall = rows <= 1 ? HIGH : LOW;
  const short = (name: string) =>
    `${name[0]!.toUpperCase()}${name.slice(1)}`
      .replace(' engine', '')
      // As on the wheel's lane: with a second word there is no room for all of it.
      .replace(/^Starboard (?=.)/, 'Stbd ')
      .replace(' thruster', ' thr.');
  const wheel = steering.control === 'tiller' ? 'Tiller' : 'Wheel';
  const limit = spec.rudders[0]?.limit ?? steering.driveLimit;
  const controls = [
    wheelLane(run, x, limit, wheel, tall.wheel),
    ...drives.map((d, i) =>
      engineLane(run, x, i, d.fullRps, drives.length === 1 ? 'Engine' : short(d.name), tall.engine),
    ),
    ...thrusters.map((t, i) => thrusterLane(run, x, i, short(t.name), tall.thruster)),
    ...(rigged.lines.length > 0 ? [lineLane(run, x, rigged.lines, rigged.breaks, units)] : []),
  ];
  const readings = [
    speedLane(run, x, units, tall.reading),
    headingLane(run, x, tall.reading),
    turnLane(run, x, tall.reading),
  ];
  const taken = controls.reduce((sum, { height }) => sum + height + LANE_GAP, rigged.words);
  const room = Math.max(1, Math.floor((LANES_PX - taken) / (tall.reading + LANE_GAP)));
  return { lanes: [...controls, ...readings.slice(0, room)], controls: controls.length };
}
