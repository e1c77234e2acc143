import type { BeatDocument, CueDocument, OrderDocument } from '../score';
import { beat, call } from './draft';
import { HALF_FOR_S, LANDING, setAgainst } from './landing';
import { letGo } from './line-leads';
import type { PassageLie } from './passage-lie';
import { gatesTo, paddlesAt, wound, type Hands } from './passage-water';

// A lock that is set against her, or shut: she waits on her lines at the landing while it is made ready.

/** Half of the paddles first, all of them so long after, s: the wash comes down on whoever waits below. Judgement. */
const HALF_FIRST = 0.5;
const MADE_WITHIN_S = 900;
/** The gates swing that long at the most, s. */
export const WAITS_WITHIN_S = 240;

/** The beats until its gates stand wide open to her and her lines are slipped, and the cue she goes by. */
export function waiting(
  lie: PassageLie,
  hands: Hands,
): { readonly beats: BeatDocument[]; readonly cue: CueDocument } {
  const { sited, from } = lie;
  const against = setAgainst(sited, from);
  const side = from === 'upper' ? 'above' : 'below';
  const paddles = paddlesAt(lie, from);
  const sign: OrderDocument[] = hands.ashore === undefined ? [] : [{ do: 'signal', after_s: 0 }];
  const ready = call('on bow and stern line; hands clear of them while the water comes');
  const way = 'paddles down; look to her lines';
  const opens = gatesTo(lie, from, 'open', hands);
  const beats =
    against === 'level'
      ? [
          beat(
            'wait',
            'on her lines: half of the paddles',
            { is: 'start' },
            [ready, ...sign, ...wound(lie, hands, paddles, HALF_FIRST)],
            way,
          ),
          beat(
            'wash',
            'lines hold: all of them',
            { is: 'after', seconds: HALF_FOR_S },
            [...sign, ...wound(lie, hands, paddles, 1)],
            way,
            MADE_WITHIN_S,
          ),
          beat(
            'made',
            'level: the gates to her',
            { is: 'lock', lock: sited.name, state: `level ${side}` },
            [opens],
            'wait on',
            MADE_WITHIN_S,
          ),
        ]
      : [beat('wait', 'on her lines: the gates open', { is: 'start' }, [ready, opens], 'wait on')];
  return slippedAfter(
    beats,
    hands,
    'wide open',
    { is: 'lock', lock: sited.name, state: `wide ${side}` },
    [...wound(lie, hands, against === 'level' ? paddles : [], 0)],
  );
}

/** After some beats her lines to the landing are slipped at a cue; and the cue by which they are home. */
export function slippedAfter(
  beats: readonly BeatDocument[],
  hands: Hands,
  when: string,
  at: CueDocument,
  more: readonly OrderDocument[] = [],
): { readonly beats: BeatDocument[]; readonly cue: CueDocument } {
  const slip = beat(
    'slip',
    `${when}: both lines slipped from aboard`,
    at,
    [...LANDING.map((line) => letGo(line, 0, hands.aboard)), ...more],
    'make fast again',
    WAITS_WITHIN_S,
  );
  return {
    beats: [...beats, slip],
    cue: { is: 'all', of: LANDING.map((line) => ({ is: 'line', line, state: 'off' })) },
  };
}
