import { ESCAPED_MPS, TO_THINK_S, ASTERN_OUT_LENGTHS, ESCAPE_HELD_FOR_S } from '../policy';
import { wrapHalfTurn } from '../math';
import type { Gear } from '../simulation';
import { firmThrottle } from '../trials';
import type { Rollout } from './rollout';
import { engines, letGo, wheel } from './controls';

/** The standard ways out of a manoeuvre. */
export const ESCAPES = ['stop', 'astern', 'port', 'starboard', 'hold'] as const;
export type EscapeName = (typeof ESCAPES)[number];

const LONGEST_S = 45;
const HOLD_LOOKS_EVERY_S = 1;
const HOLD_SLACK_MPS = 0.12;

/** Engines against the boat's way until it is off. */
function takeWayOff(rollout: Rollout, broken: () => boolean): void {
  const firm = firmThrottle(rollout.world.craft);
  const way = rollout.along >= 0 ? 1 : -1;
  if (Math.abs(rollout.along) > ESCAPED_MPS) {
    engines(rollout, way === 1 ? -1 : 1, firm);
    wheel(rollout, 0);
    rollout.until(() => broken() || way * rollout.along <= 0.02, LONGEST_S);
  }
  engines(rollout, 0, 0);
}

function stop(rollout: Rollout, broken: () => boolean): void {
  takeWayOff(rollout, broken);
  if (!broken()) rollout.until(broken, TO_THINK_S);
}

function asternOut(rollout: Rollout, broken: () => boolean): void {
  const { x, y } = rollout;
  const far = ASTERN_OUT_LENGTHS * rollout.world.craft.spec.hull.length;
  wheel(rollout, 0);
  engines(rollout, -1, firmThrottle(rollout.world.craft));
  const gone = () => {
    const dx = rollout.x - x;
    const dy = rollout.y - y;
    return broken() || (rollout.along < 0 && dx * dx + dy * dy >= far * far);
  };
  rollout.until(gone, LONGEST_S);
  if (!broken()) takeWayOff(rollout, broken);
}

/** On round until the boat heads back the way it came. */
function driveRound(rollout: Rollout, side: 1 | -1, broken: () => boolean): void {
  const from = rollout.heading;
  wheel(rollout, side);
  engines(rollout, 1, firmThrottle(rollout.world.craft));
  rollout.until(() => broken() || side * (rollout.heading - from) >= 0.9 * Math.PI, LONGEST_S);
  if (!broken()) takeWayOff(rollout, broken);
}

/** Short bursts against whatever way the boat gathers, wheel towards the heading it had. */
function hold(rollout: Rollout, broken: () => boolean): void {
  const from = rollout.heading;
  takeWayOff(rollout, broken);
  let next = rollout.time;
  const until = rollout.time + ESCAPE_HELD_FOR_S;
  const look = () => {
    if (broken()) return true;
    if (rollout.time < next) return rollout.time >= until;
    next = rollout.time + HOLD_LOOKS_EVERY_S;
    const off = wrapHalfTurn(from - rollout.heading);
    const gear = rollout.along > HOLD_SLACK_MPS ? -1 : rollout.along < -HOLD_SLACK_MPS ? 1 : 0;
    // A burst ahead against the wheel turns the boat though it hardly moves.
    const turns = gear === 0 && Math.abs(off) > 0.12 ? 1 : gear;
    engines(rollout, turns as Gear, 0);
    wheel(rollout, Math.max(-1, Math.min(1, 3 * off)) * (turns < 0 ? -1 : 1));
    return rollout.time >= until;
  };
  rollout.until(look, ESCAPE_HELD_FOR_S + 5);
  engines(rollout, 0, 0);
}

/** Does an escape, breaking off as soon as `broken` says that it has failed. Begins with hands off everything but the wheel. */
export function escape(rollout: Rollout, name: EscapeName, broken: () => boolean): void {
  letGo(rollout);
  switch (name) {
    case 'stop':
      return stop(rollout, broken);
    case 'astern':
      return asternOut(rollout, broken);
    case 'port':
      return driveRound(rollout, -1, broken);
    case 'starboard':
      return driveRound(rollout, 1, broken);
    case 'hold':
      return hold(rollout, broken);
  }
}
