import { atan2, wrapHalfTurn } from '../math';
import type { Run } from '../plan';
import {
  DRIFT_WORTH_SAYING_MPS,
  ON_THE_SPOT_LENGTHS,
  NEITHER_SIDE,
  CURRENT_WORTH_SAYING_MPS,
  LAY_AGAINST_S,
} from '../policy';
import type { SimState } from '../simulation';
import { timeToContactFrom, type TimeToContact, type Surroundings } from '../search';
import { ferryGlide, type FerryGlide } from './kinematics';
import { letGoAt, pushAt, type DriftFrom, type EnvironmentForce } from './environment-force';

/** Where the boat is blown and carried from a leg of its way. */
export type LeeSide = 'port' | 'starboard' | 'ahead' | 'astern';

/** The way from one step to the next. SI, radians. */
export interface Leg {
  /** Step it begins with; the last leg ends with the run. */
  readonly step: number;
  readonly from: number;
  readonly to: number;
  /** m over ground, and the course made good; null where the boat stays about where it is. */
  readonly distance: number;
  readonly course: number | null;
  /** Seen half-way: how the boat is pushed there, what becomes of it let go, and the side that is dangerous. */
  readonly push: EnvironmentForce;
  readonly letGo: DriftFrom;
  readonly lee: LeeSide | null;
  /** What the boat is blown on to if let go there at rest, within a minute. */
  readonly onto: TimeToContact | null;
  /** Angle up-stream of the course that keeps the boat on it, at the leg's own speed through the water. */
  readonly ferry: FerryGlide | null;
}

function leeOf(letGo: DriftFrom, axis: number): LeeSide | null {
  if (letGo.speed < DRIFT_WORTH_SAYING_MPS) return null;
  const off = wrapHalfTurn(letGo.towards - axis);
  if (Math.abs(off) < NEITHER_SIDE) return 'ahead';
  if (Math.abs(off) > Math.PI - NEITHER_SIDE) return 'astern';
  return off > 0 ? 'starboard' : 'port';
}

function ferryOn(
  run: Run,
  push: EnvironmentForce,
  course: number | null,
  i: number,
): FerryGlide | null {
  const { surge, sway } = run.trace;
  const { ahead, starboard } = push.current;
  const current = Math.sqrt(ahead * ahead + starboard * starboard);
  if (course === null || current < CURRENT_WORTH_SAYING_MPS) return null;
  const through = Math.sqrt(surge[i]! * surge[i]! + sway[i]! * sway[i]!);
  const set = push.heading + atan2(starboard, ahead);
  return through > 0 ? ferryGlide(through, current, wrapHalfTurn(course - set)) : null;
}

/** The moments half-way through the steps of a run, s. */
export const middlesOf = ({ steps, duration }: Run): readonly number[] =>
  steps.map(({ time }, k) => (time + (steps[k + 1]?.time ?? duration)) / 2);

/**
 * The legs of a run, one for each step that was begun.
 *
 * @param middles the boat's states half-way through each, see `middlesOf`
 * @param loose the water as it is, the boat's lines let go; `open` the same with nothing on it
 */
export function* legsOf(
  run: Run,
  middles: readonly SimState[],
  loose: Surroundings,
  open: Surroundings,
): Generator<Leg> {
  const { time, x, y, heading } = run.trace;
  const last = time.length - 1;
  const { length } = loose.world.craft.spec.hull;
  const indexAt = (t: number) => {
    const found = time.findIndex((sample) => sample >= t - 1e-9);
    return found < 0 ? last : found;
  };
  for (let k = 0; k < run.steps.length; k++) {
    const mark = run.steps[k]!;
    const from = mark.time;
    const to = run.steps[k + 1]?.time ?? run.duration;
    if (to - from < 0.2) continue;
    const a = indexAt(from);
    const b = indexAt(to);
    const m = indexAt((from + to) / 2);
    const dx = x[b]! - x[a]!;
    const dy = y[b]! - y[a]!;
    const distance = Math.sqrt(dx * dx + dy * dy);
    const course = distance < ON_THE_SPOT_LENGTHS * length ? null : Math.PI / 2 - atan2(dy, dx);
    const pose = [x[m]!, y[m]!, heading[m]!, time[m]!] as const;
    const push = pushAt(open, ...pose);
    const letGo = letGoAt(open, ...pose);
    const middle = middles[k];
    const onto = middle && timeToContactFrom(loose, loose.stillAs(middle), 'neutral');
    yield {
      step: mark.step,
      from,
      to,
      distance,
      course,
      push,
      letGo,
      lee: leeOf(letGo, heading[m]!),
      onto: onto && onto.seconds > LAY_AGAINST_S ? onto : null,
      ferry: ferryOn(run, push, course, m),
    };
  }
}
