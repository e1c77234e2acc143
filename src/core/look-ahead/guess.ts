import { cos, exp, sin } from '../math';
import { TERMS, terms, WHEELS, WINDS, type Feel } from './feel';

/** Places in the row of a guess: where the boat is and how it moves over and through the water, the wheel, and what there is of the thrust. */
export const G = {
  X: 0,
  Y: 1,
  PSI: 2,
  U: 3,
  V: 4,
  R: 5,
  WHEEL: 6,
  THRUST: 7,
  LEVERS: 8,
  NEXT: 9,
  WAITS: 10,
} as const;
export const GUESS_SIZE = 11;

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

/** Goes from one setting of the levers to another: seconds until it takes hold. */
export type Shifts = Float64Array;

export function shiftsOf({ levers, delay, pause }: Feel): Shifts {
  const n = levers.length;
  const shifts = new Float64Array(n * n);
  for (let a = 0; a < n; a++)
    for (let b = 0; b < n; b++) {
      const from = levers[a]!.gears;
      const to = levers[b]!.gears;
      const same = from.every((gear, i) => gear === to[i]);
      const reverses = from.some((gear, i) => gear * to[i]! < 0);
      shifts[a * n + b] = same ? 0 : reverses ? Math.max(pause, delay) : delay;
    }
  return shifts;
}

/** Way over the ground of a guess, m/s. */
export function overGround(s: Float64Array, { east, north }: Weathering): number {
  const sp = sin(s[G.PSI]!);
  const cp = cos(s[G.PSI]!);
  const ahead = s[G.U]! + east * sp + north * cp;
  const aside = s[G.V]! + east * cp - north * sp;
  return Math.sqrt(ahead * ahead + aside * aside);
}

const row = new Float64Array(TERMS);
const rate = new Float64Array(3);

/** Accelerations by levers `k` with the wheel at a share of the lock, into `rate`, times a share. */
function add({ by }: Feel, k: number, wheel: number, share: number): void {
  const low = wheel < 0 ? 0 : 1;
  const part = wheel - (low - 1);
  const at = (k * WHEELS + low) * 3 * TERMS;
  // Mostly the wheel stands where it was felt.
  if (part < 1) addRow(by, at, share * (1 - part));
  if (part > 0) addRow(by, at + 3 * TERMS, share * part);
}

function addRow(by: Float64Array, at: number, share: number): void {
  let surge = 0;
  let sway = 0;
  let yaw = 0;
  for (let i = 0; i < TERMS; i++) {
    const term = row[i]!;
    surge += by[at + i]! * term;
    sway += by[at + TERMS + i]! * term;
    yaw += by[at + 2 * TERMS + i]! * term;
  }
  rate[0]! += share * surge;
  rate[1]! += share * sway;
  rate[2]! += share * yaw;
}

/** Tells a guess that the levers are put from where they are to `k`. */
export function order(s: Float64Array, feel: Feel, shifts: Shifts, k: number): void {
  if (s[G.NEXT] === k) return;
  const n = feel.levers.length;
  // Out of gear in the meantime, the pause has begun already.
  const waits = shifts[s[G.LEVERS]! * n + k]!;
  if (waits === 0) {
    s[G.LEVERS] = k;
    s[G.WAITS] = 0;
  } else s[G.WAITS] = waits;
  s[G.NEXT] = k;
}

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
    if (s[G.NEXT] !== s[G.LEVERS]) {
      s[G.WAITS]! -= dt;
      s[G.THRUST]! *= goes;
      if (s[G.WAITS]! <= 0) {
        s[G.LEVERS] = s[G.NEXT]!;
        s[G.THRUST] = 0;
      }
    } else s[G.THRUST]! += comes * (1 - s[G.THRUST]!);
    const u = s[G.U]!;
    const v = s[G.V]!;
    const r = s[G.R]!;
    terms(row, u, v, r);
    rate[0] = besides[0]!;
    rate[1] = besides[1]!;
    rate[2] = besides[2]!;
    const k = s[G.LEVERS]!;
    const thrust = k === 0 ? 0 : s[G.THRUST]!;
    add(feel, 0, s[G.WHEEL]!, 1 - thrust);
    if (thrust > 0) add(feel, k, s[G.WHEEL]!, thrust);
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
