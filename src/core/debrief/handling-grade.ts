import { NO_ROOM_M, WORKING_LOAD } from '../policy';
import { lineLoads, type LineLoad, type Touch } from '../monitors';
import { lineLimits, type Trace } from '../simulation';
import { cos, sin } from '../math';
import { waterSpeedAt, type Review } from './context';
import { GRAVE_FAULTS, type Fault } from './faults';

/** Speed over ground so many of the boat's lengths from where it is to lie. */
export interface SpeedAt {
  readonly lengths: number;
  /** m/s and s; null where the boat never came so near, or was nearer from the start. */
  readonly speed: number | null;
  readonly time: number | null;
}

/** How a run was handled, in figures. SI. How long it took is told, and counts for nothing. */
export interface Handling {
  readonly speeds: readonly SpeedAt[];
  readonly gearShifts: number;
  /** Seconds with every engine in neutral. */
  readonly neutral: number;
  /** Mean throttle while in gear, 0 … 1, and the most. */
  readonly throttleMean: number;
  readonly throttleMost: number;
  /** Seconds of thruster, each counted at its power. */
  readonly thrusterSeconds: number;
  readonly fastest: number;
  readonly duration: number;
  readonly loads: readonly LineLoad[];
}

/** How careful it was; each with why. */
export type HandlingGrade = 'careful' | 'fair' | 'rough' | 'harmful';

export interface GradedHandling {
  readonly grade: HandlingGrade;
  /** What kept it from the next better grade, worst first; empty when careful. */
  readonly because: readonly GradeReason[];
}

export type GradeReason =
  | { readonly is: 'danger' }
  | { readonly is: 'fouled' }
  | { readonly is: 'struck'; readonly name: string; readonly time: number }
  | { readonly is: 'aground'; readonly time: number }
  | { readonly is: 'overhead'; readonly name: string; readonly time: number }
  | { readonly is: 'parted'; readonly line: number; readonly time: number }
  | { readonly is: 'touch'; readonly touch: Touch }
  | { readonly is: 'near'; readonly distance: number; readonly name: string; readonly time: number }
  | { readonly is: 'load'; readonly load: LineLoad }
  | { readonly is: 'fault'; readonly fault: Fault };

const AT_LENGTHS = [3, 2, 1] as const;
/** Speeds as the boat came up to where it was to lie: the last time it passed that distance coming nearer. */
function speedsTo({ trace, input, world }: Review): SpeedAt[] {
  const { goal } = input;
  if (goal.is !== 'lie') return [];
  const { length } = world.craft.spec.hull;
  const { mark, point } = goal;
  const off = (i: number) => {
    const psi = trace.heading[i]!;
    const dx = mark.x - trace.x[i]! - point.x * sin(psi) - point.y * cos(psi);
    const dy = mark.y - trace.y[i]! - point.x * cos(psi) + point.y * sin(psi);
    return Math.sqrt(dx * dx + dy * dy);
  };
  return AT_LENGTHS.map((lengths) => {
    for (let i = trace.x.length - 1; i > 0; i--) {
      if (off(i) > lengths * length || off(i - 1) <= lengths * length) continue;
      return { lengths, speed: trace.groundSpeed[i]!, time: trace.time[i]! };
    }
    return { lengths, speed: null, time: null };
  });
}

/** Calls `see` with each sample's length of time, s. */
function overTime({ time }: Trace, see: (i: number, dt: number) => void): void {
  for (let i = 1; i < time.length; i++) see(i, time[i]! - time[i - 1]!);
}

export function handlingOf(review: Review): Handling {
  const { trace, world, run, input } = review;
  const { engines, thrusters } = trace;
  let neutral = 0;
  let inGear = 0;
  let throttle = 0;
  let throttleMost = 0;
  let gearShifts = 0;
  let thrusterSeconds = 0;
  let fastest = 0;
  overTime(trace, (i, dt) => {
    fastest = Math.max(fastest, waterSpeedAt(trace, trace.time[i]!));
    if (engines.every(({ gear }) => gear[i] === 0)) neutral += dt;
    engines.forEach(({ gear, throttle: given }) => {
      if (gear[i] === 0) return;
      if (gear[i] !== gear[i - 1]) gearShifts += 1;
      inGear += dt;
      throttle += dt * given[i]!;
      throttleMost = Math.max(throttleMost, given[i]!);
    });
    for (const power of thrusters) thrusterSeconds += dt * Math.abs(power[i]!);
  });
  const breaks = (input.rigging?.lines ?? []).map((_, i) => lineLimits(world, i).breaks);
  return {
    speeds: speedsTo(review),
    gearShifts,
    neutral,
    throttleMean: inGear > 0 ? throttle / inGear : 0,
    throttleMost,
    thrusterSeconds,
    fastest,
    duration: run.duration,
    loads: lineLoads(trace, breaks).filter(({ tension }) => tension > 0),
  };
}

const WORST: Readonly<Record<GradeReason['is'], HandlingGrade>> = {
  danger: 'harmful',
  fouled: 'harmful',
  struck: 'harmful',
  aground: 'harmful',
  overhead: 'harmful',
  parted: 'harmful',
  touch: 'rough',
  near: 'fair',
  load: 'fair',
  fault: 'fair',
};
const ORDER: readonly HandlingGrade[] = ['careful', 'fair', 'rough', 'harmful'];

function gradeFor(reason: GradeReason): HandlingGrade {
  if (reason.is === 'touch') return reason.touch.grade === 'hard' ? 'harmful' : 'rough';
  if (reason.is === 'fault') return GRAVE_FAULTS.has(reason.fault.rule) ? 'rough' : 'fair';
  return WORST[reason.is];
}

/**
 * How careful a run was. Touches that are soft cost nothing, nor does time; a firm one of the boat's own berth is fair, as is
 * passing close. It never matters how fast it was done.
 */
export function gradeHandling(review: Review, faults: readonly Fault[]): GradedHandling {
  const { run, berth } = review;
  const reasons: GradeReason[] = [];
  if (run.outcome === 'unsafe') reasons.push({ is: 'danger' });
  if (run.outcome === 'fouled') reasons.push({ is: 'fouled' });
  for (const event of run.events) {
    if (event.is === 'struck') reasons.push({ is: 'struck', name: event.name, time: event.time });
  }
  const { underKeel, overhead } = run.margins;
  if (underKeel && underKeel.depth < 0) reasons.push({ is: 'aground', time: underKeel.time });
  if (overhead && overhead.room < 0)
    reasons.push({ is: 'overhead', name: overhead.name, time: overhead.time });
  for (const event of run.events) {
    if (event.is === 'line' && event.what === 'parted')
      reasons.push({ is: 'parted', line: event.line, time: event.time });
  }
  const hardest = run.touches.toSorted((a, b) => b.speed - a.speed);
  for (const touch of hardest) if (touch.grade !== 'soft') reasons.push({ is: 'touch', touch });
  const { clearance } = run;
  if (clearance && clearance.distance < NO_ROOM_M) reasons.push({ is: 'near', ...clearance });
  for (const load of handlingOf(review).loads) {
    if (load.tension > WORKING_LOAD * load.breaks) reasons.push({ is: 'load', load });
  }
  for (const fault of faults) reasons.push({ is: 'fault', fault });
  const grades = reasons.map((reason): HandlingGrade => {
    const grade = gradeFor(reason);
    const own = reason.is === 'touch' && berth.has(reason.touch.obstacle);
    return own && grade === 'rough' ? 'fair' : grade;
  });
  const rank = (grade: HandlingGrade) => ORDER.indexOf(grade);
  const worst = grades.reduce<HandlingGrade>((a, b) => (rank(b) > rank(a) ? b : a), 'careful');
  const because = reasons
    .map((reason, i) => ({ reason, grade: grades[i]! }))
    .sort((a, b) => rank(b.grade) - rank(a.grade))
    .map(({ reason }) => reason);
  return { grade: worst, because };
}
