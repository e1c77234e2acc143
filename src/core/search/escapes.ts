import { ESCAPED_MPS } from '../policy';
import { wrapHalfTurn } from '../math';
import type { Gear } from '../simulation';
import { firmThrottle } from '../trials';
import type { Episode } from './episode';
import { engines, letGo, wheel } from './hands';

/** The standard ways out of a manoeuvre. */
export const ESCAPES = ['stop', 'astern', 'port', 'starboard', 'hold'] as const;
export type EscapeName = (typeof ESCAPES)[number];

/** Once stopped she must be let lie so long, s, so that the next thing can be thought of. */
const TO_THINK_S = 8;
const LONGEST_S = 45;
/** Astern out: so many of her own lengths. */
const LENGTHS_ASTERN = 1.2;
const HELD_FOR_S = 25;
const HOLD_LOOKS_EVERY_S = 1;
const HOLD_SLACK_MPS = 0.12;

/** Engines against her way until it is off. */
function takeWayOff(episode: Episode, broken: () => boolean): void {
  const firm = firmThrottle(episode.world.craft);
  const way = episode.along >= 0 ? 1 : -1;
  if (Math.abs(episode.along) > ESCAPED_MPS) {
    engines(episode, way === 1 ? -1 : 1, firm);
    wheel(episode, 0);
    episode.until(() => broken() || way * episode.along <= 0.02, LONGEST_S);
  }
  engines(episode, 0, 0);
}

function stop(episode: Episode, broken: () => boolean): void {
  takeWayOff(episode, broken);
  if (!broken()) episode.until(broken, TO_THINK_S);
}

function asternOut(episode: Episode, broken: () => boolean): void {
  const { x, y } = episode;
  const far = LENGTHS_ASTERN * episode.world.craft.spec.hull.length;
  wheel(episode, 0);
  engines(episode, -1, firmThrottle(episode.world.craft));
  const gone = () => {
    const dx = episode.x - x;
    const dy = episode.y - y;
    return broken() || (episode.along < 0 && dx * dx + dy * dy >= far * far);
  };
  episode.until(gone, LONGEST_S);
  if (!broken()) takeWayOff(episode, broken);
}

/** On round until she heads back the way she came. */
function driveRound(episode: Episode, side: 1 | -1, broken: () => boolean): void {
  const from = episode.heading;
  wheel(episode, side);
  engines(episode, 1, firmThrottle(episode.world.craft));
  episode.until(() => broken() || side * (episode.heading - from) >= 0.9 * Math.PI, LONGEST_S);
  if (!broken()) takeWayOff(episode, broken);
}

/** Short bursts against whatever way she gathers, wheel towards the heading she had. */
function hold(episode: Episode, broken: () => boolean): void {
  const from = episode.heading;
  takeWayOff(episode, broken);
  let next = episode.time;
  const until = episode.time + HELD_FOR_S;
  const look = () => {
    if (broken()) return true;
    if (episode.time < next) return episode.time >= until;
    next = episode.time + HOLD_LOOKS_EVERY_S;
    const off = wrapHalfTurn(from - episode.heading);
    const gear = episode.along > HOLD_SLACK_MPS ? -1 : episode.along < -HOLD_SLACK_MPS ? 1 : 0;
    // A burst ahead against the wheel turns her though she hardly moves.
    const turns = gear === 0 && Math.abs(off) > 0.12 ? 1 : gear;
    engines(episode, turns as Gear, 0);
    wheel(episode, Math.max(-1, Math.min(1, 3 * off)) * (turns < 0 ? -1 : 1));
    return episode.time >= until;
  };
  episode.until(look, HELD_FOR_S + 5);
  engines(episode, 0, 0);
}

/** Does an escape, breaking off as soon as `broken` says that it has failed. Begins with hands off everything but the wheel. */
export function escape(episode: Episode, name: EscapeName, broken: () => boolean): void {
  letGo(episode);
  switch (name) {
    case 'stop':
      return stop(episode, broken);
    case 'astern':
      return asternOut(episode, broken);
    case 'port':
      return driveRound(episode, -1, broken);
    case 'starboard':
      return driveRound(episode, 1, broken);
    case 'hold':
      return hold(episode, broken);
  }
}
