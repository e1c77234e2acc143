import { HAS_WAY_MPS, STERNWAY_MPS, STOPPED_MPS, STOPPED_RATE } from '../policy';
import { LINE, MADE } from '../holding';
import {
  headAt,
  isShut,
  LEAF,
  leafSides,
  MADE_M,
  type End,
  type Lock,
  type LockState,
} from '../locks';
import { cos, sin, wrapHalfTurn } from '../math';
import {
  groundSpeed,
  lineColumn,
  lineNow,
  pointOnWater,
  PSI,
  U,
  R,
  waterSpeed,
  type SimState,
  type World,
} from '../simulation';
import { markNow } from './marks';
import { TAUT_N } from './rigging';
import type { Cue, LineState, LockCue, MarkOnPlace, PointOnBoat } from './types';

/**
 * A cue being waited for. `level` is continuous in time, below zero before the cue and zero or above
 * once it has come, so the moment can be found inside a step by interpolation.
 */
export interface Gate {
  level(state: SimState, world: World): number;
}

/** Is somebody of the crew aboard? Null while they are neither here nor there. */
export type IsAboard = (who: number) => boolean | null;

/** A gate for a cue, armed at the moment the last step began. */
export function armGate(cue: Cue, state: SimState, world: World, aboard: IsAboard): Gate {
  switch (cue.is) {
    case 'start':
      return { level: () => 0 };
    case 'after':
      return afterGate(state.time + cue.time);
    case 'heading':
      return headingGate(cue.heading, state);
    case 'turned':
      return turnedGate(cue.by, state);
    case 'speed': {
      const sign = cue.compare === 'above' ? 1 : -1;
      const read = cue.over === 'water' ? waterSpeed : groundSpeed;
      return { level: (s, w) => sign * (read(s, w) - cue.speed) };
    }
    case 'abeam':
      return abeamGate(cue.point, cue.mark, state);
    case 'within':
      return { level: (s) => cue.distance - distanceToMark(s, cue.point, cue.mark) };
    case 'stopped':
      return stoppedGate(cue, state, world);
    case 'sternway':
      return { level: (s) => -s.motion[U]! - STERNWAY_MPS };
    case 'line':
      return { level: (s, w) => lineLevel(s, w, cue.line, cue.state) };
    case 'lock':
      return { level: (s, w) => lockLevel(s, w, cue.lock, cue.state) };
    // People step between steps of the sim, so that it does not jump inside one.
    case 'crew':
      return { level: () => (aboard(cue.who) === (cue.where === 'aboard') ? 1 : -1) };
    case 'any':
    case 'all':
      return groupGate(
        cue.of.map((part) => armGate(part, state, world, aboard)),
        cue.is,
      );
  }
}

/**
 * How far a line is from a state: its tension over what counts as taut, N; else 1 when it is in that state, −1 when not.
 * Hands change a line only between steps, so that does not jump inside one.
 */
export function lineLevel(state: SimState, world: World, line: number, wanted: LineState): number {
  if (wanted === 'taut') return lineNow(state, world, line).tension - TAUT_N;
  const made = lineColumn(state, world, line, LINE.MADE);
  const on = made === MADE.HELD || made === MADE.TURNED || made === MADE.FAST;
  const there =
    wanted === 'on'
      ? on
      : wanted === 'fast'
        ? made === MADE.FAST
        : made === MADE.ABOARD || made === MADE.PARTED;
  return there ? 1 : -1;
}

/** How far a lock is from a state: metres of head over what counts as made, or the share its gates have yet to swing. */
function lockLevel(state: SimState, world: World, lock: number, wanted: LockCue): number {
  const now = state.locks[lock]!;
  const sited = world.gates!.locks[lock]!;
  switch (wanted) {
    case 'level above':
      return MADE_M - Math.abs(headAt(now, 'upper'));
    case 'level below':
      return MADE_M - Math.abs(headAt(now, 'lower'));
    case 'open above':
      return now.gates.upper - 1 + 1e-9;
    case 'open below':
      return now.gates.lower - 1 + 1e-9;
    case 'wide above':
      return widest(sited.lock, now, 'upper');
    case 'wide below':
      return widest(sited.lock, now, 'lower');
    case 'shut':
      return isShut(sited.lock, now, 'upper') && isShut(sited.lock, now, 'lower') ? 1 : -1;
  }
}

/** The share the leaf that is least open has yet to swing. */
function widest(lock: Lock, { leaves }: LockState, end: End): number {
  return Math.min(...leafSides(lock, end).map((side) => leaves[LEAF[end][side]]!)) - 1 + 1e-9;
}

function afterGate(at: number): Gate {
  // The last bits of a sum of steps must not hold the cue back to the next one.
  return { level: (s) => s.time - at + 1e-9 };
}

function headingGate(heading: number, armed: SimState): Gate {
  const gap = (s: SimState) => wrapHalfTurn(s.motion[PSI]! - heading);
  const side = gap(armed) >= 0 ? 1 : -1;
  return {
    level: (s) => {
      const now = gap(s);
      // Passing through the opposite heading changes the sign too, and is not meant.
      return Math.abs(now) > Math.PI / 2 ? -Math.abs(now) : -side * now;
    },
  };
}

function turnedGate(by: number, armed: SimState): Gate {
  const from = armed.motion[PSI]!;
  const side = by >= 0 ? 1 : -1;
  return { level: (s) => side * (s.motion[PSI]! - from - by) };
}

function abeamGate(point: PointOnBoat, mark: MarkOnPlace, armed: SimState): Gate {
  const ahead = (s: SimState) => distanceAhead(s, point, mark);
  const side = ahead(armed) >= 0 ? 1 : -1;
  return { level: (s) => -side * ahead(s) };
}

function stoppedGate(
  whose: { readonly boat?: number | undefined },
  armed: SimState,
  world: World,
): Gate {
  let hadWay = groundSpeed(boatOf(armed, whose), world) > HAS_WAY_MPS;
  return {
    level: (s, w) => {
      const boat = boatOf(s, whose);
      const speed = groundSpeed(boat, w);
      if (speed > HAS_WAY_MPS) hadWay = true;
      if (!hadWay) return -1;
      return Math.min(STOPPED_MPS - speed, STOPPED_RATE - Math.abs(boat.motion[R]!));
    },
  };
}

function groupGate(parts: readonly Gate[], is: 'any' | 'all'): Gate {
  const pick = is === 'any' ? Math.max : Math.min;
  return {
    level: (s, w) =>
      parts.reduce((so, part) => pick(so, part.level(s, w)), is === 'any' ? -Infinity : Infinity),
  };
}

/** The boat a cue looks at. */
const boatOf = (s: SimState, { boat }: { readonly boat?: number | undefined }): SimState =>
  boat ? s.others[boat - 1]! : s;

/** Distance from a point of a boat to a mark, m. */
export function distanceToMark(s: SimState, point: PointOnBoat, mark: MarkOnPlace): number {
  const place = pointOnWater(boatOf(s, point), point.x, point.y);
  const there = markNow(s, mark);
  const dx = there.x - place.x;
  const dy = there.y - place.y;
  return Math.sqrt(dx * dx + dy * dy);
}

/** How far ahead of a point of a boat, along that boat's heading, a mark lies, m; 0 when it is abeam. */
export function distanceAhead(s: SimState, point: PointOnBoat, mark: MarkOnPlace): number {
  const boat = boatOf(s, point);
  const place = pointOnWater(boat, point.x, point.y);
  const there = markNow(s, mark);
  const psi = boat.motion[PSI]!;
  return (there.x - place.x) * sin(psi) + (there.y - place.y) * cos(psi);
}
