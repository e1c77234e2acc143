import type { Paddle } from '@/core/locks';
import type { CueDocument, OrderDocument, StepDocument } from '@/document/plan';
import { step, tenth } from '../../template';
import { opened, paddlesOf, wide, wound, type LockCrew } from './lock-crew';
import type { PassageLie } from './lie';
import type { Passage, PhaseAt } from './phase';

// The water made: filled for a boat going up, emptied for one going down; then the gates ahead.

/** Somebody who has wound one paddle goes on to the next; so long between two signs, s. */
const NEXT_PADDLE_S = 8;
const MADE_WITHIN_S = 900;

/** The sign, one paddle or all of them to a share, and what to call if it is too much. */
function winding(
  lie: PassageLie,
  hands: LockCrew,
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
    'paddles down, look what holds the boat',
    MADE_WITHIN_S,
  );
}

/** How the water is made: a keeper winds all at once; one of the crew the near paddle, then the far one. */
function making(lie: PassageLie, hands: LockCrew, held: CueDocument): StepDocument[] {
  const { making: pace } = lie;
  const paddles = paddlesOf(lie);
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
      winding(lie, hands, 'water', `the boat is held: ${part}the paddles`, held, paddles, share),
      ...(share < 1 ? [more] : []),
    ];
  }
  const [first, ...rest] = paddles as [Paddle, ...Paddle[]];
  const next = share * first.winding + NEXT_PADDLE_S;
  // What was wound later makes its half later.
  const then = Math.max(next, pace.halfAt - next);
  return [
    winding(lie, hands, 'near', `the boat is held: ${part}the near paddle`, held, [first], share),
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

/** Filled or emptied by its paddles, until the gates ahead stand wide open: that of a side last, if somebody has to be there. */
export const fills =
  ({ crew, pickUp, lies }: Passage, lie: PassageLie): PhaseAt =>
  (after) => ({
    steps: [
      ...making(lie, crew, after),
      step(
        'open',
        'level: the gates ahead',
        {
          is: 'lock',
          lock: lie.sited.name,
          state: `level ${lie.going === 'up' ? 'above' : 'below'}`,
        },
        opened(lie, crew, lie === lies.at(-1) ? (pickUp?.hand ?? null) : null),
        'the gates stay shut, paddles down',
        MADE_WITHIN_S,
      ),
    ],
    then: wide(lie),
  });
