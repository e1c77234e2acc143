import { cos, sin } from '../math';
import { distanceAt, roomOf, type Field } from './field';
import { G, GUESS_SIZE, GUESS_STEP_S, goOn, order, overGround, type Weathering } from './guess';
import type { Feel } from './feel';
import { BURSTS } from '../policy';
import { wayAt, type Missed, type Ways } from './ways';

/** What a helm that looks ahead reckons with. */
export interface Prospect {
  readonly feel: Feel;
  readonly field: Field;
  readonly deck: Float64Array;
  readonly ways: Ways;
  readonly missed: Missed;
  /** Room it likes to keep, m. */
  readonly spare: number;
  /** A manoeuvre that ends under way: no need to slow down for its goal. */
  readonly goesOn: boolean;
  /** Midships to where the ends swing, m. */
  readonly reach: number;
  /** Way it is to have at the most, m/s; seconds until anything is done about what is seen, and what way the gears then take off, m/s². */
  readonly most: number;
  readonly lag: number;
  readonly slows: number;
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

/** Way a helm has near things, m/s: a knot beside them, two and more well clear; and how fast it comes nearer to them. */
const wayAllowed = (room: number, most: number) => Math.min(most, 0.28 + 0.3 * Math.max(0, room));
/** Way that lets the boat be stopped in so much room: after what passes until anything is done about it, by what its gears take off. */
const stoppedIn = ({ lag, slows }: Prospect, room: number) =>
  slows * (Math.sqrt(lag * lag + (2 * Math.max(0, room)) / slows) - lag);

const from = new Float64Array(GUESS_SIZE);
const work = new Float64Array(GUESS_SIZE);

/** Room at the last look of a guess, m; as it goes from guess to guess. */
let lastRoom = 0;

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
      lastRoom = open - p.clear + 3;
      const over = overGround(s, weathering) - p.most;
      if (over > 0) cost += BURSTS.fast * over * over;
      continue;
    }
    const room = roomOf(p.field, p.deck, x, y, s[G.PSI]!);
    const closing = (lastRoom - room) / (steps * GUESS_STEP_S);
    lastRoom = room;
    if (room < 0.02)
      cost += BURSTS.touched * (0.1 + Math.max(0, closing)) * (1 + Math.min(1, 0.02 - room));
    else if (room < p.spare) cost += 1.5 * (p.spare - room);
    const over = overGround(s, weathering) - wayAllowed(room, p.most);
    if (over > 0) cost += BURSTS.fast * over * over;
    const fast = closing - 0.03 - stoppedIn(p, room);
    if (fast > 0) cost += BURSTS.closing * fast;
  }
  return cost;
}

/** Way a boat goes with, m/s: less is as good as none. */
const GOES_MPS = 0.1;

/** How long it takes until the boat goes ahead (1) or astern (−1), s: gears that have yet to take hold, and way to be taken off. */
function untilGoing(s: Float64Array, { feel, slows }: Prospect, way: number): number {
  const going = way * s[G.U]!;
  if (going > GOES_MPS) return 0;
  const ordered = feel.levers[s[G.NEXT]!]!.way === way;
  const waits = ordered ? Math.max(0, s[G.WAITS]!) : going < -GOES_MPS ? feel.pause : feel.delay;
  return waits + (GOES_MPS - going) / slows / 2;
}

function ends(s: Float64Array, p: Prospect, weathering: Weathering): number {
  const { ways, missed, goesOn } = p;
  let x = s[G.X]!;
  let y = s[G.Y]!;
  const r = s[G.R]!;
  const aside = p.drifts * s[G.V]!;
  const psi = s[G.PSI]! + r * (p.turns + p.turnsBy * Math.abs(r));
  x += aside * cos(psi);
  y -= aside * sin(psi);
  const ahead = wayAt(ways, x, y, psi, 0) + untilGoing(s, p, 1);
  const astern = wayAt(ways, x, y, psi, 1) + untilGoing(s, p, -1);
  let cost = Math.min(ahead, astern);
  const off = missed(x, y, psi);
  cost += 4 * Math.min(2, off);
  if (!goesOn) {
    // Near the goal the way has to come off.
    const speed = overGround(s, weathering);
    const allowed = 0.08 + stoppedIn(p, 0.4 * Math.min(20, cost));
    if (speed > allowed) cost += BURSTS.fast * (speed - allowed) * (speed - allowed);
    if (off < 1.2) cost += 6 * Math.max(0, speed - 0.1) + 20 * Math.abs(s[G.R]!);
  }
  return cost;
}

/** A first burst: what it is, what it costs, where it leads, and what it comes to so far. */
interface Begun {
  readonly levers: number;
  readonly wheel: number;
  readonly cost: number;
  readonly s: Float64Array;
  readonly near: number;
  readonly total: number;
}

/** How long the first burst and the one after it are looked at, s, and how many of the first are gone on from. */
const FIRST_S = 1.25;
const THEN_S = 1.75;
const KEPT = 5;

/**
 * Looks ahead: every burst there is for a moment and a half, the best of them followed by another, and then let run out or go on; what comes of it is
 * held against how long it takes from there. Beam search.
 *
 * @param now where the boat is taken to be, columns G
 */
export function lookAhead(
  p: Prospect,
  weathering: Weathering,
  now: Float64Array,
  before: Choice | null,
): Choice {
  const { feel } = p;
  const room = roomOf(p.field, p.deck, now[G.X]!, now[G.Y]!, now[G.PSI]!);
  const begun: Begun[] = [];
  for (let k = 0; k < feel.levers.length; k++)
    for (let wheel = -1; wheel <= 1; wheel++) {
      from.set(now);
      order(from, feel, k);
      lastRoom = room;
      let cost = priced(from, p, weathering, wheel, FIRST_S);
      if (before && before.levers !== k) cost += BURSTS.gears;
      if (before && before.wheel !== wheel) cost += BURSTS.wheel;
      const s = from.slice();
      const near = lastRoom;
      work.set(s);
      const out = priced(work, p, weathering, wheel, THEN_S);
      const total = cost + out + ends(work, p, weathering);
      begun.push({ levers: k, wheel, cost, s, near, total });
    }
  begun.sort((a, b) => a.total - b.total);
  const [first] = begun;
  let best: Choice = { levers: first!.levers, wheel: first!.wheel, cost: first!.total };
  for (const one of begun.slice(0, KEPT))
    for (let k = 0; k < feel.levers.length; k++)
      for (let wheel = -1; wheel <= 1; wheel++) {
        work.set(one.s);
        order(work, feel, k);
        lastRoom = one.near;
        const changes = k === one.levers ? 0 : BURSTS.gears;
        const cost = one.cost + priced(work, p, weathering, wheel, THEN_S) + changes;
        if (cost >= best.cost) continue;
        // Then out of gear.
        if (k !== 0 && feel.pushes[k] === 0) order(work, feel, 0);
        const out = priced(work, p, weathering, wheel, AFTER_S);
        const total = cost + out + ends(work, p, weathering) + AFTER_S;
        if (total < best.cost) best = { levers: one.levers, wheel: one.wheel, cost: total };
      }
  return best;
}
