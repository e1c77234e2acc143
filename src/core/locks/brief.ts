import { LOCK_FENDER_M, LOCK_END_M, BORNE } from '../policy';
import { pullOnBoat, type LockedBoat } from './boat-in-lock';
import { leafLength, lockAtRest, type End, type Lock } from './lock';
import { headAt, MADE_M, orderLock, workLock } from './work';

/** Does the boat fit, and how much is over, m; negative where it does not. */
export interface Fit {
  readonly alongside: number;
  /** Two as broad as the boat abreast, fenders between. */
  readonly abreast: number;
  /** Chamber less the boat's length, from the upper gate to the swing of the lower leaves, and from the cill when it counts, going down. */
  readonly gates: number;
  readonly cill: number;
  /** Water over the shallower cill at the level the boat passes it, and room under the coping is not reckoned here. */
  readonly water: number;
}

/** Lengthways of the chamber that the lower leaves swing through as they open up-stream, m. */
export function swingRoom({ width, lowerGates }: Lock): number {
  if (lowerGates.kind === 'guillotine') return 0;
  return lowerGates.kind === 'single' ? width : leafLength(width);
}

export function fitIn(lock: Lock, boat: Omit<LockedBoat, 'fromUpper' | 'bowUp'>): Fit {
  const deep = Math.max(boat.draught, boat.sternDraught);
  return {
    alongside: lock.width - boat.beam - 2 * LOCK_FENDER_M,
    abreast: lock.width - 2 * boat.beam - 3 * LOCK_FENDER_M,
    gates: lock.length - swingRoom(lock) - boat.length - 2 * LOCK_END_M,
    cill: lock.length - lock.cillReach - swingRoom(lock) - boat.length - 2 * LOCK_END_M,
    water: Math.min(lock.upper.level - lock.upperCill, lock.lower.level - lock.lowerCill) - deep,
  };
}

/** How a chamber is filled or emptied at some pace of the paddles. */
export interface LevelChange {
  readonly to: End;
  /** Paddles wound at once to this share, and on to full once half the head is gone. */
  readonly first: number;
  readonly seconds: number;
  /** When half the head was gone, s. */
  readonly halfAt: number;
  /** Greatest rate of the level, m/s, and pull along the chamber over the boat's weight. */
  readonly fastest: number;
  readonly pull: number;
  /** Chamber's level at the end, and what a pound of its own area has lost or gained, m. */
  readonly level: number;
  readonly poundChange: number;
}

const MOST_S = 3600;
const LOOK_S = 0.5;

/** A lock of a staircase as one by itself: the chamber above it full, or the one below it empty. */
function byItself(lock: Lock, to: End): Lock {
  const { fed, drainsTo, ...rest } = lock;
  if (to === 'upper') return fed ? { ...rest, upper: fed.above } : lock;
  return drainsTo === undefined ? lock : { ...lock, lower: { ...lock.lower, level: drainsTo } };
}

/** Works the chamber from one level to the other, and tells how it went; null where it is not made within the hour. */
export function simulateFill(
  given: Lock,
  to: End,
  first: number,
  boat: LockedBoat,
): LevelChange | null {
  const lock = byItself(given, to);
  const state = lockAtRest(lock, to === 'upper' ? 'lower' : 'upper');
  const whole = Math.abs(headAt(state, to));
  const wind = (share: number) =>
    lock.paddles.forEach(({ end }, paddle) => {
      if (end === to) orderLock(lock, state, { do: 'wind', paddle, to: share });
    });
  wind(first);
  let [fastest, pull, halfAt] = [0, 0, 0];
  while (Math.abs(headAt(state, to)) > MADE_M) {
    if (state.time > MOST_S) return null;
    if (halfAt === 0 && Math.abs(headAt(state, to)) < whole / 2) {
      wind(1);
      halfAt = state.time;
    }
    const before = state.chamber;
    workLock(lock, state, LOOK_S);
    fastest = Math.max(fastest, Math.abs(state.chamber - before) / LOOK_S);
    pull = Math.max(pull, Math.abs(pullOnBoat(lock, state, boat)));
  }
  const pound = to === 'upper' ? state.upper - lock.upper.level : state.lower - lock.lower.level;
  return {
    to,
    first,
    seconds: state.time,
    halfAt,
    fastest,
    pull,
    level: state.chamber,
    poundChange: pound,
  };
}

const PACES = [1, 0.5, 0.25] as const;

/** The quickest pace that keeps the pull within what hands hold; the gentlest of all where none does. */
export function gentlest(lock: Lock, to: End, boat: LockedBoat): LevelChange | null {
  const tried = PACES.flatMap((first) => simulateFill(lock, to, first, boat) ?? []);
  return tried.find(({ pull }) => pull <= BORNE) ?? tried.at(-1) ?? null;
}

/** Rope from a cleat to a bollard on the coping with its tail back aboard, m: enough at the lowest level of the chamber. */
export function lineLength(lock: Lock, coping: number, along: number, freeboard: number): number {
  const lowest = Math.min(lock.upper.level, lock.lower.level);
  const up = Math.max(0, coping - lowest - freeboard);
  // There and back, and a turn in the hand.
  return 2 * Math.sqrt(up * up + along * along) + 2;
}
