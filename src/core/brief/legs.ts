import { atan2, wrapHalfTurn } from '../math';
import type { Take } from '../score';
import { inHandFrom, type InHand, type Surroundings } from '../search';
import { ferryGlide, type FerryGlide } from './kinematics';
import { letGoAt, pushAt, type LetGo, type Push } from './push';

/** Where she is blown and carried from a leg of her way. */
export type LeeSide = 'port' | 'starboard' | 'ahead' | 'astern';

/** The way from one beat to the next. SI, radians. */
export interface Leg {
  /** Beat it begins with; the last leg ends with the take. */
  readonly beat: number;
  readonly from: number;
  readonly to: number;
  /** m over ground, and the course made good; null where she stays about where she is. */
  readonly distance: number;
  readonly course: number | null;
  /** Seen half-way: how she is pushed there, what becomes of her let go, and the side that is dangerous. */
  readonly push: Push;
  readonly letGo: LetGo;
  readonly lee: LeeSide | null;
  /** What she is blown on to if let go there at rest, within a minute. */
  readonly onto: InHand | null;
  /** Angle up-stream of the course that keeps her on it, at the leg's own speed through the water. */
  readonly ferry: FerryGlide | null;
}

/** Slower than this she is not said to be driven anywhere, m/s. */
const LEAST_DRIFT_MPS = 0.03;
const ON_THE_SPOT_LENGTHS = 0.3;
/** Within this of ahead or astern it is no side. */
const NEITHER_SIDE = Math.PI / 6;
const LEAST_STREAM_MPS = 0.05;

function leeOf(letGo: LetGo, axis: number): LeeSide | null {
  if (letGo.speed < LEAST_DRIFT_MPS) return null;
  const off = wrapHalfTurn(letGo.towards - axis);
  if (Math.abs(off) < NEITHER_SIDE) return 'ahead';
  if (Math.abs(off) > Math.PI - NEITHER_SIDE) return 'astern';
  return off > 0 ? 'starboard' : 'port';
}

function ferryOn(take: Take, push: Push, course: number | null, i: number): FerryGlide | null {
  const { surge, sway } = take.trace;
  const { ahead, starboard } = push.stream;
  const stream = Math.sqrt(ahead * ahead + starboard * starboard);
  if (course === null || stream < LEAST_STREAM_MPS) return null;
  const through = Math.sqrt(surge[i]! * surge[i]! + sway[i]! * sway[i]!);
  const set = push.heading + atan2(starboard, ahead);
  return through > 0 ? ferryGlide(through, stream, wrapHalfTurn(course - set)) : null;
}

/**
 * The legs of a take, one for each beat that was begun.
 *
 * @param about the water as it is; `open` the same with nothing on it
 */
export function* legsOf(take: Take, about: Surroundings, open: Surroundings): Generator<Leg> {
  const { time, x, y, heading } = take.trace;
  const last = time.length - 1;
  const { length } = about.world.craft.spec.hull;
  const indexAt = (t: number) => {
    const found = time.findIndex((sample) => sample >= t - 1e-9);
    return found < 0 ? last : found;
  };
  for (let k = 0; k < take.beats.length; k++) {
    const mark = take.beats[k]!;
    const from = mark.time;
    const to = take.beats[k + 1]?.time ?? take.duration;
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
    yield {
      beat: mark.beat,
      from,
      to,
      distance,
      course,
      push,
      letGo,
      lee: leeOf(letGo, heading[m]!),
      onto: inHandFrom(about, about.stillAt(...pose), 'neutral'),
      ferry: ferryOn(take, push, course, m),
    };
  }
}
