import { cos, exp, sin } from '../math';
import { addFelt, FELT_SIZE, placeOf, WHEELS, WINDS, type Feel } from './feel';

/**
 * Places in the row of a guess: where the boat is and how it moves over and through the water; the wheel; the levers it was last driven by, as a share of what the
 * shafts turn there when they have come to it; the engines as ordered, seconds until these take hold, and since it was driven; what power thrusters have which way, which is
 * ordered, and how long they have stood; and the setting of engines that stay in gear while others change, as a share of what they come to.
 */
export const G = {
  X: 0,
  Y: 1,
  PSI: 2,
  U: 3,
  V: 4,
  R: 5,
  WHEEL: 6,
  TURNS: 7,
  LEVERS: 8,
  NEXT: 9,
  WAITS: 10,
  SINCE: 11,
  POWER: 12,
  PUSH: 13,
  PUSHES: 14,
  STANDS: 15,
  STAY: 16,
  STAYS: 17,
} as const;
export const GUESS_SIZE = 18;

/** Steps a guess goes on by, s. */
export const GUESS_STEP_S = 0.25;

/** How a wind and a current stand for a guess: rad, m/s; and what the boat has shown besides of late, m/s² and rad/s². */
export interface Weathering {
  readonly windFrom: number;
  readonly east: number;
  readonly north: number;
  readonly besides: Float64Array;
}

const TURN = 2 * Math.PI;

/** Way over the ground of a guess, m/s. */
export function overGround(s: Float64Array, { east, north }: Weathering): number {
  const sp = sin(s[G.PSI]!);
  const cp = cos(s[G.PSI]!);
  const ahead = s[G.U]! + east * sp + north * cp;
  const aside = s[G.V]! + east * cp - north * sp;
  return Math.sqrt(ahead * ahead + aside * aside);
}

const rate = new Float64Array(3);
const shares = new Float64Array(8);

/** Accelerations by levers `k` with the wheel at a share of the lock, into `rate`, times a share. */
function add(feel: Feel, k: number, wheel: number, place: number, share: number): void {
  const low = wheel < 0 ? 0 : 1;
  const part = wheel - (low - 1);
  const at = (k * WHEELS + low) * FELT_SIZE + place;
  // Mostly the wheel stands where it was felt.
  if (part < 1) addFelt(feel.by, at, shares, share * (1 - part), rate);
  if (part > 0) addFelt(feel.by, at + FELT_SIZE, shares, share * part, rate);
}

/** What the shafts turn at some levers as a share of what they come to at others. */
function shared({ turns }: Feel, share: number, from: number, to: number): number {
  return turns[to]! > 0 ? (share * turns[from]!) / turns[to]! : 0;
}

/**
 * Tells a guess that the levers are put to `k`: out of gear at once, into it after a delay, and into the other one after a pause. Engines
 * whose gear stays go on meanwhile.
 */
export function order(s: Float64Array, feel: Feel, k: number): void {
  s[G.PUSHES] = feel.pushes[k]!;
  const engines = feel.engines[k]!;
  const next = s[G.NEXT]!;
  if (next === engines) return;
  const driven = s[G.LEVERS]!;
  const shift = feel.shifts[driven * feel.settings + engines]!;
  s[G.NEXT] = engines;
  if (next === driven && shift === 0) {
    s[G.TURNS] = shared(feel, s[G.TURNS]!, driven, engines);
    s[G.LEVERS] = engines;
    s[G.WAITS] = 0;
    return;
  }
  const inGear = next === driven ? driven : s[G.STAY]!;
  const turns = next === driven ? s[G.TURNS]! : s[G.STAYS]!;
  const stay = feel.meanwhile[inGear * feel.settings + engines]!;
  s[G.STAYS] = shared(feel, turns, inGear, stay);
  s[G.STAY] = stay;
  if (next === driven) s[G.SINCE] = 0;
  const pause = shift === 2 ? feel.pause - s[G.SINCE]! : 0;
  s[G.WAITS] = engines === 0 ? 0 : Math.max(feel.delay, pause);
}

/** Puts levers and wheel of a guess where they have been for some time. */
export function settle(s: Float64Array, feel: Feel, k: number, wheel: number): void {
  s[G.WHEEL] = wheel;
  s[G.TURNS] = 1;
  s[G.LEVERS] = feel.engines[k]!;
  s[G.NEXT] = feel.engines[k]!;
  s[G.WAITS] = 0;
  s[G.SINCE] = 0;
  s[G.POWER] = feel.pushes[k] === 0 ? 0 : 1;
  s[G.PUSH] = feel.pushes[k]!;
  s[G.PUSHES] = feel.pushes[k]!;
  s[G.STANDS] = 0;
  s[G.STAY] = 0;
}

/** A thruster with less of its power than this has stopped. */
const STANDS = 0.05;

/** Thrusters run up and down; they turn the other way when they have stood for a while. */
function pushOn(s: Float64Array, { pushComes, pushPause }: Feel): void {
  const dt = GUESS_STEP_S;
  const goes = exp(-dt / pushComes);
  const power = s[G.POWER]!;
  if (s[G.PUSH] === s[G.PUSHES]) {
    s[G.POWER] = s[G.PUSH] === 0 ? 0 : 1 - (1 - power) * goes;
    return;
  }
  s[G.POWER] = power * goes;
  if (power > STANDS) {
    s[G.STANDS] = 0;
    return;
  }
  s[G.STANDS]! += dt;
  if (s[G.PUSHES] === 0 || (s[G.PUSH] !== 0 && s[G.STANDS]! < pushPause)) return;
  s[G.PUSH] = s[G.PUSHES]!;
  s[G.POWER] = 0;
}

/** Shafts that turn so much of what they come to turn as fast as those that went on. */
const TURNED = 0.95;

/** Takes a guess on by so many steps with the wheel going to a share of the lock. */
export function goOn(
  s: Float64Array,
  feel: Feel,
  { windFrom, east, north, besides }: Weathering,
  wheel: number,
  steps: number,
): void {
  const dt = GUESS_STEP_S;
  const turn = dt / Math.max(0.1, feel.over);
  const comes = 1 - exp(-dt / feel.comes);
  const goes = exp(-dt / feel.goes);
  for (let n = 0; n < steps; n++) {
    const way = wheel - s[G.WHEEL]!;
    s[G.WHEEL]! += way > turn ? turn : way < -turn ? -turn : way;
    const next = s[G.NEXT]!;
    const driven = s[G.LEVERS]!;
    let turns = s[G.TURNS]!;
    if (next !== driven) {
      s[G.WAITS]! -= dt;
      s[G.SINCE]! += dt;
      turns *= goes;
      // Out of gear it goes on running down.
      if (s[G.WAITS]! <= 0 && next !== 0) {
        const reverses = feel.shifts[driven * feel.settings + next] === 2;
        turns = reverses || s[G.STAY] !== 0 ? 0 : shared(feel, turns, driven, next);
        s[G.LEVERS] = next;
      }
    } else turns = Math.abs(turns - 1) < 0.02 ? 1 : turns + comes * (1 - turns);
    s[G.TURNS] = turns;
    const u = s[G.U]!;
    const v = s[G.V]!;
    const r = s[G.R]!;
    const place = placeOf(feel, u, v, r, shares);
    rate[0] = besides[0]!;
    rate[1] = besides[1]!;
    rate[2] = besides[2]!;
    const k = s[G.LEVERS]!;
    const thrust = k === 0 ? 0 : turns * turns;
    let rest = 1 - thrust;
    const stay = s[G.STAY]!;
    if (stay !== 0) {
      const stays = s[G.STAYS]! + comes * (1 - s[G.STAYS]!);
      s[G.STAYS] = stays;
      if (next === driven && turns > TURNED) s[G.STAY] = 0;
      else if (rest > 0) {
        const share = rest * stays * stays;
        add(feel, stay, s[G.WHEEL]!, place, share);
        rest -= share;
      }
    }
    if (rest !== 0) add(feel, 0, s[G.WHEEL]!, place, rest);
    if (thrust > 0) add(feel, k, s[G.WHEEL]!, place, thrust);
    if (s[G.PUSH] !== 0 || s[G.PUSHES] !== 0) {
      pushOn(s, feel);
      const power = s[G.POWER]!;
      if (power > 0)
        addFelt(feel.pushed, s[G.PUSH]! * FELT_SIZE + place, shares, power * power, rate);
    }
    // The wind off the bow, between two of the directions it was felt from.
    let off = (windFrom - s[G.PSI]!) / TURN;
    off = (off - Math.floor(off)) * WINDS;
    const low = Math.min(WINDS - 1, Math.floor(off));
    const high = (low + 1) % WINDS;
    const part = off - low;
    for (let j = 0; j < 3; j++)
      rate[j]! += feel.wind[3 * low + j]! * (1 - part) + feel.wind[3 * high + j]! * part;
    const u1 = u + dt * rate[0]!;
    const v1 = v + dt * rate[1]!;
    const r1 = r + dt * rate[2]!;
    const psi = s[G.PSI]! + (dt * (r + r1)) / 2;
    const mid = (s[G.PSI]! + psi) / 2;
    const sp = sin(mid);
    const cp = cos(mid);
    const um = (u + u1) / 2;
    const vm = (v + v1) / 2;
    s[G.X]! += dt * (um * sp + vm * cp + east);
    s[G.Y]! += dt * (um * cp - vm * sp + north);
    s[G.PSI] = psi;
    s[G.U] = u1;
    s[G.V] = v1;
    s[G.R] = r1;
  }
}
