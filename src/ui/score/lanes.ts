import { extent } from 'd3-array';
import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { area, curveLinear, line } from 'd3-shape';
import type { Take } from '@/core/score';
import type { TraceColumn } from '@/core/sim';
import { DEGREES_PER_RADIAN } from '@/core/units';
import { readAt } from '../water/sample';
import { boatSpeed, heading, speedIn, type Units } from '../words/units';

/** A lane of the score: a curve against time with its own scale. */
export interface Lane {
  readonly name: string;
  readonly height: number;
  /** Words at the top and foot of the scale, or figures. */
  readonly top: string;
  readonly foot: string;
  /** Draws a filled area from zero instead of a line. */
  readonly filled: boolean;
  readonly path: string;
  /** y of the zero line within the lane, or null when zero is not in it. */
  readonly zero: number | null;
  /** What it reads at a moment. */
  read(time: number): string;
}

type Scale = ScaleLinear<number, number>;
const PAD = 3;
/** Points drawn along a curve at most: more than there are pixels is waste. */
const MOST_POINTS = 900;

function curve(
  take: Take,
  x: Scale,
  y: Scale,
  value: (i: number) => number,
  filled: boolean,
): string {
  const stride = Math.max(1, Math.floor(take.trace.time.length / MOST_POINTS));
  const points: [number, number][] = [];
  for (let i = 0; i < take.trace.time.length; i += stride) {
    points.push([x(take.trace.time[i]!), y(value(i))]);
  }
  const last = take.trace.time.length - 1;
  if (last >= 0) points.push([x(take.trace.time[last]!), y(value(last))]);
  if (!filled) return line().curve(curveLinear)(points) ?? '';
  return (
    area<[number, number]>()
      .x(([px]) => px)
      .y0(y(0))
      .y1(([, py]) => py)(points) ?? ''
  );
}

function yScale(low: number, high: number, height: number): Scale {
  return scaleLinear([low, high], [height - PAD, PAD]);
}

function range(take: Take, column: TraceColumn): [number, number] {
  const [low, high] = extent(take.trace[column]);
  return [low ?? 0, high ?? 0];
}

const degreesText = (radians: number) => {
  const degrees = Math.round(radians * DEGREES_PER_RADIAN);
  if (degrees === 0) return 'amidships';
  return `${Math.abs(degrees)}° ${degrees < 0 ? 'port' : 'stbd'}`;
};

/** Wheel: port above the line, starboard below, as wide as the lock. */
export function wheelLane(take: Take, x: Scale, limit: number, name: string): Lane {
  const height = 36;
  const y = yScale(limit, -limit, height);
  return {
    name,
    height,
    top: 'port',
    foot: 'stbd',
    filled: false,
    path: curve(take, x, y, (i) => take.trace.rudder[i]!, false),
    zero: y(0),
    read: (time) => degreesText(readAt(take, 'rudder', time)),
  };
}

/** Engine: revolutions ahead above the line, astern below; full throttle fills the lane. */
export function engineLane(take: Take, x: Scale, fullRps: number): Lane {
  const height = 38;
  const y = yScale(-1, 1, height);
  return {
    name: 'Engine',
    height,
    top: 'ahead',
    foot: 'astern',
    filled: true,
    path: curve(take, x, y, (i) => take.trace.rps[i]! / fullRps, true),
    zero: y(0),
    read: (time) => {
      const gear = readAt(take, 'gear', time);
      return gear > 0 ? 'ahead' : gear < 0 ? 'astern' : 'neutral';
    },
  };
}

/** Speed through the water along the keel; sternway falls below the line. */
export function speedLane(take: Take, x: Scale, units: Units): Lane {
  const height = 42;
  const [low, high] = range(take, 'surge');
  const y = yScale(Math.min(0, low), Math.max(0.5, high), height);
  return {
    name: 'Speed',
    height,
    top: speedIn(Math.max(0.5, high), units.speed).toFixed(1),
    foot: speedIn(low, units.speed) < -0.05 ? speedIn(low, units.speed).toFixed(1) : '0',
    filled: false,
    path: curve(take, x, y, (i) => take.trace.surge[i]!, false),
    zero: y(0),
    read: (time) => boatSpeed(readAt(take, 'surge', time), units),
  };
}

/** Heading, unwrapped so that it never jumps at north; starboard upwards. */
export function headingLane(take: Take, x: Scale): Lane {
  const height = 42;
  const [low, high] = range(take, 'heading');
  const room = Math.max(0, 0.35 - (high - low)) / 2;
  const y = yScale(low - room, high + room, height);
  return {
    name: 'Heading',
    height,
    top: heading(high + room),
    foot: heading(low - room),
    filled: false,
    path: curve(take, x, y, (i) => take.trace.heading[i]!, false),
    zero: null,
    read: (time) => heading(readAt(take, 'heading', time)),
  };
}

/** Rate of turn, port above the line as on the wheel. */
export function turnLane(take: Take, x: Scale): Lane {
  const height = 42;
  const [low, high] = range(take, 'yawRate');
  const most = Math.max(0.03, Math.abs(low), Math.abs(high));
  const y = yScale(most, -most, height);
  const figure = (most * DEGREES_PER_RADIAN).toFixed(1);
  return {
    name: 'Turning',
    height,
    top: `${figure} port`,
    foot: `${figure} stbd`,
    filled: false,
    path: curve(take, x, y, (i) => take.trace.yawRate[i]!, false),
    zero: y(0),
    read: (time) => {
      const rate = readAt(take, 'yawRate', time) * DEGREES_PER_RADIAN;
      if (Math.abs(rate) < 0.05) return 'steady';
      return `${Math.abs(rate).toFixed(1)}°/s ${rate < 0 ? 'port' : 'stbd'}`;
    },
  };
}
