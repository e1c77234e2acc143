import { leafSides, type End, type Paddle, type Side } from '@/core/locks';
import type { Person } from '@/core/plan';
import type { StepDocument, CueDocument, OrderDocument, SimpleCue } from '@/document/plan';
import { step, near, tenth } from '../../template';
import type { PassageLie } from './lie';
import type { Setting } from '../../setting';

// Who works a lock for her, and the steps its water is made with.

/** Somebody who has wound one paddle goes on to the next; so long between two signs, s. */
const NEXT_PADDLE_S = 8;

export interface Hands {
  /** Whoever tends the line aboard, and whoever works the lock ashore; the keeper where nobody is. */
  readonly aboard: string | undefined;
  readonly ashore: string | undefined;
  /** A loop is dropped round a bollard where nobody ashore could catch a throw. */
  readonly how: 'throw' | 'drop';
}

/** @param steps who steps ashore at the landing before anything else, by name */
export function handsOf({ input }: Setting, steps?: string): Hands {
  const crew = input.rigging?.crew ?? [];
  const isAboard = ({ name, at }: Person) => at.aboard && name !== steps;
  const aboard = crew.find(isAboard)?.name;
  const ashore = crew.find((person) => !isAboard(person))?.name;
  return { aboard, ashore, how: crew.length > 0 && ashore === undefined ? 'drop' : 'throw' };
}

export const by = (name: string | undefined) => (name === undefined ? {} : { by: name });

/** Paddles of the end that makes her level: those on the side people stand first, as the near one is drawn first. */
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
  hands: Hands,
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

/** The sign, one paddle or all of them to a share, and what to call if it is too much. */
function winding(
  lie: PassageLie,
  hands: Hands,
  id: string,
  title: string,
  cue: CueDocument,
  paddles: readonly Paddle[],
  to: number,
): StepDocument {
  const sign: OrderDocument[] = hands.ashore === undefined ? [] : [{ do: 'signal', after_s: 0 }];
  return step(
    id,
    title,
    cue,
    [...sign, ...wound(lie, hands, paddles, to)],
    'paddles down, look what holds her',
    900,
  );
}

/** Both ends shut, and going down her stern forward of the cill: only then is a paddle wound. */
export function heldIn({ sited, forward, to }: PassageLie): CueDocument {
  const closed: SimpleCue = { is: 'lock', lock: sited.name, state: 'shut' };
  return forward === null
    ? closed
    : { is: 'all', of: [closed, near('bow', `${sited.name}, ${to} gates`, forward)] };
}

/** How the water is made: a keeper winds all at once; one of the crew the near paddle, then the far one. */
export function making(lie: PassageLie, hands: Hands): StepDocument[] {
  const { making: pace } = lie;
  const paddles = paddlesOf(lie);
  const shut = heldIn(lie);
  const share = pace.first;
  const part = share < 1 ? `${Math.round(100 * share)} % of ` : '';
  const after = (seconds: number): CueDocument => ({ is: 'after', time_s: tenth(seconds) });
  if (hands.ashore === undefined || paddles.length === 1) {
    const more = winding(
      lie,
      hands,
      'more',
      'half the head is gone: all the way',
      after(pace.halfAt),
      paddles,
      1,
    );
    return [
      winding(lie, hands, 'water', `she is held: ${part}the paddles`, shut, paddles, share),
      ...(share < 1 ? [more] : []),
    ];
  }
  const [first, ...rest] = paddles as [Paddle, ...Paddle[]];
  const next = share * first.winding + NEXT_PADDLE_S;
  // What was wound later makes its half later.
  const then = Math.max(next, pace.halfAt - next);
  return [
    winding(lie, hands, 'near', `she is held: ${part}the near paddle`, shut, [first], share),
    ...rest.map((paddle, i) =>
      winding(
        lie,
        hands,
        i === 0 ? 'far' : `far-${i + 1}`,
        `now ${part}the far one`,
        after(next),
        [paddle],
        share,
      ),
    ),
    ...(share < 1
      ? paddles.map((paddle, i) =>
          winding(
            lie,
            hands,
            i === 0 ? 'more' : `more-${i + 1}`,
            i === 0 ? 'half the head is gone: all of the near one' : 'all of the far one',
            after(i === 0 ? then : first.winding + NEXT_PADDLE_S),
            [paddle],
            1,
          ),
        )
      : []),
  ];
}

export const gatesTo = (
  { sited }: PassageLie,
  end: End,
  to: 'open' | 'shut',
  hands: Hands,
  leaf: Side | 'both' = 'both',
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
 * The gates ahead opened to her. By one who has to be on one side of the lock afterwards the leaf of that side comes last:
 * with one of two open there is no way across but round by the other gates.
 */
export function opened(lie: PassageLie, hands: Hands, last: Side | null): OrderDocument[] {
  const { sited, to } = lie;
  if (last === null || leafSides(sited.lock, to).length === 1)
    return [gatesTo(lie, to, 'open', hands)];
  const first: Side = last === 'left' ? 'right' : 'left';
  return [gatesTo(lie, to, 'open', hands, first), gatesTo(lie, to, 'open', hands, last)];
}
