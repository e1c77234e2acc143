import { leafSides, type End, type Paddle, type LockSide } from '@/core/locks';
import type { Person } from '@/core/plan';
import type { CueDocument, OrderDocument } from '@/document/plan';
import type { Setting } from '../../setting';
import type { PassageLie } from './lie';

// Who works a lock, and the orders and cues of its gates and paddles.

export interface LockCrew {
  /** Whoever tends the line aboard, and whoever works the lock ashore; the keeper where nobody is. */
  readonly aboard: string | undefined;
  readonly ashore: string | undefined;
  /** A loop is dropped round a bollard where nobody ashore could catch a throw. */
  readonly how: 'throw' | 'drop';
}

/** @param steps who steps ashore at the landing before anything else, by name */
export function lockCrewOf({ input }: Setting, steps?: string): LockCrew {
  const crew = input.rigging?.crew ?? [];
  const isAboard = ({ name, at }: Person) => at.aboard && name !== steps;
  const aboard = crew.find(isAboard)?.name;
  const ashore = crew.find((person) => !isAboard(person))?.name;
  return { aboard, ashore, how: crew.length > 0 && ashore === undefined ? 'drop' : 'throw' };
}

export const by = (name: string | undefined) => (name === undefined ? {} : { by: name });

/** Paddles of the end that makes the level for the boat: those on the side people stand first, as the near one is drawn first. */
export const paddlesOf = (lie: PassageLie): readonly Paddle[] => paddlesAt(lie, lie.to);

/** Those of either end, in that order. */
export function paddlesAt(
  { sited, wall }: Pick<PassageLie, 'sited' | 'wall'>,
  at: End,
): readonly Paddle[] {
  const there = sited.lock.paddles.filter(({ end }) => end === at);
  return [...there].sort((a, b) => Number(b.side === wall) - Number(a.side === wall));
}

export const wound = (
  lie: PassageLie,
  hands: LockCrew,
  paddles: readonly Paddle[],
  to: number,
): OrderDocument[] =>
  paddles.map(({ name }) => ({
    do: 'paddle',
    after_s: 0,
    lock: lie.paddlesOf,
    paddle: name,
    to,
    ...by(hands.ashore),
  }));

export const gatesTo = (
  { sited }: PassageLie,
  end: End,
  to: 'open' | 'shut',
  hands: LockCrew,
  leaf: LockSide | 'both' = 'both',
): OrderDocument => ({
  do: 'gates',
  after_s: 0,
  lock: sited.name,
  end,
  leaf,
  to,
  ...by(hands.ashore),
});

/**
 * The gates ahead opened to the boat. By one who has to be on one side of the lock afterwards the leaf of that side comes last:
 * with one of two open there is no way across but round by the other gates.
 */
export function opened(lie: PassageLie, hands: LockCrew, last: LockSide | null): OrderDocument[] {
  const { sited, to } = lie;
  if (last === null || leafSides(sited.lock, to).length === 1)
    return [gatesTo(lie, to, 'open', hands)];
  const first: LockSide = last === 'left' ? 'right' : 'left';
  return [gatesTo(lie, to, 'open', hands, first), gatesTo(lie, to, 'open', hands, last)];
}

/** The gates ahead stand wide open. */
export const wide = ({ sited, going }: PassageLie): CueDocument => ({
  is: 'lock',
  lock: sited.name,
  state: going === 'up' ? 'wide above' : 'wide below',
});
