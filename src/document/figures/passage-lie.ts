import { throughLock } from '@/core/brief';
import {
  fitIn,
  gentlest,
  intoLock,
  IN_LOCK,
  leafSides,
  swingRoom,
  type End,
  type LockedBoat,
  type Making,
  type Side as Hand,
  type SitedLock,
} from '@/core/locks';
import { atan2, wrapHalfTurn } from '@/core/math';
import type { LineEnd } from '@/core/score';
import type { Side } from './berths';
import type { Setting } from './setting';

/** Where she is to lie in a chamber, and how she gets through it. m, s, radians. */
export interface PassageLie {
  readonly sited: SitedLock;
  readonly going: 'up' | 'down';
  /** The gates she comes in by, and those she leaves by. */
  readonly from: End;
  readonly to: End;
  /** Her heading along the chamber. */
  readonly along: number;
  /** The wall looking up-stream, and the side of her that lies to it. */
  readonly wall: Hand;
  readonly side: Side;
  readonly cleat: string;
  /** Bollard her line goes to, and the one on that wall she steers for; the first where there is only one. */
  readonly bollard: string;
  readonly aim: string;
  /** Length from cleat to bollard on the plan. */
  readonly lead: number;
  /** From the far gates to her bow as she lies. */
  readonly ahead: number;
  /** Has she to go over to the wall, or is the chamber hardly broader than she? */
  readonly over: boolean;
  /** How its water is made without more pull than hands hold. */
  readonly making: Making;
}

/** Kept off the swing of the lower gates, and off the cill, m. Judgement. */
const KEPT_OFF_M = 0.5;
/** Bollards of a wall stand no further back from its edge, and may overhang it by so little, m. */
const BACK_M = 3;
const OVERHANG_M = 0.3;
/** A chamber broader than she by less than this leaves nothing to go over to, m. */
const SNUG_M = 1.2;
/** She comes to the gates within this of straight on. */
const STRAIGHT = Math.PI / 3;

const other = (end: End): End => (end === 'upper' ? 'lower' : 'upper');

/** The cleat of a side nearest to amidships, by name and how far ahead; null where she has none there. */
function cleatOf({ boat, beam }: Setting, side: Side): { name: string; x: number } | null {
  const sign = side === 'starboard' ? 1 : -1;
  const there = boat.points.filter(({ y }) => sign * y > 0.2 * beam);
  if (there.length === 0) return null;
  return there.reduce((a, b) => (Math.abs(b.x) < Math.abs(a.x) ? b : a));
}

function hullIn(
  { length, beam, boat }: Setting,
  lie: Pick<PassageLie, 'going'>,
  fromUpper: number,
) {
  const { draught, airDraught = 0 } = boat.hull;
  const lies: LockedBoat = {
    length,
    beam,
    draught,
    sternDraught: draught,
    airDraught,
    bowUp: lie.going === 'up',
    fromUpper,
  };
  return lies;
}

interface OnWall {
  readonly name: string;
  readonly s: number;
  /** From the edge of the wall back, m. */
  readonly back: number;
}

/** Bollards, rings and poles along a wall of the chamber, from the upper gates down. */
function onWall(ends: readonly LineEnd[], sited: SitedLock, wall: Hand): OnWall[] {
  const where = new Float64Array(2);
  const { length, width } = sited.lock;
  return ends
    .flatMap(({ name, x, y }): OnWall[] => {
      intoLock(where, sited, x, y);
      const s = where[IN_LOCK.S]!;
      const t = where[IN_LOCK.T]! * (wall === 'left' ? 1 : -1);
      const back = t - width / 2;
      return s > 0 && s < length && back > -OVERHANG_M && back < BACK_M ? [{ name, s, back }] : [];
    })
    .sort((a, b) => a.s - b.s);
}

/** Which way she goes through the lock that is worked, and its end gates as she comes. */
function wayThrough(setting: Setting) {
  const sited = setting.input.locks![0]!;
  const { end, going, boat } = throughLock(sited, setting.input.start, setting.boat.hull);
  const sign = going === 'up' ? -1 : 1;
  const along = atan2(sign * sited.east, sign * sited.north);
  return { sited, from: end, to: other(end), going, along, inside: boat.inside } as const;
}

/** Room for where her upper end may lie, m from the upper gates: clear of cill and of the lower gates' swing. */
function roomFor({ sited }: { readonly sited: SitedLock }, length: number): [number, number] {
  const { lock } = sited;
  return [lock.cillReach + KEPT_OFF_M, lock.length - swingRoom(lock) - length - KEPT_OFF_M / 2];
}

/** Where she would lie to a wall of the chamber; null where nothing stands there to hold her by. */
function lieAt(setting: Setting, wall: Hand): PassageLie | null {
  const way = wayThrough(setting);
  const { sited, going } = way;
  const { lock } = sited;
  const side: Side = (wall === 'left') === (going === 'up') ? 'port' : 'starboard';
  const cleat = cleatOf(setting, side);
  const bollards = onWall(setting.ends, sited, wall);
  if (!cleat || bollards.length === 0) return null;
  const { length, beam } = setting;
  const [least, most] = roomFor(way, length);
  const sign = going === 'up' ? -1 : 1;
  // Where her upper end lies with the cleat abreast of each, kept within the room there is.
  const tried = bollards.map((bollard) => {
    const wish = bollard.s - sign * cleat.x - length / 2;
    const fromUpper = Math.max(least, Math.min(Math.max(least, most), wish));
    return { bollard, fromUpper, off: Math.abs(fromUpper - wish) };
  });
  const middle = (lock.length - length) / 2;
  const rank = (one: (typeof tried)[number]) => 10 * one.off + Math.abs(one.fromUpper - middle);
  const { bollard, fromUpper, off } = tried.reduce((a, b) => (rank(b) < rank(a) ? b : a));
  const making = gentlest(lock, way.to, hullIn(setting, way, fromUpper));
  if (!making) return null;
  const furthest = going === 'up' ? bollards[0]! : bollards.at(-1)!;
  const across = 0.3 + bollard.back;
  return {
    ...way,
    wall,
    side,
    cleat: cleat.name,
    bollard: bollard.name,
    aim: furthest.name,
    lead: Math.sqrt(off * off + across * across),
    ahead: going === 'up' ? fromUpper : lock.length - fromUpper - length,
    over: lock.width - beam > SNUG_M,
    making,
  };
}

const WALLS: readonly Hand[] = ['left', 'right'];

/** Where she may lie in the chamber: at the wall the wind lays her to first. */
export function liesInLock(setting: Setting): PassageLie[] {
  const { weather } = setting.input;
  const lies = WALLS.flatMap((wall) => lieAt(setting, wall) ?? []);
  // Off her port bow the wind lays her to starboard.
  const laid = (lie: PassageLie) =>
    (wrapHalfTurn(weather.windFrom - lie.along) < 0 ? 'starboard' : 'port') === lie.side;
  return lies.sort((a, b) => Number(laid(b)) - Number(laid(a)));
}

/** Time the gates take, s, one leaf after the other. */
export function gatesTake({ lock }: SitedLock, end: End): number {
  const { swing } = end === 'upper' ? lock.upperGates : lock.lowerGates;
  return swing * leafSides(lock, end).length;
}

/** Time a passage takes at least, from her coming in to her going out, s. */
export function leastTime(lie: PassageLie): number {
  const { sited, from, to, making } = lie;
  const winding = Math.max(...sited.lock.paddles.map((paddle) => paddle.winding));
  return making.seconds + winding + gatesTake(sited, from) + gatesTake(sited, to) + 60;
}

/** Why she does not go through a lock; null where she may. */
export function noPassage(setting: Setting): string | null {
  const { locks = [], start, limit } = setting.input;
  if (locks.length === 0)
    return 'no lock is worked in this manoeuvre; say under The lock how one stands';
  if (locks.length > 1) return 'more than one lock is worked in this manoeuvre';
  if (setting.others.length > 0) return 'another boat goes too; who goes first is composed by hand';
  const way = wayThrough(setting);
  const { sited, from, going } = way;
  if (way.inside) return 'she lies in the chamber already';
  const where = new Float64Array(2);
  intoLock(where, sited, start.x, start.y);
  const before = going === 'down' ? -where[IN_LOCK.S]! : where[IN_LOCK.S]! - sited.lock.length;
  if (before < setting.length / 2 || Math.abs(where[IN_LOCK.T]!) > before)
    return 'she does not lie before the gates';
  if (Math.abs(wrapHalfTurn(start.heading - way.along)) > STRAIGHT)
    return 'she does not head for the gates';
  const level = from === 'upper' ? sited.begins.upper : sited.begins.lower;
  if (Math.abs(sited.begins.chamber - level) > 0.02)
    return `the lock is set against her; it wants to be set ${from === 'upper' ? 'above' : 'below'}`;
  if (sited.begins.gates[from] < 1) return 'the gates are shut before her; let them stand open';
  const fit = fitIn(sited.lock, hullIn(setting, way, 0));
  if (fit.alongside < 0) return 'she is too broad for the chamber';
  const [least, most] = roomFor(way, setting.length);
  if (most < least) return 'she is too long to lie clear of the cill and of the gates as they open';
  if (fit.water < 0) return 'there is not water enough over the cill';
  const [lie] = liesInLock(setting);
  if (!lie) return 'nothing stands along the chamber that her midship line could go to';
  const needs = leastTime(lie);
  return needs > limit
    ? `the passage takes ${Math.ceil(needs / 60)} minutes at least, and the manoeuvre is over after ${Math.round(limit / 60)}`
    : null;
}
