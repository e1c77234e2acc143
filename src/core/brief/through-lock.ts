import { standsAlong, type End, type LockedBoat, type SitedLock } from '../locks';
import type { BoatSpec } from '../boat';
import type { StartPose } from '../simulation';

/** Which way a boat goes through a lock from where it starts: to the gates of which end, in it already or not, and going where. */
export interface ThroughLock {
  readonly boat: LockedBoat & { readonly inside: boolean };
  /** The gates the boat comes to; from inside, those it leaves by. */
  readonly end: End;
  readonly going: 'up' | 'down';
}

export function throughLock(
  sited: SitedLock,
  start: StartPose,
  hull: BoatSpec['hull'],
): ThroughLock {
  const boat = standsAlong(sited, start, hull);
  const middle = boat.fromUpper + boat.length / 2;
  const from: End = middle < sited.lock.length / 2 ? 'upper' : 'lower';
  if (!boat.inside) return { boat, end: from, going: from === 'upper' ? 'down' : 'up' };
  return boat.bowUp ? { boat, end: 'upper', going: 'up' } : { boat, end: 'lower', going: 'down' };
}
