import { throughLock } from '@/core/brief';
import {
  gentlest,
  leafSides,
  outOfLock,
  swingRoom,
  type End,
  type LockedBoat,
  type LevelChange,
  type Paddle,
  type LockSide as Hand,
  type SitedLock,
} from '@/core/locks';
import { atan2, wrapHalfTurn } from '@/core/math';
import type { Side } from '@/document/fields';
import { onWall, type OnWall } from './on-wall';
import { neighbourIn, type LockNeighbour } from './neighbour';
import type { Setting } from '../../setting';
import { isRefusal } from '../../refusals';

/** Where the boat is to lie in a chamber, and how it gets through it. m, s, radians. */
export interface PassageLie {
  readonly sited: SitedLock;
  readonly going: 'up' | 'down';
  /** The gates the boat comes in by, and those it leaves by. */
  readonly from: End;
  readonly to: End;
  /** The boat's heading along the chamber. */
  readonly along: number;
  /** The wall looking up-stream, and the side of the boat that lies to it. */
  readonly wall: Hand;
  readonly side: Side;
  readonly cleat: string;
  /** Bollard the boat's line goes to, and the one on that wall it steers for; the first where there is only one. */
  readonly bollard: string;
  readonly aim: string;
  /** Length from cleat to bollard on the plan. */
  readonly lead: number;
  /** From the far gates to the boat's bow as it lies. */
  readonly ahead: number;
  /** Going down, how near the boat's bow has to be to the gates ahead for its stern to be clear of the cill; null going up. */
  readonly forward: number | null;
  /** Has the boat to go over to the wall, or is the chamber hardly broader than it? */
  readonly over: boolean;
  /** Who shares the chamber; null where nobody does. */
  readonly neighbour: LockNeighbour | null;
  /** How its water is made without more pull than hands hold, and the lock that those paddles are of. */
  readonly making: LevelChange;
  readonly paddlesOf: string;
}

/** The line a boat is held by in a chamber. */
export const CENTRE_LINE = 'centre line';

/** Kept off the swing of the lower gates, and off the cill, m. Judgement. */
const KEPT_OFF_M = 0.5;
/** Less than that, and no paddle is wound going down. */
const CLEAR_OF_CILL_M = 0.3;
/** A chamber broader than the boat by less than this leaves nothing to go over to, m. */
const SNUG_M = 1.2;

const other = (end: End): End => (end === 'upper' ? 'lower' : 'upper');

/** The cleat of a side nearest to amidships, by name and how far ahead; null where the boat has none there. */
export function cleatOf({ boat, beam }: Setting, side: Side): { name: string; x: number } | null {
  const sign = side === 'starboard' ? 1 : -1;
  const there = boat.points.filter(({ y }) => sign * y > 0.2 * beam);
  if (there.length === 0) return null;
  return there.reduce((a, b) => (Math.abs(b.x) < Math.abs(a.x) ? b : a));
}

export function hullIn(
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

/** How the boat goes through one lock: which way, by its end gates as it comes to them. */
export type ChamberWay = Pick<PassageLie, 'sited' | 'from' | 'to' | 'going' | 'along'>;

/** The boat's way through the locks that are worked, the one it comes to first; of a staircase both. */
export function wayThrough(setting: Setting): {
  readonly ways: readonly ChamberWay[];
  readonly inside: boolean;
} {
  const { start, locks = [] } = setting.input;
  const off = (sited: SitedLock) => {
    const { x, y } = outOfLock(sited, sited.lock.length / 2, 0);
    return (x - start.x) * (x - start.x) + (y - start.y) * (y - start.y);
  };
  const sites = [...locks].sort((a, b) => off(a) - off(b));
  const { end, going, boat } = throughLock(sites[0]!, start, setting.boat.hull);
  const sign = going === 'up' ? -1 : 1;
  const ways = sites.map((sited) => ({
    sited,
    from: end,
    to: other(end),
    going,
    along: atan2(sign * sited.east, sign * sited.north),
  }));
  return { ways, inside: boat.inside };
}

/** Room for where the boat's upper end may lie, m from the upper gates: clear of cill and of the lower gates' swing. */
export function roomFor(
  { sited }: { readonly sited: SitedLock },
  length: number,
): [number, number] {
  const { lock } = sited;
  return [lock.cillReach + KEPT_OFF_M, lock.length - swingRoom(lock) - length - KEPT_OFF_M / 2];
}

/** From the boat's bow to the middle of the lower gates with its stern just clear of the cill, m. */
function forwardOf({ length, beam }: Setting, { lock }: SitedLock): number {
  const ahead = Math.max(0.3, lock.length - lock.cillReach - CLEAR_OF_CILL_M - length);
  const across = Math.max(0, (lock.width - beam) / 2);
  return Math.sqrt(ahead * ahead + across * across);
}

/** So much of the boat's length forward and aft of amidships its side lies along a wall. */
const STRAIGHT_SIDE = 0.35;

/** A bollard along a wall, where the boat's upper end lies by it, and how far its cleat is then from abreast of it, m. */
interface Abreast {
  readonly bollard: OnWall;
  readonly fromUpper: number;
  readonly off: number;
}

/**
 * Where a boat lies best along a wall, its cleat nearest to abreast of a bollard and itself near the middle; null where there is
 * no bollard, or no ladder within reach of its side where one is wanted.
 */
function bestAbreast(
  { input, length }: Setting,
  way: ChamberWay,
  wall: Hand,
  bollards: readonly OnWall[],
  cleat: number,
  byLadder: boolean,
): Abreast | null {
  const { sited, going } = way;
  const [least, most] = roomFor(way, length);
  const sign = going === 'up' ? -1 : 1;
  const ladders = byLadder ? onWall(input.ladders ?? [], sited, wall) : null;
  // The upper end with the cleat abreast of each, kept within the room there is.
  const tried = bollards.flatMap((bollard) =>
    (ladders ?? [bollard]).flatMap(({ s }) => {
      const wish = s - sign * cleat - length / 2;
      const fromUpper = Math.max(least, Math.min(Math.max(least, most), wish));
      const off = Math.abs(fromUpper + sign * cleat + length / 2 - bollard.s);
      const beside = Math.abs(fromUpper + length / 2 - s) <= STRAIGHT_SIDE * length;
      return ladders && !beside ? [] : [{ bollard, fromUpper, off }];
    }),
  );
  const middle = (sited.lock.length - length) / 2;
  const rank = (one: Abreast) => 10 * one.off + Math.abs(one.fromUpper - middle);
  return tried.reduce<Abreast | null>((a, b) => (a && rank(a) <= rank(b) ? a : b), null);
}

/**
 * Where the boat would lie to a wall of a chamber; null where nothing stands there to hold it by, or no ladder it could lie by is
 * there where one is wanted.
 */
function lieAt(
  setting: Setting,
  way: ChamberWay,
  wall: Hand,
  byLadder: boolean,
): PassageLie | null {
  const { sited, going } = way;
  const { lock } = sited;
  const { length, beam } = setting;
  const side: Side = (wall === 'left') === (going === 'up') ? 'port' : 'starboard';
  const cleat = cleatOf(setting, side);
  const neighbour = neighbourIn(setting, sited, way, wall);
  if (!cleat || isRefusal(neighbour) || neighbour?.wall === wall) return null;
  const bollards = onWall(setting.ends, sited, wall);
  const best = bestAbreast(setting, way, wall, bollards, cleat.x, byLadder);
  if (!best) return null;
  const { bollard, fromUpper, off } = best;
  const ahead = going === 'up' ? fromUpper : lock.length - fromUpper - length;
  const making = gentlest(lock, way.to, hullIn(setting, way, fromUpper));
  if (!making) return null;
  const furthest = going === 'up' ? bollards[0]! : bollards.at(-1)!;
  const across = 0.3 + bollard.back;
  // Between the chambers of a staircase the paddles are those of the lock above.
  const feeds = way.to === 'upper' && sited.above !== undefined ? sited.above : null;
  return {
    ...way,
    wall,
    side,
    cleat: cleat.name,
    bollard: bollard.name,
    aim: furthest.name,
    lead: Math.sqrt(off * off + across * across),
    ahead,
    forward: going === 'up' ? null : forwardOf(setting, sited),
    over: lock.width - beam > SNUG_M,
    neighbour: neighbour && {
      ...neighbour,
      outFirst: neighbour.comes ? neighbour.comes.first : neighbour.ahead <= ahead,
    },
    making,
    paddlesOf: (feeds === null ? sited : setting.input.locks![feeds]!).name,
  };
}

export const WALLS: readonly Hand[] = ['left', 'right'];

/**
 * Where the boat may lie in each chamber on its way, along one wall: at the one the wind lays it to first.
 *
 * @param byLadder only by a ladder
 */
export function liesInLock(setting: Setting, byLadder = false): (readonly PassageLie[])[] {
  const { weather } = setting.input;
  const { ways } = wayThrough(setting);
  const lies = WALLS.map((wall) =>
    ways.flatMap((way) => lieAt(setting, way, wall, byLadder) ?? []),
  );
  // Off the boat's port bow the wind lays it to starboard.
  const laid = ([lie]: readonly PassageLie[]) =>
    (wrapHalfTurn(weather.windFrom - lie!.along) < 0 ? 'starboard' : 'port') === lie!.side;
  return lies
    .filter((each) => each.length === ways.length)
    .sort((a, b) => Number(laid(b)) - Number(laid(a)));
}

/** How its water is made with some of its paddles only; null where it is not made within the hour. */
export function makingWith(
  setting: Setting,
  { sited, to, going, ahead }: PassageLie,
  paddles: readonly Paddle[],
): LevelChange | null {
  const { lock } = sited;
  const fromUpper = going === 'up' ? ahead : lock.length - ahead - setting.length;
  return gentlest({ ...lock, paddles }, to, hullIn(setting, { going }, fromUpper));
}

/** Time the gates take, s, one leaf after the other. */
export function gatesRun({ lock }: SitedLock, end: End): number {
  const { swing } = end === 'upper' ? lock.upperGates : lock.lowerGates;
  return swing * leafSides(lock, end).length;
}

/** Time a passage takes at least, from the boat's coming in to its going out, s. */
export function leastTime(lies: readonly PassageLie[]): number {
  return lies.reduce((sum, { sited, from, to, making }) => {
    const winding = Math.max(...sited.lock.paddles.map((paddle) => paddle.winding));
    return sum + making.seconds + winding + gatesRun(sited, from) + gatesRun(sited, to) + 60;
  }, 0);
}
