import { fitIn, intoLock, IN_LOCK, roomUnder, stairOrder } from '@/core/locks';
import { wrapHalfTurn } from '@/core/math';
import { isRefusal, refusal, type Refusal } from '../../refusals';
import type { Setting } from '../../setting';
import { HALF_FOR_S, landingLines, setAgainst } from './landing';
import {
  gatesRun,
  hullIn,
  leastTime,
  liesInLock,
  roomFor,
  WALLS,
  wayThrough,
  type ChamberWay,
  type PassageLie,
} from './lie';
import { neighbourIn } from './neighbour';

// Why a boat does not go through a lock by technique.

/** A boat comes to the gates within this of straight on. */
const STRAIGHT = Math.PI / 3;

/** Time a lock that is set against the boat takes to be made ready, s: about as long as it then takes to take it on. */
function readyTime({ sited, from, making }: PassageLie): number {
  const against = setAgainst(sited, from);
  if (!against) return 0;
  return gatesRun(sited, from) + (against === 'level' ? HALF_FOR_S + making.seconds : 0);
}

/** The order of the staircase the boat comes to; null where it is none. */
const stairOf = ({ input: { locks = [] }, boat }: Setting, { sited, going }: ChamberWay) =>
  stairOrder(locks, locks.indexOf(sited), going, boat.hull.draught);

/** Has the other chamber of a staircase to be filled or emptied first? */
export function otherUnready(setting: Setting, way: ChamberWay): boolean {
  const first = stairOf(setting, way)?.first ?? null;
  return first === 'fill' || first === 'empty';
}

/** Why a staircase is not ready for the boat; null where it is, or is made ready while it waits. */
function stairsUnready(setting: Setting, way: ChamberWay): Refusal | null {
  const { locks = [] } = setting.input;
  const stair = stairOf(setting, way);
  if (!stair) return refusal('no staircase');
  const [upper, lower] = [locks[stair.upper]!.name, locks[stair.lower]!.name];
  if (otherUnready(setting, way) && landingLines(setting)) return null;
  switch (stair.first) {
    case 'fill':
      return refusal('staircase not full', { upper, lower });
    case 'empty':
      return refusal('staircase not empty', { upper, lower });
    case 'never':
      return refusal('staircase without water', { upper, lower });
    case null:
      return null;
  }
}

/** Why the boat cannot lie in a chamber on its way; null where it can. */
function noRoom(setting: Setting, way: ChamberWay): Refusal | null {
  const fit = fitIn(way.sited.lock, hullIn(setting, way, 0));
  if (fit.alongside < 0) return refusal('too broad for the chamber');
  const [least, most] = roomFor(way, setting.length);
  if (most < least) return refusal('too long for the chamber');
  return fit.water < 0 ? refusal('too little water over the cill') : null;
}

/** Why the boat does not pass under what leads over the water on its way; null where it does. */
function underBridges(
  { input, boat, length }: Setting,
  ways: readonly ChamberWay[],
): Refusal | null {
  for (const { sited } of ways) {
    const air = boat.hull.airDraught ?? 0;
    const least = roomUnder(sited, input.bridges ?? [], input.start, length, air);
    if (least && least.room < 0) return refusal('bridge too low', { name: least.name });
  }
  return null;
}

/** Why a lock that does not stand open to the boat is not made ready while it waits; null where it is, or stands open. */
function unready(setting: Setting, { sited, from }: ChamberWay): Refusal | null {
  const against = setAgainst(sited, from);
  if (!against || landingLines(setting)) return null;
  return against === 'level'
    ? refusal('lock set against', { set: from === 'upper' ? 'above' : 'below' })
    : refusal('gates shut');
}

/** Why the boat does not go through a lock; null where it may. */
export function noPassage(setting: Setting): Refusal | null {
  const { start, limit } = setting.input;
  const { ways, inside } = wayThrough(setting);
  const way = ways[0]!;
  const { sited, going } = way;
  const shared = WALLS.map((wall) => neighbourIn(setting, sited, way, wall));
  const shares = shared.find((one) => !isRefusal(one)) ?? shared[0]!;
  if (isRefusal(shares)) return shares;
  if (shares && ways.length > 1) return refusal('staircase shared');
  if (shares?.comes?.first && !landingLines(setting))
    return refusal('drifts while another goes in', { name: shares.other.name });
  if (inside) return refusal('in the chamber already');
  const where = new Float64Array(2);
  intoLock(where, sited, start.x, start.y);
  const before = going === 'down' ? -where[IN_LOCK.S]! : where[IN_LOCK.S]! - sited.lock.length;
  if (before < setting.length / 2 || Math.abs(where[IN_LOCK.T]!) > before)
    return refusal('not before the gates');
  if (Math.abs(wrapHalfTurn(start.heading - way.along)) > STRAIGHT)
    return refusal('not heading for the gates');
  const low = underBridges(setting, ways);
  if (low) return low;
  const notReady = unready(setting, way);
  if (notReady) return notReady;
  if (ways.length > 1) {
    const unready = stairsUnready(setting, way);
    if (unready) return unready;
  }
  for (const one of ways) {
    const none = noRoom(setting, one);
    if (none) return none;
  }
  const [lies] = liesInLock(setting);
  if (!lies) return refusal('nothing along the chamber');
  const other = otherUnready(setting, way) ? lies[1]!.making.seconds : 0;
  const needs = leastTime(lies) + readyTime(lies[0]!) + other;
  return needs > limit ? refusal('too little time', { least: needs, limit, alone: false }) : null;
}
