import { cos, sin } from '../math';
import { distanceAt, roomsInto, type Field } from './field';
import { G, GUESS_SIZE, GUESS_STEP_S, goOn, order, overGround, type Weathering } from './guess';
import type { Feel } from './feel';
import { BURSTS, COMING_IN, WAITING, WAY_BESIDE } from '../policy';
import { GOING_MPS } from './moves';
import type { Missed, Toward } from './ways';

/** What a helm that looks ahead reckons with. */
export interface Prospect {
  readonly feel: Feel;
  readonly field: Field;
  readonly deck: Float64Array;
  readonly ways: Toward;
  readonly missed: Missed;
  /** Room it likes to keep, m. */
  readonly spare: number;
  /** A manoeuvre that ends under way: no need to slow down for its goal. */
  readonly goesOn: boolean;
  /** Once there it is kept there. */
  readonly stays?: boolean;
  /** It is there whatever way it has left, up to so much, m/s: next to none where nothing is said. */
  readonly still?: number;
  /** Midships to where the ends swing, m. */
  readonly reach: number;
  /** Way it is to have at the most, m/s; seconds until anything is done about what is seen, and what way the gears then take off, m/s². */
  readonly most: number;
  readonly lag: number;
  readonly slows: number;
  /** What way the gears are likely to take off, m/s². */
  readonly gathers: number;
  /** What turning goes on for by itself, s, and for each rad/s of it, s²; and drifting aside, s. */
  readonly turns: number;
  readonly turnsBy: number;
  readonly drifts: number;
  /** Room round midships within which the ends meet nothing, m. */
  readonly clear: number;
}

/** What to do next: levers by their number, the wheel −1, 0, 1, and what it comes to, s. */
export interface Choice {
  readonly levers: number;
  readonly wheel: number;
  readonly cost: number;
}

/** How long the last one is let run out, s. */
const AFTER_S = 1.5;

/** Way a helm has with so much room, m/s. */
const wayAllowed = (room: number, most: number) =>
  Math.min(most, WAY_BESIDE.least + WAY_BESIDE.each * Math.max(0, room));
/** Way that lets the boat be stopped in so much room: after what passes until anything is done about it, by what its gears take off. */
const stoppedIn = ({ lag, slows }: Prospect, room: number) =>
  slows * (Math.sqrt(lag * lag + (2 * Math.max(0, room)) / slows) - lag);

const from = new Float64Array(GUESS_SIZE);
const work = new Float64Array(GUESS_SIZE);

/** Room of each place round the deck at the last moment of a guess, m, as it goes from guess to guess; and at the one now. */
let rooms = new Float64Array(0);
let nextRooms = new Float64Array(0);

/** Room of all of it then, m. */
let least = 0;

/** How much faster than it could be stopped any place of the deck comes nearer to what stands there, m/s. */
function tooFast(p: Prospect, seconds: number): number {
  let most = 0;
  for (let i = 0; 2 * i < p.deck.length; i++) {
    const over = (rooms[i]! - nextRooms[i]!) / seconds - BURSTS.creeps;
    if (over <= most) continue;
    most = Math.max(most, over - stoppedIn(p, nextRooms[i]!));
  }
  return most;
}

/** Goes on for some time and tells what is met with on the way: touches, and closing in or going faster than there is room for. */
function priced(
  s: Float64Array,
  p: Prospect,
  weathering: Weathering,
  wheel: number,
  seconds: number,
): number {
  const steps = Math.round(seconds / (2 * GUESS_STEP_S));
  let cost = 0;
  for (let k = 0; k < 2; k++) {
    goOn(s, p.feel, weathering, wheel, steps);
    const x = s[G.X]!;
    const y = s[G.Y]!;
    const open = distanceAt(p.field, x, y);
    // Midships far from everything: the ends are too.
    if (open > p.clear) {
      rooms.fill(open - p.clear + 3);
      least = open - p.clear + 3;
      const over = overGround(s, weathering) - p.most;
      if (over > 0) cost += BURSTS.fast * over * over;
      continue;
    }
    const room = roomsInto(nextRooms, p.field, p.deck, x, y, s[G.PSI]!);
    const fast = tooFast(p, steps * GUESS_STEP_S);
    [rooms, nextRooms] = [nextRooms, rooms];
    least = room;
    const deep = BURSTS.touches - room;
    if (deep > 0) cost += BURSTS.touched * (BURSTS.touching + fast) * (1 + Math.min(1, deep));
    else if (room < p.spare) cost += BURSTS.near * (p.spare - room);
    const over = overGround(s, weathering) - wayAllowed(room, p.most);
    if (over > 0) cost += BURSTS.fast * over * over;
    cost += BURSTS.closing * fast;
  }
  return cost;
}

/** Way a boat goes with, m/s: less is as good as none. */
const GOES_MPS = 0.1;

/** How long it takes until the boat goes ahead (1) or astern (−1), s: gears that have yet to take hold, and way to be taken off. */
function untilGoing(s: Float64Array, { feel, gathers }: Prospect, way: number): number {
  const going = way * s[G.U]!;
  if (going > GOES_MPS) return 0;
  const ordered = feel.levers[s[G.NEXT]!]!.way === way;
  const waits = ordered ? Math.max(0, s[G.WAITS]!) : going < -GOES_MPS ? feel.pause : feel.delay;
  return waits + (GOES_MPS - going) / gathers;
}

/** What is lost, s, until the boat goes as fast as it may: it is thought of as going so fast already. */
function untilAtSpeed(going: number, { gathers }: Prospect, speed: number): number {
  const lacks = speed - Math.max(0, going);
  return lacks > 0 && speed > GOES_MPS ? (lacks * lacks) / (2 * speed * gathers) : 0;
}

/**
 * What it comes to where a guess ends, s: the way to the goal from where the boat will have stopped turning and drifting, going ahead or astern, whichever is less.
 *
 * @param near room there, m
 */
function ends(s: Float64Array, p: Prospect, weathering: Weathering, near: number): number {
  const { ways, missed, goesOn } = p;
  let x = s[G.X]!;
  let y = s[G.Y]!;
  const r = s[G.R]!;
  const aside = p.drifts * s[G.V]!;
  const psi = s[G.PSI]! + r * (p.turns + p.turnsBy * Math.abs(r));
  x += aside * cos(psi);
  y -= aside * sin(psi);
  const over = s[G.U]! + weathering.east * sin(s[G.PSI]!) + weathering.north * cos(s[G.PSI]!);
  const from = (way: 1 | -1): number => {
    const seconds = ways.seconds(x, y, psi, way > 0 ? 0 : 1) + untilGoing(s, p, way);
    const speed = Math.min(
      GOING_MPS,
      wayAllowed(near, p.most),
      goesOn ? GOING_MPS : stoppedIn(p, COMING_IN.pace * (seconds - COMING_IN.paced)),
    );
    return seconds + untilAtSpeed(way * over, p, speed);
  };
  let cost = Math.min(from(1), from(-1));
  const off = missed(x, y, psi);
  cost += COMING_IN.off * Math.min(COMING_IN.offMost, off);
  if (!goesOn) {
    // Near the goal the way has to come off.
    const speed = overGround(s, weathering);
    const allowed = COMING_IN.left + stoppedIn(p, COMING_IN.pace * Math.min(COMING_IN.most, cost));
    if (speed > allowed) cost += BURSTS.fast * (speed - allowed) * (speed - allowed);
    if (off < COMING_IN.within)
      cost +=
        COMING_IN.way * Math.max(0, speed - COMING_IN.little) +
        COMING_IN.turning * Math.abs(s[G.R]!);
  }
  return cost;
}

/** A first burst: what it is, what it costs, where it leads, and what it comes to so far. */
interface Begun {
  readonly levers: number;
  readonly wheel: number;
  readonly cost: number;
  readonly s: Float64Array;
  readonly near: Float64Array;
  readonly total: number;
}

/** How long the first burst and the one after it are looked at, s, where one does not look further; and how many of the first are gone on from. */
const FIRST_S = 1.25;
const THEN_S = 1.75;
const KEPT = 3;

/**
 * Looks ahead: every burst there is for a moment and a half, the best of them followed by another, and then let run out or go on; what comes of it is
 * held against how long it takes from there. Beam search.
 *
 * @param now where the boat is taken to be, columns G
 * @param restless to do nothing was thought of for long enough: longer bursts, and something is done
 */
export function lookAhead(
  p: Prospect,
  weathering: Weathering,
  now: Float64Array,
  before: Choice | null,
  restless = false,
): Choice {
  const { feel } = p;
  const places = p.deck.length / 2;
  const here = new Float64Array(places);
  if (rooms.length !== places) {
    rooms = new Float64Array(places);
    nextRooms = new Float64Array(places);
  }
  roomsInto(here, p.field, p.deck, now[G.X]!, now[G.Y]!, now[G.PSI]!);
  const begun: Begun[] = [];
  const longer = restless ? WAITING.longer : 1;
  for (let k = restless ? 1 : 0; k < feel.levers.length; k++)
    for (let wheel = -1; wheel <= 1; wheel++) {
      from.set(now);
      order(from, feel, k);
      rooms.set(here);
      let cost = priced(from, p, weathering, wheel, longer * FIRST_S);
      if (before && before.levers !== k) cost += BURSTS.gears;
      if (before && before.wheel !== wheel) cost += BURSTS.wheel;
      const s = from.slice();
      const near = rooms.slice();
      work.set(s);
      const out = priced(work, p, weathering, wheel, longer * THEN_S);
      const total = cost + out + ends(work, p, weathering, least);
      begun.push({ levers: k, wheel, cost, s, near, total });
    }
  begun.sort((a, b) => a.total - b.total);
  const [first] = begun;
  const still = feel.levers.map(({ gears }) => gears.every((gear) => gear === 0));
  let best: Choice = { levers: first!.levers, wheel: first!.wheel, cost: Infinity };
  for (const one of begun.slice(0, KEPT))
    for (let k = 0; k < feel.levers.length; k++)
      for (let wheel = -1; wheel <= 1; wheel++) {
        // With every engine out of gear the wheel does little in so short a time: it stays where it is.
        if (still[k] && wheel !== one.wheel) continue;
        work.set(one.s);
        order(work, feel, k);
        rooms.set(one.near);
        const changes = k === one.levers ? 0 : BURSTS.gears;
        const cost = one.cost + priced(work, p, weathering, wheel, longer * THEN_S) + changes;
        if (cost >= best.cost) continue;
        // Then out of gear.
        if (k !== 0 && feel.pushes[k] === 0) order(work, feel, 0);
        const out = priced(work, p, weathering, wheel, AFTER_S);
        const total = cost + out + ends(work, p, weathering, least) + AFTER_S;
        if (total < best.cost) best = { levers: one.levers, wheel: one.wheel, cost: total };
      }
  return best;
}
