import {
  LEAF,
  lockAtRest,
  standingOpen,
  type Lock,
  type LockedBoat,
  type LockState,
  type LockSide,
  type SitedLock,
} from '../locks';
import type { Order } from '../plan';
import { box } from './boxes';

const OTHER: Readonly<Record<LockSide, LockSide>> = { left: 'right', right: 'left' };

function flipChamber(lock: Lock): Lock {
  return {
    ...lock,
    upperGates: { ...lock.upperGates, hinge: OTHER[lock.upperGates.hinge] },
    lowerGates: { ...lock.lowerGates, hinge: OTHER[lock.lowerGates.hinge] },
    paddles: lock.paddles.map((paddle) => ({ ...paddle, side: OTHER[paddle.side] })),
  };
}

const flipLeaves = (leaves: Float64Array) => {
  const flipped = new Float64Array(4);
  for (const end of ['upper', 'lower'] as const)
    for (const side of ['left', 'right'] as const)
      flipped[LEAF[end][side]] = leaves[LEAF[end][OTHER[side]]]!;
  return flipped;
};

function flipState(state: LockState): LockState {
  return {
    ...state,
    open: state.open.slice(),
    wound: state.wound.slice(),
    leaves: flipLeaves(state.leaves),
    leavesTo: flipLeaves(state.leavesTo),
    gates: { ...state.gates },
  };
}

/** A lock mirrored east for west: what was on its left is on its right. */
export function flipLock(sited: SitedLock): SitedLock {
  return {
    ...sited,
    x: -sited.x,
    east: -sited.east,
    lock: flipChamber(sited.lock),
    begins: flipState(sited.begins),
  };
}

/** A lock of 16 by 6 m, 2 m of rise, its upper gates at the place's middle and its chamber going south: up-stream is north. */
export function lockAt(
  rest: Partial<Lock> = {},
  set: 'upper' | 'lower' = 'lower',
  gates: 'open' | 'shut' = 'shut',
): SitedLock {
  const lock: Lock = {
    length: 16,
    width: 6,
    upper: { level: 2, area: Infinity },
    lower: { level: 0, area: Infinity },
    upperGates: { kind: 'single', hinge: 'left', swing: 20 },
    lowerGates: { kind: 'mitre', hinge: 'left', swing: 20 },
    paddles: [
      paddle('upper left', 'upper', 'ground', 'left'),
      paddle('upper right', 'upper', 'ground', 'right'),
      paddle('lower left', 'lower', 'gate', 'left'),
      paddle('lower right', 'lower', 'gate', 'right'),
    ],
    upperCill: -1,
    cillReach: 1.5,
    lowerCill: -2.9,
    floor: -3,
    leakUpper: 0,
    leakLower: 0,
    ...rest,
  };
  const begins = lockAtRest(lock, set);
  return {
    id: 'lock',
    name: 'the lock',
    lock,
    x: 0,
    y: 0,
    east: 0,
    north: -1,
    coping: 3,
    tidal: false,
    begins: gates === 'open' ? standingOpen(lock, begins, set) : begins,
  };
}

const paddle = (
  name: string,
  end: 'upper' | 'lower',
  where: 'gate' | 'ground',
  side: LockSide,
): Lock['paddles'][number] => ({ name, end, where, side, area: 0.3, discharge: 0.62, winding: 10 });

/** Walls of that lock, its chamber between them. */
export const LOCK_WALLS = [box('west wall', -8, -17, -3, 3), box('east wall', 3, -17, 8, 3)];

export const windTo = (at: number, to: number, by: number | null = null): Order => ({
  do: 'paddle',
  lock: 0,
  paddle: at,
  to,
  by,
});

export const swingGates = (
  end: 'upper' | 'lower',
  to: 'open' | 'shut',
  by: number | null = null,
  leaf: LockSide | 'both' = 'both',
): Order => ({ do: 'gates', lock: 0, end, leaf, to, by });

/** A small boat as a lock sees it. */
export const SMALL_BOAT: LockedBoat = {
  length: 9,
  beam: 2.1,
  draught: 0.6,
  sternDraught: 0.75,
  airDraught: 1.8,
  bowUp: false,
  fromUpper: 2,
};
