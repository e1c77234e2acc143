import { cos, sin } from '../math';
import type { Take } from '../score';
import { engines, Episode, letGo, wheel, type Nearest, type Surroundings } from '../search';
import { PSI, U, type SimState } from '../sim';
import { firmThrottle, hasDrive } from '../trials';

/** Stopping with astern, wheel amidships, in the wind and stream there are. SI, radians. */
export interface StopHere {
  /** Speed over ground along her heading it begins at. */
  readonly from: number;
  readonly distance: number;
  readonly time: number;
  /** Heading change meanwhile, and where she has gone to starboard of her line. */
  readonly turned: number;
  readonly aside: number;
}

/** Carrying in neutral until she has a tenth of a metre a second left, or a minute is over. */
export interface CarryHere {
  readonly from: number;
  readonly to: number;
  readonly distance: number;
  readonly time: number;
}

/** Half a turn on the spot where the take turns most, tried among the things that are there. */
export interface TurnHere {
  readonly side: 'port' | 'starboard';
  readonly done: boolean;
  readonly bursts: number;
  readonly time: number;
  /** What her outline came nearest to, and whether she touched. */
  readonly nearest: Nearest;
  readonly touched: boolean;
  /** Breadth of the lane along her first heading that her outline swept, m. */
  readonly room: number;
}

const LONGEST_S = 120;
const CARRY_TO_MPS = 0.1;
const MOST_BURSTS = 16;
const BURST_S = 20;

/** Speed over ground along her heading, m/s. */
function along({ state, world: { environment } }: Episode): number {
  const heading = state.motion[PSI]!;
  return (
    state.motion[U]! +
    environment.streamEast * sin(heading) +
    environment.streamNorth * cos(heading)
  );
}

function wayFrom(episode: Episode): () => { ahead: number; aside: number; path: number } {
  const { x, y, heading } = episode;
  return () => {
    const dx = episode.x - x;
    const dy = episode.y - y;
    return {
      ahead: dx * sin(heading) + dy * cos(heading),
      aside: dx * cos(heading) - dy * sin(heading),
      path: Math.sqrt(dx * dx + dy * dy),
    };
  };
}

/** Null if she has no engine, makes no way ahead there, or does not stop in two minutes. */
export function stopHere(open: Surroundings, from: SimState): StopHere | null {
  const episode = new Episode(open, from);
  const begins = along(episode);
  if (!hasDrive(open.world.craft) || begins <= CARRY_TO_MPS) return null;
  const way = wayFrom(episode);
  const { heading, time } = episode;
  wheel(episode, 0);
  engines(episode, -1, firmThrottle(open.world.craft));
  if (!episode.until(() => along(episode) <= 0, LONGEST_S)) return null;
  const { ahead, aside } = way();
  return {
    from: begins,
    distance: ahead,
    time: episode.time - time,
    turned: episode.heading - heading,
    aside,
  };
}

export function carryHere(open: Surroundings, from: SimState): CarryHere | null {
  const episode = new Episode(open, from);
  const begins = along(episode);
  if (begins <= CARRY_TO_MPS) return null;
  const way = wayFrom(episode);
  const { time } = episode;
  letGo(episode);
  episode.until(() => along(episode) <= CARRY_TO_MPS, 60);
  return { from: begins, to: along(episode), distance: way().path, time: episode.time - time };
}

/** Way on at which a handler shifts in a back-and-fill turn, m/s: about a knot in ten metres of boat. */
function shiftAt(length: number): number {
  return 0.05 * Math.sqrt(9.81 * length);
}

/** Wheel hard over all the while (reversed with the gear where thrust is steered), bursts ahead and astern. */
export function turnHere(about: Surroundings, at: SimState, side: 1 | -1): TurnHere | null {
  const { craft } = about.world;
  if (!hasDrive(craft)) return null;
  const episode = new Episode(about, at);
  const steered = craft.spec.drives.some(({ steering }) => steering !== 'fixed');
  const way = shiftAt(craft.spec.hull.length);
  const throttle = firmThrottle(craft);
  const from = episode.heading;
  const lane = new Lane(episode);
  const goes = () => {
    lane.add(episode);
    return side * (episode.heading - from) >= Math.PI;
  };
  let bursts = 0;
  let done = false;
  for (let gear: 1 | -1 = 1; !done && bursts < MOST_BURSTS; gear = gear === 1 ? -1 : 1) {
    wheel(episode, steered ? gear * side : side);
    engines(episode, gear, throttle);
    episode.until(() => {
      done = goes() || episode.touchCount > 0;
      return done || gear * episode.ahead > way;
    }, BURST_S);
    bursts += 1;
  }
  const touched = episode.touchCount > 0;
  return {
    side: side > 0 ? 'starboard' : 'port',
    done: done && !touched,
    bursts,
    time: episode.time - at.time,
    nearest: episode.nearest,
    touched,
    room: lane.breadth,
  };
}

/** Breadth, across the heading a boat has at first, of what her outline covers. */
class Lane {
  private least = Infinity;
  private most = -Infinity;
  private readonly sin: number;
  private readonly cos: number;

  constructor(episode: Episode) {
    this.sin = sin(episode.heading);
    this.cos = cos(episode.heading);
    this.add(episode);
  }

  add({ x, y, heading, world }: Episode): void {
    const { deck } = world.craft.spec.hull;
    const s = sin(heading);
    const c = cos(heading);
    for (let k = 0; k < deck.length; k += 2) {
      const east = x + deck[k]! * s + deck[k + 1]! * c;
      const north = y + deck[k]! * c - deck[k + 1]! * s;
      const across = east * this.cos - north * this.sin;
      if (across < this.least) this.least = across;
      if (across > this.most) this.most = across;
    }
  }

  get breadth(): number {
    return this.most - this.least;
  }
}

/** Clear by this much of everything she has room to begin a turn, m. */
const ROOM_TO_BEGIN_M = 0.5;

/**
 * Moments half-way through the beats, those in which she turns most first: where a turn on the spot is worth trying.
 */
export function turningMoments(take: Take): readonly number[] {
  const { time, heading } = take.trace;
  const at = (t: number) => {
    const found = time.findIndex((sample) => sample >= t - 1e-9);
    return heading[found < 0 ? time.length - 1 : found]!;
  };
  return take.beats
    .map((mark, k) => {
      const end = take.beats[k + 1]?.time ?? take.duration;
      return { time: (mark.time + end) / 2, by: Math.abs(at(end) - at(mark.time)) };
    })
    .sort((a, b) => b.by - a.by)
    .map((moment) => moment.time);
}

/** Is there water all round her, berth and all? */
export function hasRoom(about: Surroundings, at: SimState): boolean {
  return new Episode(about, at).clearance >= ROOM_TO_BEGIN_M;
}
