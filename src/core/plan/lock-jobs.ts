import {
  gatesOf,
  headAt,
  isShut,
  leafSides,
  MADE_M,
  orderLock,
  outOfLock,
  spotAt,
  spotOf,
  wayOnFoot,
  type End,
  type LockOrder,
  type LockSide,
  type SitedLock,
  type Spot,
} from '../locks';
import { LEANS_FOR_S, LOOKS_S, WALKS_ASHORE_MPS } from '../policy';
import type { SimState, World } from '../simulation';
import type { LockEvent } from './event-names';
import type { CrewMember, Job } from './crew-member';
import { markNow } from './marks';

/** What is to be done at which lock. */
interface AtLock {
  readonly lock: number;
  readonly order: LockOrder;
}

/** What the jobs at a lock need to know and to tell. */
export interface LockWorkAt {
  readonly state: SimState;
  readonly world: World;
  readonly now: number;
  tellLock(lock: number, what: LockEvent, who: number | null): void;
  tailLies(member: CrewMember, to: { readonly x: number; readonly y: number }): void;
}

/** Walks to a place by the lock; whoever is at hand is there. */
function* goTo(
  at: LockWorkAt,
  member: CrewMember,
  lock: number,
  spot: Spot,
): Generator<number, boolean> {
  if (member.who === null) return true;
  const sited = at.world.gates!.locks[lock]!;
  if (!member.at || member.at.aboard) {
    at.tellLock(lock, 'not there', member.who);
    return false;
  }
  const here = markNow(at.state, member.at.mark);
  const way = wayOnFoot(sited, at.state.locks[lock]!, spotAt(sited, here), spot, at.world.bridges);
  if (way === null) {
    at.tellLock(lock, 'no way across', member.who);
    return false;
  }
  const there = outOfLock(sited, spot.s, spot.t);
  at.tailLies(member, there);
  yield at.now + way / WALKS_ASHORE_MPS;
  member.at = { aboard: false, mark: { name: '', ...there } };
  return true;
}

/** Upper gates of a lock in a staircase are the lower ones of the lock above it. */
function between(locks: readonly SitedLock[], asked: AtLock): AtLock {
  const { lock, order } = asked;
  const { above } = locks[lock]!;
  if (above === undefined || order.do !== 'gates' || order.end !== 'upper') return asked;
  return { lock: above, order: { ...order, end: 'lower' } };
}

/** Do the gates at the far end of the chamber below stand open, in a staircase? */
function openBelow({ world, state }: LockWorkAt, lock: number): boolean {
  const { locks } = world.gates!;
  const { below } = locks[lock]!;
  return below !== undefined && !isShut(locks[below]!.lock, state.locks[below]!, 'lower');
}

/** A paddle wound, or gates swung, by somebody ashore: walked to, waited for, and done in its own time. */
export function* workAtLock(at: LockWorkAt, member: CrewMember, asked: AtLock): Job {
  const { lock, order } = between(at.world.gates!.locks, asked);
  if (order.do === 'wind') yield* wind(at, member, lock, order);
  else yield* swing(at, member, lock, order);
}

function* wind(
  at: LockWorkAt,
  member: CrewMember,
  lock: number,
  order: Extract<LockOrder, { do: 'wind' }>,
): Job {
  const sited = at.world.gates!.locks[lock]!;
  const state = at.state.locks[lock]!;
  const paddle = sited.lock.paddles[order.paddle]!;
  if (!(yield* goTo(at, member, lock, spotOf(sited.lock, paddle.end, paddle.side)))) return;
  const turns = Math.abs(order.to - state.open[order.paddle]!);
  at.tellLock(lock, order.to > state.open[order.paddle]! ? 'paddle up' : 'paddle down', member.who);
  orderLock(sited.lock, state, order);
  yield at.now + turns * paddle.winding;
}

/** The leaf on whose side somebody stands comes first. */
function nearestFirst(
  at: LockWorkAt,
  member: CrewMember,
  lock: number,
  end: End,
  sides: readonly LockSide[],
): readonly LockSide[] {
  if (!member.at || member.at.aboard) return sides;
  const sited = at.world.gates!.locks[lock]!;
  const here = spotAt(sited, markNow(at.state, member.at.mark));
  const off = (side: LockSide) => {
    const { s, t } = spotOf(sited.lock, end, side);
    return Math.abs(here.s - s) + Math.abs(here.t - t);
  };
  return [...sides].sort((a, b) => off(a) - off(b));
}

function* swing(
  at: LockWorkAt,
  member: CrewMember,
  lock: number,
  order: Extract<LockOrder, { do: 'gates' }>,
): Job {
  const sited = at.world.gates!.locks[lock]!;
  const state = at.state.locks[lock]!;
  const { end, to, leaf } = order;
  const sides = leafSides(sited.lock, end);
  const wanted = leaf && sides.includes(leaf) ? [leaf] : nearestFirst(at, member, lock, end, sides);
  for (const side of wanted) {
    if (!(yield* goTo(at, member, lock, spotOf(sited.lock, end, side)))) return;
    const until = at.now + LEANS_FOR_S;
    while (to === 'open' && Math.abs(headAt(state, end)) > MADE_M) {
      if (at.now >= until) return at.tellLock(lock, 'never level', member.who);
      yield at.now + LOOKS_S;
    }
    if (
      (to === 'open' && end === 'lower' && openBelow(at, lock)) ||
      orderLock(sited.lock, state, { ...order, leaf: side })
    )
      return at.tellLock(lock, 'other gates open', member.who);
    at.tellLock(lock, to === 'open' ? 'gates open' : 'gates shut', member.who);
    // Whoever is at hand has somebody on each side.
    if (member.who !== null) yield at.now + gatesOf(sited.lock, end).swing;
  }
}
