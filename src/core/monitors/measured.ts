import type { Craft } from '../boat';
import {
  clearanceMemory,
  groundAt,
  leastClearance,
  noClearance,
  shapesOf,
  type ObstacleSet,
} from '../holding';
import { atan2, cos, sin, wrapHalfTurn } from '../math';
import { SAMPLE_S, traceOf, type Trace } from '../simulation';
import { hullPart } from './hull-part';
import type { LeastClearance } from './margins';

/** A position told by instruments: s, m, rad, m/s; null for what was not told. */
export interface Fix {
  readonly time: number;
  readonly x: number;
  readonly y: number;
  readonly heading: number | null;
  readonly course: number | null;
  readonly overGround: number | null;
  readonly throughWater: number | null;
  /** At the sounder. */
  readonly depth: number | null;
  /** Wind felt aboard: how strong, and from where off the bow, to starboard. */
  readonly wind: number | null;
  readonly windAngle: number | null;
}

/** Slower than this a course over ground points anywhere, m/s. */
const HAS_COURSE_MPS = 0.4;
const LONGEST_S = 7200;

/** Where a boat's aerial stands aboard, m: forward of midships, to starboard. */
export interface Aerial {
  readonly x: number;
  readonly y: number;
}

/** Compass headings for so much of the fixes are a compass. */
const MOSTLY = 0.5;

/** The compass at a fix, or between the ones before and after that have it. */
function bridged(fixes: readonly Fix[], i: number): number | null {
  let a = i;
  while (a >= 0 && fixes[a]!.heading === null) a -= 1;
  let b = i;
  while (b < fixes.length && fixes[b]!.heading === null) b += 1;
  const before = fixes[a]?.heading ?? null;
  const after = fixes[b]?.heading ?? null;
  if (before === null || after === null || a === b) return before ?? after;
  const share = (fixes[i]!.time - fixes[a]!.time) / (fixes[b]!.time - fixes[a]!.time);
  return before + share * wrapHalfTurn(after - before);
}

/** The heading at every fix, not wrapped: by compass, else by the boat's course while it has way, else as it was before. */
function headings(fixes: readonly Fix[]): {
  readonly values: Float64Array;
  readonly byCourse: boolean;
} {
  const values = new Float64Array(fixes.length);
  const compassed = fixes.filter(({ heading }) => heading !== null).length;
  // One lost sentence is bridged; where there is hardly a compass, the boat's course stands for it.
  const byCourse = compassed < MOSTLY * fixes.length;
  let last: number | null = null;
  const courseOf = (i: number): number | null => {
    const { course, overGround } = fixes[i]!;
    if (course !== null && (overGround ?? 0) > HAS_COURSE_MPS) return course;
    const a = fixes[Math.max(0, i - 1)]!;
    const b = fixes[Math.min(fixes.length - 1, i + 1)]!;
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const far = Math.sqrt(dx * dx + dy * dy);
    return far > HAS_COURSE_MPS * Math.max(1e-6, b.time - a.time) ? atan2(dx, dy) : null;
  };
  for (let i = 0; i < fixes.length; i++) {
    const told = byCourse ? (fixes[i]!.heading ?? courseOf(i)) : bridged(fixes, i);
    const now: number = told ?? last ?? 0;
    values[i] = last === null ? now : last + wrapHalfTurn(now - last);
    last = values[i]!;
  }
  return { values, byCourse };
}

/** What instruments tell of: nothing of the engines. */
const TOLD = {
  engines: [],
  thrusters: 0,
  lines: 0,
  sounded: false,
  others: 0,
  locks: [],
  told: true,
};

/**
 * A trace of what instruments told, sampled as a run is: place of the boat's midships, heading, speeds, and rate of turn from the heading.
 * What they do not tell (wheel, gears, thrust, way across) is NaN: nothing is made up.
 *
 * @returns also whether any of the heading is its course over ground, which is not where it points
 */
export function measuredTrace(
  fixes: readonly Fix[],
  aerial: Aerial,
): { readonly trace: Trace; readonly byCourse: boolean } {
  const first = fixes[0]!.time;
  const length = Math.min(LONGEST_S, fixes.at(-1)!.time - first);
  const n = Math.floor(length / SAMPLE_S + 1e-9) + 1;
  const { values: turned, byCourse } = headings(fixes);
  const trace = traceOf(TOLD, () => new Float64Array(n).fill(NaN));
  const instruments = trace.told!;
  let k = 0;
  for (let i = 0; i < n; i++) {
    const at = first + i * SAMPLE_S;
    while (k + 2 < fixes.length && fixes[k + 1]!.time <= at) k += 1;
    const [a, b] = [fixes[k]!, fixes[k + 1]!];
    const share = Math.min(1, Math.max(0, (at - a.time) / (b.time - a.time)));
    const mix = (p: number, q: number) => p + share * (q - p);
    const heading = mix(turned[k]!, turned[k + 1]!);
    const s = sin(heading);
    const c = cos(heading);
    trace.time[i] = i * SAMPLE_S;
    trace.heading[i] = heading;
    trace.x[i] = mix(a.x, b.x) - aerial.x * s - aerial.y * c;
    trace.y[i] = mix(a.y, b.y) - aerial.x * c + aerial.y * s;
    const both = (f: (fix: Fix) => number | null, between = mix) => {
      const [p, q] = [f(a), f(b)];
      return p === null || q === null ? (p ?? q ?? NaN) : between(p, q);
    };
    const made = Math.sqrt((b.x - a.x) * (b.x - a.x) + (b.y - a.y) * (b.y - a.y));
    const told = both(({ overGround }) => overGround);
    trace.groundSpeed[i] = Number.isNaN(told) ? made / (b.time - a.time) : told;
    trace.surge[i] = both(({ throughWater }) => throughWater);
    instruments.depth[i] = both(({ depth }) => depth);
    instruments.wind[i] = both(({ wind }) => wind);
    // The short way round, between port and starboard alike.
    const angle = both(
      ({ windAngle }) => windAngle,
      (p, q) => p + share * wrapHalfTurn(q - p),
    );
    instruments.windAngle[i] = Number.isNaN(angle) ? NaN : wrapHalfTurn(angle);
  }
  setTurning(trace);
  return { trace, byCourse };
}

/** A compass jumps by a degree or two: the rate of turn is taken over so long, s. */
const TURN_OVER_S = 3;

function setTurning({ time, heading, yawRate }: Trace): void {
  const half = Math.round(TURN_OVER_S / 2 / SAMPLE_S);
  for (let i = 0; i < heading.length; i++) {
    const a = Math.max(0, i - half);
    const b = Math.min(heading.length - 1, i + half);
    yawRate[i] = b > a ? (heading[b]! - heading[a]!) / (time[b]! - time[a]!) : 0;
  }
}

/** What a measured track shows at a glance. */
export interface MeasuredMargins {
  readonly duration: number;
  readonly clearance: LeastClearance | null;
  readonly fastest: number;
  readonly finalSpeed: number;
  /** Least depth the boat's sounder told, m, and when; null where it told none. */
  readonly shallowest: { readonly depth: number; readonly time: number } | null;
  /** Most wind felt aboard, m/s, from where off the bow (rad to starboard; NaN where not told), and when. */
  readonly windiest: {
    readonly speed: number;
    readonly angle: number;
    readonly time: number;
  } | null;
}

/** Where a column is least by a measure, among what is told; −1 where nothing is. */
function leastAt(column: Float64Array | undefined, measure: (value: number) => number): number {
  let found = -1;
  column?.forEach((value, i) => {
    if (Number.isNaN(value)) return;
    if (found < 0 || measure(value) < measure(column[found]!)) found = i;
  });
  return found;
}

/**
 * Fills in how near the boat was to what stands there, and tells the nearest; its own berth left out by its numbers. As good as the
 * positions are: a receiver's metres are metres here.
 */
export function measureClearance(
  trace: Trace,
  craft: Craft,
  shore: ObstacleSet,
  skip: ReadonlySet<number>,
): MeasuredMargins {
  const memory = clearanceMemory(shore, shapesOf(craft, shore));
  const now = noClearance();
  let least: LeastClearance | null = null;
  let fastest = 0;
  const { length, beam } = craft.spec.hull;
  for (let i = 0; i < trace.time.length; i++) {
    const [x, y, heading] = [trace.x[i]!, trace.y[i]!, trace.heading[i]!];
    fastest = Math.max(fastest, trace.groundSpeed[i]!);
    leastClearance(now, memory, craft.touch, shore, skip, groundAt(x, y, heading));
    trace.clearance[i] = now.distance;
    const thing = shore.obstacles[now.obstacle];
    if (!thing || (least && least.distance <= now.distance)) continue;
    const s = sin(heading);
    const c = cos(heading);
    least = {
      time: trace.time[i]!,
      distance: now.distance,
      name: thing.name,
      part: hullPart(now.x, now.y, length, beam),
      x: x + now.x * s + now.y * c,
      y: y + now.x * c - now.y * s,
    };
  }
  const { time, told } = trace;
  const shallow = leastAt(told?.depth, (depth) => depth);
  const windy = leastAt(told?.wind, (speed) => -speed);
  return {
    duration: time.at(-1) ?? 0,
    clearance: least,
    fastest,
    finalSpeed: trace.groundSpeed.at(-1) ?? 0,
    shallowest: shallow < 0 ? null : { depth: told!.depth[shallow]!, time: time[shallow]! },
    windiest:
      windy < 0
        ? null
        : {
            speed: told!.wind[windy]!,
            angle: told!.windAngle[windy]!,
            time: time[windy]!,
          },
  };
}
