import { GRAVITY_MPS2 } from '../units';
import {
  chamberArea,
  copyLock,
  ENDS,
  gatesOf,
  LEAF,
  leafSides,
  type End,
  type Lock,
  type LockState,
  type LockSide,
} from './lock';

/** Levels count as made within so much, m: no gate moves against more, by hand or otherwise. */
export const MADE_M = 0.02;
/** Somebody who leans on a gate gives it up when a head has come up again to this, m: a tide may still be moving. */
const GIVES_UP_M = 2 * MADE_M;
/** Under this head the flow goes with the head, not its root, m: a film no paddle sees, so that nothing rings round level. */
const FILM_M = 1e-6;
/** The step, s: paddles and levels change over tens of seconds. */
export const LOCK_STEP_S = 0.05;

/** An order to whoever works the lock. */
export type LockOrder =
  | { readonly do: 'wind'; readonly paddle: number; readonly to: number }
  | {
      readonly do: 'gates';
      readonly end: End;
      /** One leaf, or all there are. */
      readonly leaf?: LockSide | undefined;
      readonly to: 'open' | 'shut';
    };

/** Why an order is not obeyed. */
export type LockRefusal =
  | { readonly is: 'not level'; readonly end: End; readonly head: number }
  | { readonly is: 'other gates open'; readonly end: End }
  | { readonly is: 'no such paddle' };

const other = (end: End): End => (end === 'upper' ? 'lower' : 'upper');

/** Head over an end's gates, m: outside less inside. */
export function headAt(state: LockState, end: End): number {
  return (end === 'upper' ? state.upper : state.lower) - state.chamber;
}

/**
 * Gives an order: a paddle is wound to an opening in its own time; gates begin to move only at levels made, with the other end
 * shut. Null where it is obeyed.
 */
export function orderLock(lock: Lock, state: LockState, order: LockOrder): LockRefusal | null {
  if (order.do === 'wind') {
    if (!(order.paddle in lock.paddles) || order.paddle >= (lock.fed?.from ?? Infinity))
      return { is: 'no such paddle' };
    state.wound[order.paddle] = Math.max(0, Math.min(1, order.to));
    return null;
  }
  const { end, to, leaf } = order;
  if (to === 'open') {
    const head = headAt(state, end);
    if (Math.abs(head) > MADE_M) return { is: 'not level', end, head };
    if (!isShut(lock, state, other(end))) return { is: 'other gates open', end: other(end) };
  }
  const sides = leafSides(lock, end);
  for (const side of leaf && sides.includes(leaf) ? [leaf] : sides)
    state.leavesTo[LEAF[end][side]] = to === 'open' ? 1 : 0;
  return null;
}

/** Does every leaf of an end stand shut, and stay so? */
export function isShut(lock: Lock, state: LockState, end: End): boolean {
  return leafSides(lock, end).every((side) => {
    const leaf = LEAF[end][side];
    return state.leaves[leaf] === 0 && state.leavesTo[leaf] === 0;
  });
}

/** Openings at an end, m² times their coefficients, at the state's paddles. */
function openingAt(lock: Lock, state: LockState, end: End): number {
  if (end === 'upper' && lock.fed) return 0;
  let sum = end === 'upper' ? lock.leakUpper : lock.leakLower;
  lock.paddles.forEach((paddle, i) => {
    if (paddle.end === end) sum += paddle.discharge * paddle.area * state.open[i]!;
  });
  return sum;
}

/** Flow through an opening under a head, m³/s: C_d a √(2gΔh), with the sign of the head. */
function flow(opening: number, head: number): number {
  return (opening * Math.sqrt(2 * GRAVITY_MPS2) * head) / Math.sqrt(Math.abs(head) + FILM_M);
}

const towards = (from: number, to: number, most: number) =>
  from + Math.max(-most, Math.min(most, to - from));

/** Moves paddles and gates on by `dt`; gates stop where they are against a head that has come up since. */
function move(lock: Lock, state: LockState, dt: number): void {
  const own = lock.fed?.from ?? lock.paddles.length;
  lock.paddles.forEach(({ winding }, i) => {
    if (i >= own) return;
    state.open[i] = towards(state.open[i]!, state.wound[i]!, dt / winding);
  });
  for (const end of ENDS) {
    if (end === 'upper' && lock.fed) continue;
    const held = state.gates[end] === 0 && Math.abs(headAt(state, end)) > GIVES_UP_M;
    state.gates[end] = 0;
    for (const side of leafSides(lock, end)) {
      const leaf = LEAF[end][side];
      if (held) state.leavesTo[leaf] = 0;
      const to = state.leavesTo[leaf]!;
      state.leaves[leaf] = towards(state.leaves[leaf]!, to, dt / gatesOf(lock, end).swing);
      state.gates[end] = Math.max(state.gates[end], state.leaves[leaf]!);
    }
  }
}

/** Share of critical damping of the chamber's first swing to and fro: shut in, and with gates open. Judgement. */
const SEICHE_DAMPING = 0.08;
const OPEN_DAMPING = 0.7;

/**
 * The chamber's water swings to and fro (first mode of a shut basin, ω = π√(g d)/L) about the slope that a changing flow asks for,
 * (dQ/dt)/(g A_w): symplectic Euler.
 */
function swing(lock: Lock, state: LockState, dt: number): void {
  const depth = Math.max(0.1, state.chamber - lock.floor);
  const omega = (Math.PI * Math.sqrt(GRAVITY_MPS2 * depth)) / lock.length;
  const asked = (state.surgeIn + state.surgeOut) / (GRAVITY_MPS2 * lock.width * depth);
  const damping = state.gates.upper > 0 || state.gates.lower > 0 ? OPEN_DAMPING : SEICHE_DAMPING;
  state.slopeRate +=
    dt * (omega * omega * (asked - state.slope) - 2 * damping * omega * state.slopeRate);
  state.slope += dt * state.slopeRate;
}

/** Share of the exchange a water's level takes: 1/A, nothing where it does not change. */
const per = (area: number) => (area === Infinity ? 0 : 1 / area);

/**
 * One step: paddles and gates move, and water goes through them (midpoint rule). What leaves one water comes into the other, so
 * that volume is kept to rounding. Behind open gates chamber and pound are one water.
 */
function stepLock(lock: Lock, state: LockState, dt: number): void {
  move(lock, state, dt);
  const area = chamberArea(lock);
  const perChamber = 1 / area;
  const perUpper = per(lock.upper.area);
  const perLower = per(lock.lower.area);
  const up = state.gates.upper > 0 ? 0 : openingAt(lock, state, 'upper');
  const down = state.gates.lower > 0 ? 0 : openingAt(lock, state, 'lower');
  const rates = (chamber: number, upper: number, lower: number) =>
    [flow(up, upper - chamber), flow(down, chamber - lower)] as const;
  const [in0, out0] = rates(state.chamber, state.upper, state.lower);
  const half = dt / 2;
  const [flowIn, flowOut] = rates(
    state.chamber + half * perChamber * (in0 - out0),
    state.upper - half * perUpper * in0,
    state.lower + half * perLower * out0,
  );
  if (!lock.fed) {
    state.surgeIn = (flowIn - state.flowIn) / dt;
    state.flowIn = flowIn;
  }
  state.surgeOut = (flowOut - state.flowOut) / dt;
  state.flowOut = flowOut;
  state.chamber += dt * perChamber * (flowIn - flowOut);
  state.upper -= dt * perUpper * flowIn;
  state.lower += dt * perLower * flowOut;
  if (state.gates.upper > 0 && !lock.fed) join(lock, state, 'upper');
  if (state.gates.lower > 0) join(lock, state, 'lower');
  swing(lock, state, dt);
  state.time += dt;
}

/** Chamber and pound behind open gates come to one level, no water lost. */
function join(lock: Lock, state: LockState, end: End): void {
  const area = chamberArea(lock);
  const pound = end === 'upper' ? lock.upper.area : lock.lower.area;
  const outside = end === 'upper' ? state.upper : state.lower;
  const level =
    pound === Infinity ? outside : (state.chamber * area + outside * pound) / (area + pound);
  state.chamber = level;
  if (end === 'upper') state.upper = level;
  else state.lower = level;
}

/** Works the lock on for so long, s, in steps of its own. */
export function workLock(lock: Lock, state: LockState, seconds: number): void {
  const steps = Math.max(1, Math.round(seconds / LOCK_STEP_S));
  for (let i = 0; i < steps; i++) stepLock(lock, state, seconds / steps);
}

/** All water of a lock over nought, m³, the waters that do not change left out. */
export function volumeOf(lock: Lock, { chamber, upper, lower }: LockState): number {
  const of = (level: number, area: number) => (area === Infinity ? 0 : level * area);
  return chamber * chamberArea(lock) + of(upper, lock.upper.area) + of(lower, lock.lower.area);
}

/** Seconds until the chamber is at the level of an end as the paddles are being wound; null where it never is. */
export function timeToMake(lock: Lock, from: LockState, end: End, most = 3600): number | null {
  const tried = copyLock(from);
  const began = tried.time;
  while (Math.abs(headAt(tried, end)) > MADE_M) {
    if (tried.time - began > most) return null;
    workLock(lock, tried, 0.5);
  }
  return tried.time - began;
}
