import { cos, sin } from '../math';
import type { Run } from '../plan';
import { ROOM_TO_BEGIN_M } from '../policy';
import { engines, Rollout, letGo, wheel, type Nearest, type Surroundings } from '../search';
import type { SimState } from '../simulation';
import { firmThrottle, hasDrive, Lane, shiftingWay } from '../trials';

/** Stopping with astern, wheel amidships, in the wind and current there are. SI, radians. */
export interface StopHere {
  /** Speed over ground along the boat's heading it begins at. */
  readonly from: number;
  readonly distance: number;
  readonly time: number;
  /** Heading change meanwhile, and where the boat has gone to starboard of its line. */
  readonly turned: number;
  readonly aside: number;
}

/** Carrying in neutral until the boat has a tenth of a metre a second left, or a minute is over. */
export interface CarryHere {
  readonly from: number;
  readonly to: number;
  readonly distance: number;
  readonly time: number;
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

function wayFrom(rollout: Rollout): () => { ahead: number; aside: number; path: number } {
  const { x, y, heading } = rollout;
  return () => {
    const dx = rollout.x - x;
    const dy = rollout.y - y;
    return {
      ahead: dx * sin(heading) + dy * cos(heading),
      aside: dx * cos(heading) - dy * sin(heading),
      path: Math.sqrt(dx * dx + dy * dy),
    };
  };
}

/** Null if the boat has no engine, makes no way ahead there, or does not stop in two minutes. */
export function stopHere(
  open: Surroundings,
  from: SimState,
  throttle = firmThrottle(open.world.craft),
): StopHere | null {
  const rollout = new Rollout(open, from);
  const begins = rollout.along;
  if (!hasDrive(open.world.craft) || begins <= CARRY_TO_MPS) return null;
  const way = wayFrom(rollout);
  const { heading, time } = rollout;
  wheel(rollout, 0);
  engines(rollout, -1, throttle);
  if (!rollout.until(() => rollout.along <= 0, LONGEST_S)) return null;
  const { ahead, aside } = way();
  return {
    from: begins,
    distance: ahead,
    time: rollout.time - time,
    turned: rollout.heading - heading,
    aside,
  };
}

export function carryHere(open: Surroundings, from: SimState): CarryHere | null {
  const rollout = new Rollout(open, from);
  const begins = rollout.along;
  if (begins <= CARRY_TO_MPS) return null;
  const way = wayFrom(rollout);
  const { time } = rollout;
  letGo(rollout);
  rollout.until(() => rollout.along <= CARRY_TO_MPS, 60);
  return { from: begins, to: rollout.along, distance: way().path, time: rollout.time - time };
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
