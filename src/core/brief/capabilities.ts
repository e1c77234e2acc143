import type { Run } from '../plan';
import { ROOM_TO_BEGIN_M } from '../policy';
import { engines, Rollout, wheel, type Nearest, type Surroundings } from '../search';
import { beginning, PSI, U, X, Y, type SimState } from '../simulation';
import {
  carrying,
  firmThrottle,
  hasDrive,
  Lane,
  OpenWater,
  shiftingWay,
  stopping,
  type Carry,
  type Stop,
} from '../trials';

/** Stopping with astern, wheel amidships, from straight way, in the wind and current there are. SI, radians. */
export interface StopHere extends Stop {
  /** Speed over ground along the boat's heading it begins at. */
  readonly from: number;
}

/** Carrying in neutral until the boat has a tenth of a metre a second left, or a minute is over. */
export interface CarryHere extends Carry {
  readonly from: number;
  readonly to: number;
}

/** Half a turn on the spot where the run turns most, tried among the things that are there. */
export interface TurnHere {
  readonly side: 'port' | 'starboard';
  readonly done: boolean;
  readonly bursts: number;
  readonly time: number;
  /** What the boat's outline came nearest to, and whether it touched. */
  readonly nearest: Nearest;
  readonly touched: boolean;
  /** Breadth of the lane along the boat first heading that its outline swept, m. */
  readonly room: number;
}

const LONGEST_S = 120;
const CARRY_TO_MPS = 0.1;
const MOST_BURSTS = 16;
const BURST_S = 20;

/**
 * The boat on the heading and with the headway it has at a moment of a run, but going straight: what it is turned and set by then is
 * the plan's, not the boat's. Engines in neutral, wheel amidships.
 */
function straightFrom({ world }: Surroundings, { motion, time }: SimState): OpenWater {
  const [x, y, heading, speed] = [motion[X]!, motion[Y]!, motion[PSI]!, motion[U]!];
  const state = beginning(world, { x, y, heading, speed });
  state.time = time;
  return OpenWater.over(world, state);
}

/** Null if the boat has no engine, makes no way ahead there, or does not stop in two minutes. */
export function stopHere(
  open: Surroundings,
  from: SimState,
  throttle = firmThrottle(open.world.craft),
): StopHere | null {
  const water = straightFrom(open, from);
  const begins = water.along;
  if (!hasDrive(open.world.craft) || begins <= CARRY_TO_MPS) return null;
  const stop = stopping(water, throttle, LONGEST_S);
  return stop && { from: begins, ...stop };
}

/** Null if the boat makes no way ahead there. */
export function carryHere(open: Surroundings, from: SimState): CarryHere | null {
  const water = straightFrom(open, from);
  const begins = water.along;
  if (begins <= CARRY_TO_MPS) return null;
  const { distance, time } = carrying(water, CARRY_TO_MPS, 60);
  return { from: begins, to: water.along, distance, time };
}

/** Wheel hard over all the while (reversed with the gear where thrust is steered), bursts ahead and astern. */
export function turnHere(about: Surroundings, at: SimState, side: 1 | -1): TurnHere | null {
  const { craft } = about.world;
  if (!hasDrive(craft)) return null;
  const rollout = new Rollout(about, at);
  const steered = craft.spec.drives.some(({ steering }) => steering !== 'fixed');
  const way = shiftingWay(craft);
  const throttle = firmThrottle(craft);
  const from = rollout.heading;
  const lane = new Lane(craft, rollout.heading);
  const goes = () => {
    lane.add(rollout.x, rollout.y, rollout.heading);
    return side * (rollout.heading - from) >= Math.PI;
  };
  let bursts = 0;
  let done = false;
  for (let gear: 1 | -1 = 1; !done && bursts < MOST_BURSTS; gear = gear === 1 ? -1 : 1) {
    wheel(rollout, steered ? gear * side : side);
    engines(rollout, gear, throttle);
    rollout.until(() => {
      done = goes() || rollout.touchCount > 0;
      return done || gear * rollout.ahead > way;
    }, BURST_S);
    bursts += 1;
  }
  const touched = rollout.touchCount > 0;
  return {
    side: side > 0 ? 'starboard' : 'port',
    done: done && !touched,
    bursts,
    time: rollout.time - at.time,
    nearest: rollout.nearest,
    touched,
    room: lane.breadth,
  };
}

/**
 * Moments half-way through the steps, those in which the boat turns most first: where a turn on the spot is worth trying.
 */
export function turningMoments(run: Run): readonly number[] {
  const { time, heading } = run.trace;
  const at = (t: number) => {
    const found = time.findIndex((sample) => sample >= t - 1e-9);
    return heading[found < 0 ? time.length - 1 : found]!;
  };
  return run.steps
    .map((mark, k) => {
      const end = run.steps[k + 1]?.time ?? run.duration;
      return { time: (mark.time + end) / 2, by: Math.abs(at(end) - at(mark.time)) };
    })
    .sort((a, b) => b.by - a.by)
    .map((moment) => moment.time);
}

/** Is there water all round the boat, berth and all? */
export function hasRoom(about: Surroundings, at: SimState): boolean {
  return new Rollout(about, at).clearance >= ROOM_TO_BEGIN_M;
}
