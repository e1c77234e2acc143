import { assembleCraft } from '@/core/craft';
import {
  intoLock,
  IN_LOCK,
  lineLength,
  standsAlong,
  type Side as Hand,
  type SitedLock,
} from '@/core/locks';
import { cos, sin, wrapHalfTurn } from '@/core/math';
import { secondsToGo } from '@/core/trials';
import { toBoatSpec } from '../boat-spec';
import { radians } from '../fields';
import type { Other } from '../others';
import type { LineDocument } from '../rigging';
import { tenth } from './draft';
import { lineOf } from './line-leads';
import { onWall } from './on-wall';
import type { Setting } from './setting';

// A boat that lies in the chamber already: who goes where, and who goes out first.

/** Another boat in the chamber she goes into. m, s, radians. */
export interface LockNeighbour {
  readonly other: Other;
  /** The wall she lies to. */
  readonly wall: Hand;
  /** Room from her other side to the other wall. */
  readonly room: number;
  /** From her end towards the gates ahead to those gates. */
  readonly ahead: number;
}

/** How she leaves before the boat that shares with her. */
export interface NeighbourLeaves {
  readonly throttle: number;
  /** From her gear going in until her stern is clear of the gates. */
  readonly seconds: number;
}

/** Fenders between two and at the wall, m. */
const FENDERS_M = 0.3;
/** She lies along the chamber within this. */
const ALONG = Math.PI / 9;
const SLOWLY = 0.05;
/** Over and above what she takes from rest, s. */
const GEAR_S = 4;
const CLEAR_M = 1;
const LONGEST_S = 600;

/** The boat in the chamber, or why she cannot be shared with; null where nobody is there. */
export function neighbourIn(
  { others, beam }: Pick<Setting, 'others' | 'beam'>,
  sited: SitedLock,
  way: { readonly going: 'up' | 'down'; readonly along: number },
): LockNeighbour | string | null {
  if (others.length === 0) return null;
  if (others.length > 1) return 'more than one boat goes too; who goes where is composed by hand';
  const other = others[0]!;
  const { start, boat, name } = other;
  const { lock } = sited;
  const where = new Float64Array(2);
  intoLock(where, sited, start.x_m, start.y_m);
  const heading = radians(start.heading_deg);
  const { length_m: length, beam_m: broad, draught_m: draught } = boat.hull;
  const hull = { length, beam: broad, draught };
  const stands = standsAlong(sited, { x: start.x_m, y: start.y_m, heading }, hull);
  const whole = stands.fromUpper > 0 && stands.fromUpper + length < lock.length;
  if (!stands.inside || !whole)
    return `${name} does not lie in the chamber yet; who goes first is composed by hand`;
  if (Math.abs(wrapHalfTurn(heading - way.along)) > ALONG)
    return `${name} does not lie along the chamber with her bow to the gates ahead`;
  const t = where[IN_LOCK.T]!;
  const room = lock.width / 2 + Math.abs(t) - broad / 2;
  if (room < beam + FENDERS_M) return `there is no room beside ${name}`;
  const ahead = way.going === 'up' ? stands.fromUpper : lock.length - stands.fromUpper - length;
  return { other, wall: t > 0 ? 'left' : 'right', room, ahead };
}

/** How she goes out by herself, dead slow. */
export function leavesFirst({ other, ahead }: LockNeighbour): NeighbourLeaves | null {
  const craft = assembleCraft(toBoatSpec(other.boat));
  const way = ahead + other.boat.hull.length_m + CLEAR_M;
  const seconds = secondsToGo(craft, way, SLOWLY, LONGEST_S);
  return seconds === null ? null : { throttle: SLOWLY, seconds: tenth(seconds + GEAR_S) };
}

/** Her own bow and stern line, to what stands on her wall nearest to where they lead. */
export function neighbourLines(
  { ends }: Setting,
  sited: SitedLock,
  { other, wall }: LockNeighbour,
): readonly LineDocument[] {
  const { start, boat, name } = other;
  const heading = radians(start.heading_deg);
  const where = new Float64Array(2);
  intoLock(where, sited, start.x_m, start.y_m);
  const up = sin(heading) * sited.east + cos(heading) * sited.north < 0 ? 1 : -1;
  // Her side to the wall: looking up-stream the left wall is to port of a bow that points there.
  const side = (wall === 'left') === up > 0 ? -1 : 1;
  const there = boat.points.filter(({ y_m }) => Math.sign(y_m) === side);
  if (there.length < 2) return [];
  const fore = there.reduce((a, b) => (b.x_m > a.x_m ? b : a));
  const aft = there.reduce((a, b) => (b.x_m < a.x_m ? b : a));
  return [['bow', fore] as const, ['stern', aft] as const].flatMap(([what, point]) => {
    const s = where[IN_LOCK.S]! - up * point.x_m;
    const stand = onWall(ends, sited, wall);
    if (stand.length === 0) return [];
    const to = stand.reduce((a, b) => (Math.abs(b.s - s) < Math.abs(a.s - s) ? b : a));
    const off = Math.abs(to.s - s) + to.back + 1;
    const line = lineOf(`${name}'s ${what} line`, point.name, off, to.name, true);
    // Round the bollard and back, as long as the rise asks for: she is kept on it all the way, and slips it.
    const rise = lineLength(sited.lock, sited.coping, Math.max(3, off), boat.hull.freeboard_m);
    return [{ ...line, of: name, length_m: Math.ceil(Math.max(line.length_m, rise)) }];
  });
}
