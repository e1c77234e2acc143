import { cos } from '../math';

/** Ends of a chamber: towards the higher water, and the lower. */
export type End = 'upper' | 'lower';
export const ENDS: readonly End[] = ['upper', 'lower'];

/** Water on one side of a lock. Levels count from the place's nought, m; an area of Infinity does not change its level, m². */
export interface Pound {
  readonly level: number;
  readonly area: number;
}

/** What closes an end, and how long it takes to open or shut, s. */
export interface Gates {
  readonly kind: 'mitre' | 'single' | 'guillotine';
  /** The side a single leaf hangs on, looking up-stream; mitred leaves hang on both. */
  readonly hinge: 'left' | 'right';
  readonly swing: number;
}

/** A paddle: in the gate or through the ground beside it, to one side (looking up-stream); wound open in so long, s. */
export interface Paddle {
  readonly name: string;
  readonly end: End;
  readonly where: 'gate' | 'ground';
  readonly side: LockSide;
  /** Full opening, m², and its discharge coefficient. */
  readonly area: number;
  readonly discharge: number;
  readonly winding: number;
}

/** A lock with one chamber. m, m², s; levels over the place's nought. */
export interface Lock {
  readonly length: number;
  readonly width: number;
  readonly upper: Pound;
  readonly lower: Pound;
  readonly upperGates: Gates;
  readonly lowerGates: Gates;
  readonly paddles: readonly Paddle[];
  /** Top of the cill under the upper gates and how far it reaches into the chamber; top of the lower cill; the floor. */
  readonly upperCill: number;
  readonly cillReach: number;
  readonly lowerCill: number;
  readonly floor: number;
  /** Openings that leak for good, m² times their coefficient. */
  readonly leakUpper: number;
  readonly leakLower: number;
  /** In a staircase, where its upper gates are the lower gates of the lock above it, which reckons what comes through them. */
  readonly fed?: Fed | undefined;
  /** Level of a chamber below it that has been emptied, where its lower water is one, m. */
  readonly drainsTo?: number | undefined;
}

/** What a lock of a staircase is fed from. */
export interface Fed {
  /** Number of the first of its paddles that belongs to the lock above. */
  readonly from: number;
  /** The chamber above when it is full. */
  readonly above: Pound;
}

/** Mitred leaves point so far up-stream when they are shut, rad. */
export const MITRE = (18 * Math.PI) / 180;

/** Length of a mitred leaf in a chamber so wide, m. */
export const leafLength = (width: number): number => width / 2 / cos(MITRE);

export const gatesOf = (lock: Lock, end: End): Gates =>
  end === 'upper' ? lock.upperGates : lock.lowerGates;
export const chamberArea = ({ length, width }: Lock): number => length * width;

/** Levels, paddles and gates of a lock at a moment. Openings and gates are shares, 0 shut to 1 open. */
export interface LockState {
  time: number;
  /** Level in the chamber, and of the two pounds, m. */
  chamber: number;
  upper: number;
  lower: number;
  /** How far each paddle is open, and how far it is being wound. */
  readonly open: Float64Array;
  readonly wound: Float64Array;
  /** Leaves, and how far each is being swung, by LEAF; `gates` is the wider open of an end. */
  readonly leaves: Float64Array;
  readonly leavesTo: Float64Array;
  readonly gates: { upper: number; lower: number };
  /** Flow into the chamber from above, and out of it below, m³/s; and how fast they change, m³/s². */
  flowIn: number;
  flowOut: number;
  surgeIn: number;
  surgeOut: number;
  /** Does the upper cill stand out of the chamber's water as a wall (1)? Not while somebody lies over it. */
  cillOut: number;
  /** Slope of the chamber's water, falling towards the lower gates, and how fast it changes, 1/s. */
  slope: number;
  slopeRate: number;
}

/** Places of the leaves; looking up-stream. */
export const LEAF = { upper: { left: 0, right: 1 }, lower: { left: 2, right: 3 } } as const;
export type LockSide = 'left' | 'right';
export const SIDES: readonly LockSide[] = ['left', 'right'];

/** Sides an end's gates have leaves on. */
export const leafSides = (lock: Lock, end: End): readonly LockSide[] =>
  gatesOf(lock, end).kind === 'mitre' ? SIDES : [gatesOf(lock, end).hinge];

/** A lock at rest: everything shut, the chamber at the level of one end. */
export function lockAtRest(lock: Lock, set: End): LockState {
  const upper = lock.upper.level;
  const lower = lock.lower.level;
  const chamber = set === 'upper' ? upper : lower;
  return {
    time: 0,
    chamber,
    upper,
    lower,
    open: new Float64Array(lock.paddles.length),
    wound: new Float64Array(lock.paddles.length),
    leaves: new Float64Array(4),
    leavesTo: new Float64Array(4),
    gates: { upper: 0, lower: 0 },
    flowIn: 0,
    flowOut: 0,
    surgeIn: 0,
    surgeOut: 0,
    cillOut: chamber < lock.upperCill ? 1 : 0,
    slope: 0,
    slopeRate: 0,
  };
}

/** The same with the gates of the end it is set for standing open. */
export function standingOpen(lock: Lock, state: LockState, end: End): LockState {
  for (const side of leafSides(lock, end)) {
    state.leaves[LEAF[end][side]] = 1;
    state.leavesTo[LEAF[end][side]] = 1;
  }
  state.gates[end] = 1;
  return state;
}

export function copyLock(state: LockState): LockState {
  return {
    ...state,
    open: state.open.slice(),
    wound: state.wound.slice(),
    leaves: state.leaves.slice(),
    leavesTo: state.leavesTo.slice(),
    gates: { ...state.gates },
  };
}

/** Copies one state over another of the same lock. */
export function copyLockOver(to: LockState, from: LockState): void {
  to.time = from.time;
  to.chamber = from.chamber;
  to.upper = from.upper;
  to.lower = from.lower;
  for (let i = 0; i < from.open.length; i++) {
    to.open[i] = from.open[i]!;
    to.wound[i] = from.wound[i]!;
  }
  for (let i = 0; i < 4; i++) {
    to.leaves[i] = from.leaves[i]!;
    to.leavesTo[i] = from.leavesTo[i]!;
  }
  to.gates.upper = from.gates.upper;
  to.gates.lower = from.gates.lower;
  to.flowIn = from.flowIn;
  to.flowOut = from.flowOut;
  to.surgeIn = from.surgeIn;
  to.surgeOut = from.surgeOut;
  to.cillOut = from.cillOut;
  to.slope = from.slope;
  to.slopeRate = from.slopeRate;
}
