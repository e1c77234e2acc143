import type { Obstacle } from '../holding';
import { atan2, cos, nearestOnPolygon, sin } from '../math';

/** Where something that goes its own way is at a moment; between moments it goes straight and turns evenly. */
export interface Frame {
  readonly time: number;
  readonly x: number;
  readonly y: number;
  /** rad, not wrapped: it turns the way the figures go. */
  readonly heading: number;
}

/**
 * Somebody else on the water, who goes as it was laid down and does not look out: a boat that leaves its berth, a
 * paddler across the fairway. Nothing pushes them about; a touch ends the run.
 */
export interface Traffic {
  readonly name: string;
  readonly kind: 'boat' | 'paddler';
  /** Outline, m ahead of its middle and to starboard. */
  readonly outline: Float64Array;
  /** In the order of time; it is where the first says before it, and where the last says after. */
  readonly frames: readonly Frame[];
  /** Id of what it lay as on the place, which is not there any more; null for one that came from elsewhere. */
  readonly replaces: string | null;
}

export interface TrafficPose {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
}

export function trafficAt({ frames }: Traffic, time: number): TrafficPose {
  const next = frames.findIndex((frame) => frame.time > time);
  if (next === 0) return frames[0]!;
  if (next < 0) return frames.at(-1)!;
  const a = frames[next - 1]!;
  const b = frames[next]!;
  const share = (time - a.time) / (b.time - a.time);
  return {
    x: a.x + share * (b.x - a.x),
    y: a.y + share * (b.y - a.y),
    heading: a.heading + share * (b.heading - a.heading),
  };
}

/** Does it move at a moment? */
export function isUnderWay({ frames }: Traffic, time: number): boolean {
  return time > frames[0]!.time && time < frames.at(-1)!.time;
}

/** A body outline on the place, m east and north. */
function outlineAt(outline: Float64Array, { x, y, heading }: TrafficPose): Float64Array {
  const s = sin(heading);
  const c = cos(heading);
  const points = new Float64Array(outline.length);
  for (let i = 0; i < outline.length; i += 2) {
    points[i] = x + outline[i]! * s + outline[i + 1]! * c;
    points[i + 1] = y + outline[i]! * c - outline[i + 1]! * s;
  }
  return points;
}

/** Least distance between two outlines, m; negative where a corner of one lies inside the other. */
function gapBetween(a: Float64Array, b: Float64Array): number {
  const nearest = { distance: 0, x: 0, y: 0 };
  let least = Infinity;
  const look = (ring: Float64Array, corners: Float64Array) => {
    for (let i = 0; i < corners.length; i += 2) {
      nearestOnPolygon(nearest, ring, corners[i]!, corners[i + 1]!);
      if (nearest.distance < least) least = nearest.distance;
    }
  };
  look(a, b);
  look(b, a);
  return least;
}

/** Distance from the boat's deck to somebody else at a moment, m; negative where they overlap. */
export function trafficGap(
  traffic: Traffic,
  time: number,
  deck: Float64Array,
  her: TrafficPose,
): number {
  return gapBetween(outlineAt(deck, her), outlineAt(traffic.outline, trafficAt(traffic, time)));
}

const LOOKS_M = 0.5;

/** How far a point can go straight on before it comes within `room` of anything solid, m. */
function clearRun(
  obstacles: readonly Obstacle[],
  from: { readonly x: number; readonly y: number },
  heading: number,
  most: number,
  room: number,
): number {
  const [east, north] = [sin(heading), cos(heading)];
  for (let run = 0; run <= most; run += LOOKS_M) {
    if (!isClear(obstacles, from.x + run * east, from.y + run * north, room))
      return Math.max(0, run - LOOKS_M);
  }
  return most;
}

/** Is nothing solid within `room` of a place, m? */
function isClear(obstacles: readonly Obstacle[], x: number, y: number, room: number): boolean {
  const nearest = { distance: 0, x: 0, y: 0 };
  return obstacles.every(({ outline, radius, x: px, y: py }) => {
    if (outline) nearestOnPolygon(nearest, outline, x, y);
    else nearest.distance = Math.sqrt((x - px) * (x - px) + (y - py) * (y - py)) - radius;
    return nearest.distance >= room;
  });
}

/** A boat under way out of its berth, and a paddler, m/s. Judgement. */
const LEAVES_MPS = 0.7;
const PADDLES_MPS = 1.2;
/** So far off at most on either side does a paddler come from and go to, and so little room is none, m. */
const PADDLES_M = 22;
const LEAST_FAIRWAY_M = 10;
const PADDLER_ROOM_M = 1;

/** A single seat: 4.2 m by 0.6 m. */
const PADDLER = Float64Array.from([2.1, 0, 0.6, 0.3, -0.6, 0.3, -2.1, 0, -0.6, -0.3, 0.6, -0.3]);

/**
 * A paddler across the way of a boat: square to it, from the side with more water, at the place it is to be at `meets`.
 * Null where there is too little water.
 */
export function crossing(
  obstacles: readonly Obstacle[],
  her: TrafficPose,
  meets: number,
): Traffic | null {
  const run = (side: 1 | -1) =>
    clearRun(obstacles, her, her.heading + (side * Math.PI) / 2, PADDLES_M, PADDLER_ROOM_M);
  const [starboard, port] = [run(1), run(-1)];
  if (starboard + port < LEAST_FAIRWAY_M) return null;
  const from = starboard >= port ? 1 : -1;
  const heading = her.heading - (from * Math.PI) / 2;
  const at = (metres: number) => ({
    x: her.x + metres * sin(heading),
    y: her.y + metres * cos(heading),
    heading,
    time: meets + metres / PADDLES_MPS,
  });
  const [before, after] = from > 0 ? [starboard, port] : [port, starboard];
  return {
    name: 'paddler',
    kind: 'paddler',
    outline: PADDLER,
    frames: [at(-before), at(after)],
    replaces: null,
  };
}

/**
 * A boat that lies about, leaving its berth: ahead or astern out of it where there is room, else off sideways and then
 * ahead; out of it it turns to where most water is. Null for one that is shut in.
 *
 * @param at when it begins to, s
 */
export function leaving(obstacles: readonly Obstacle[], id: string, at: number): Traffic | null {
  const boat = obstacles.find((one) => one.id === id);
  if (!boat?.outline) return null;
  const rest = obstacles.filter((one) => one !== boat);
  const { middle, heading, length, beam, outline } = bodyOf(boat.outline);
  const clear = (from: { x: number; y: number }, way: number, most: number) =>
    clearRun(rest, from, way, most + length / 2, beam / 2 + LOOKS_M) - length / 2;
  const frame = (time: number, { x, y }: { x: number; y: number }): Frame => ({
    time,
    x,
    y,
    heading,
  });
  const gone = (from: { x: number; y: number }, way: number, metres: number) => ({
    x: from.x + metres * sin(way),
    y: from.y + metres * cos(way),
  });
  const traffic = (frames: Frame[]): Traffic => ({
    name: boat.name,
    kind: 'boat',
    outline,
    frames,
    replaces: id,
  });
  for (const way of [heading, heading + Math.PI]) {
    const run = clear(middle, way, STRAIGHT_LENGTHS * length);
    if (run < 1.2 * length) continue;
    const astern = way !== heading;
    const turned =
      run < STRAIGHT_LENGTHS * length &&
      turnOut({ rest, length, beam, from: { ...middle, heading }, astern, run, at });
    if (turned) return traffic([frame(at, middle), ...turned]);
    return traffic([frame(at, middle), frame(at + run / LEAVES_MPS, gone(middle, way, run))]);
  }
  for (const way of [heading + Math.PI / 2, heading - Math.PI / 2]) {
    const off = clearRun(rest, middle, way, 2 * beam + beam / 2, beam / 2 + LOOKS_M);
    if (off < 1.5 * beam) continue;
    const out = gone(middle, way, off);
    const run = clear(out, heading, 3 * length);
    if (run < length) continue;
    const away = at + off / (0.5 * LEAVES_MPS);
    return traffic([
      frame(at, middle),
      frame(away, out),
      frame(away + run / LEAVES_MPS, gone(out, heading, run)),
    ]);
  }
  return null;
}

/** With so many of its lengths of water ahead it goes straight. */
const STRAIGHT_LENGTHS = 3;
/** Turns as tight as this many lengths, in so many pieces; and goes on so many lengths at most. */
const TURNS_IN_LENGTHS = 1.2;
const TURN_PIECES = 9;
const GOES_ON_LENGTHS = 6;

/**
 * Out of its berth and round to one side or the other, ahead or astern, and away ahead: the way with most water on it.
 * Null where no turn has twice its length of water after it.
 */
function turnOut({
  rest,
  length,
  beam,
  from,
  astern,
  run,
  at,
}: {
  rest: readonly Obstacle[];
  length: number;
  beam: number;
  from: TrafficPose;
  astern: boolean;
  /** How far it can go straight, m, and when it begins to. */
  run: number;
  at: number;
}): Frame[] | null {
  const way = astern ? -1 : 1;
  const room = beam / 2 + LOOKS_M;
  const radius = TURNS_IN_LENGTHS * length;
  const piece = Math.PI / 2 / TURN_PIECES;
  const fits = ({ x, y, heading }: TrafficPose) =>
    [-0.4, 0, 0.4].every((part) =>
      isClear(rest, x + part * length * sin(heading), y + part * length * cos(heading), room),
    );
  const ahead = (pose: TrafficPose, metres: number): TrafficPose => ({
    x: pose.x + metres * sin(pose.heading),
    y: pose.y + metres * cos(pose.heading),
    heading: pose.heading,
  });
  let best: { readonly frames: Frame[]; readonly away: number } | null = null;
  for (let out = 0.5 * length; out <= run; out += 0.25 * length) {
    for (const side of [1, -1]) {
      const time = at + out / LEAVES_MPS;
      let pose = ahead(from, way * out);
      const frames: Frame[] = [{ ...pose, time }];
      for (let i = 1; i <= TURN_PIECES && fits(pose); i++) {
        const half = pose.heading + (side * way * piece) / 2;
        const on = ahead({ ...pose, heading: half }, way * radius * piece);
        pose = { ...on, heading: pose.heading + side * way * piece };
        frames.push({ ...pose, time: time + (i * radius * piece) / LEAVES_MPS });
      }
      if (frames.length <= TURN_PIECES || !fits(pose)) continue;
      const most = GOES_ON_LENGTHS * length;
      const away = clearRun(rest, pose, pose.heading, most + length / 2, room) - length / 2;
      // A little further out is not worth more water behind it.
      if (away < 2 * length || (best && away < best.away + 0.5 * length)) continue;
      const last = frames.at(-1)!;
      frames.push({ ...ahead(pose, away), time: last.time + away / LEAVES_MPS });
      best = { frames, away };
    }
  }
  return best?.frames ?? null;
}

/** An outline ashore as that of a body: its middle, the way its long axis points, and its corners from there. */
function bodyOf(ring: Float64Array) {
  let x = 0;
  let y = 0;
  const count = ring.length / 2;
  for (let i = 0; i < ring.length; i += 2) {
    x += ring[i]! / count;
    y += ring[i + 1]! / count;
  }
  // The boat's long axis is the one its corners spread along most; it points where it is narrower.
  let [xx, yy, xy] = [0, 0, 0];
  for (let i = 0; i < ring.length; i += 2) {
    const dx = ring[i]! - x;
    const dy = ring[i + 1]! - y;
    xx += dx * dx;
    yy += dy * dy;
    xy += dx * dy;
  }
  const axis = 0.5 * atan2(2 * xy, xx - yy);
  const lean = (way: number) => {
    let sum = 0;
    for (let i = 0; i < ring.length; i += 2) {
      const dx = ring[i]! - x;
      const dy = ring[i + 1]! - y;
      const ahead = dx * cos(way) + dy * sin(way);
      const across = dy * cos(way) - dx * sin(way);
      sum += ahead * Math.abs(across);
    }
    return sum;
  };
  const way = lean(axis) <= 0 ? axis : axis + Math.PI;
  const [east, north] = [cos(way), sin(way)];
  const heading = atan2(east, north);
  const outline = new Float64Array(ring.length);
  let [fore, aft, side] = [0, 0, 0];
  for (let i = 0; i < ring.length; i += 2) {
    const ahead = (ring[i]! - x) * east + (ring[i + 1]! - y) * north;
    const across = (ring[i]! - x) * north - (ring[i + 1]! - y) * east;
    outline[i] = ahead;
    outline[i + 1] = across;
    fore = Math.max(fore, ahead);
    aft = Math.min(aft, ahead);
    side = Math.max(side, Math.abs(across));
  }
  return { middle: { x, y }, heading, length: fore - aft, beam: 2 * side, outline };
}
