import { GRAVITY_MPS2 } from '../units';
import { copyLock, type Lock, type LockState } from './lock';
import { workLock } from './work';

/** A boat in a chamber, as far as the water and the walls ask. m, m². */
export interface LockedBoat {
  readonly length: number;
  readonly beam: number;
  readonly draught: number;
  /** How deep the boat's stern and its rudder hang, m. */
  readonly sternDraught: number;
  /** How deep that part of the boat hangs which lies over the cill, m; its stern's draught, or its own, if not given. */
  readonly overCill?: number;
  /** Highest point over the water, m. */
  readonly airDraught: number;
  /** Does the boat lie with its bow to the upper gates? */
  readonly bowUp: boolean;
  /** From the upper gates to the end of the boat that lies towards them, m. */
  readonly fromUpper: number;
}

/** Share of a jet's push that comes on a hull: through the ground it is broken up first. Judgement, ±50 %. */
const JET = { gate: 0.4, ground: 0.15 } as const;
const SECTION_FULLNESS = 0.9;

/**
 * Force along the chamber on a boat over its weight, as the trade states it (per mille when times a thousand); positive towards the
 * lower gates. Two parts, both documented approximations, ±50 % together:
 *
 *   slope   the chamber's water swinging about (dQ/dt)/(g A_w), A_w the wetted section
 *   jet     Σ k ρ q v (A_h/A_w)/(ρ g V) momentum of the inflow on its section's share of the chamber's
 */
export function pullOnBoat(lock: Lock, state: LockState, boat: LockedBoat): number {
  const depth = Math.max(0.1, state.chamber - lock.floor);
  const wetted = lock.width * depth;
  const section = SECTION_FULLNESS * boat.beam * boat.draught;
  const displaced = 0.6 * boat.length * boat.beam * boat.draught;
  const head = state.upper - state.chamber;
  const speed = Math.sqrt(2 * GRAVITY_MPS2 * Math.max(0, head));
  let jet = 0;
  lock.paddles.forEach((paddle, i) => {
    if (paddle.end !== 'upper') return;
    const q = paddle.discharge * paddle.area * state.open[i]! * speed;
    jet += JET[paddle.where] * q * speed;
  });
  return state.slope + (jet * Math.min(1, section / wetted)) / (GRAVITY_MPS2 * displaced);
}

/** What holds or hangs the boat. */
export type HangUp =
  /** An end of the boat comes down on the upper cill. */
  | { readonly is: 'on the cill'; readonly end: 'bow' | 'stern'; readonly by: number }
  /** The boat lies under the gates that open, or reaches into their swing. */
  | { readonly is: 'in the gates'; readonly end: 'upper' | 'lower' }
  /** Not enough water over the floor or the lower cill. */
  | { readonly is: 'on the bottom'; readonly by: number };

/** Water an end of the boat has over the cill, m; null where none of it is over it. */
export function overCill(
  lock: Lock,
  { chamber }: LockState,
  boat: LockedBoat,
): { readonly end: 'bow' | 'stern'; readonly water: number } | null {
  if (boat.fromUpper >= lock.cillReach) return null;
  const end = boat.bowUp ? 'bow' : 'stern';
  const draught = boat.overCill ?? (end === 'stern' ? boat.sternDraught : boat.draught);
  return { end, water: chamber - draught - lock.upperCill };
}

/** Who leans on a gate is not in it, m. */
const LEANS_M = 0.05;

/** What holds the boat now; empty where it floats free. */
export function hangUps(lock: Lock, state: LockState, boat: LockedBoat): readonly HangUp[] {
  const found: HangUp[] = [];
  const cill = overCill(lock, state, boat);
  if (cill && cill.water < 0) found.push({ is: 'on the cill', end: cill.end, by: -cill.water });
  if (boat.fromUpper < -LEANS_M) found.push({ is: 'in the gates', end: 'upper' });
  if (boat.fromUpper + boat.length > lock.length + LEANS_M)
    found.push({ is: 'in the gates', end: 'lower' });
  const under = state.chamber - lock.floor - Math.max(boat.draught, boat.sternDraught);
  if (under < 0) found.push({ is: 'on the bottom', by: -under });
  return found;
}

/** Farther ahead than this nobody looks, s. */
const AHEAD_S = 900;
const LOOK_S = 0.5;

/** Seconds until the chamber has risen by so much, m, as the paddles are being wound; null where it does not within a quarter of an hour. */
export function risesBy(lock: Lock, from: LockState, rise: number): number | null {
  const state = copyLock(from);
  for (let t = 0; t <= AHEAD_S; t += LOOK_S) {
    if (state.chamber - from.chamber >= rise) return t;
    workLock(lock, state, LOOK_S);
  }
  return null;
}

/**
 * Seconds until the boat hangs as the paddles are being wound, and on what; null where it does not. Standing in the gates is no
 * matter of the water, and does not count. It is saved by shutting the paddles that empty and filling again: see `savedIn`.
 */
export function timeLeft(
  lock: Lock,
  from: LockState,
  boat: LockedBoat,
): { readonly seconds: number; readonly hangs: HangUp } | null {
  const state = copyLock(from);
  for (let t = 0; t <= AHEAD_S; t += LOOK_S) {
    const hangs = hangUps(lock, state, boat).find(({ is }) => is !== 'in the gates');
    if (hangs) return { seconds: t, hangs };
    if (t > 0 && state.flowIn === 0 && state.flowOut === 0) return null;
    workLock(lock, state, LOOK_S);
  }
  return null;
}
