import type { LockCue } from '@/core/plan';
import type { StepDocument, CueDocument, OrderDocument } from '@/document/plan';
import { step, call, engine } from '../../template';
import { HALF_FOR_S, LANDING, setAgainst } from './landing';
import { letGo } from '../line-leads';
import type { LineDocument } from '@/document/rigging';
import type { PassageLie } from './lie';
import { gatesTo, paddlesAt, paddlesOf, wound, type Hands } from './water';
import type { Setting } from '../../setting';

// A lock that is set against her, or shut: she waits on her lines at the landing while it is made ready.

/** Half of the paddles first, all of them so long after, s: the wash comes down on whoever waits below. Judgement. */
const HALF_FIRST = 0.5;
const MADE_WITHIN_S = 900;
/** Paddles that were wound up for somebody else's water are down again by then, s. */
const PADDLES_DOWN_S = 30;
/** The gates swing that long at the most, s. */
export const WAITS_WITHIN_S = 240;

/** What waiting comes to: its steps, and the cue the next one goes by. */
export interface Waits {
  readonly steps: StepDocument[];
  readonly cue: CueDocument;
}

export const START: Waits = { steps: [], cue: { is: 'start' } };

/** Who of a crew that is all aboard steps ashore at the landing to work the lock: not the helm, and somebody is left to her line. */
export function stepsAshore(
  { input }: Setting,
  landing: readonly LineDocument[] | null,
): string | undefined {
  const crew = input.rigging?.crew ?? [];
  if (!landing || crew.length < 2 || crew.some(({ at }) => !at.aboard)) return undefined;
  return crew.find(({ at }) => at.aboard && at.point.name !== 'helm')?.name;
}

/** She lies on her lines with the engine out of gear; who works the lock walks to her side, and steps. */
export function putAshore(who: string, landing: readonly LineDocument[]): Waits {
  return {
    steps: [
      step(
        'step-ashore',
        `${who} steps ashore to work the lock`.slice(0, 60),
        { is: 'start' },
        [
          call('neutral; step when she lies still, no jumping'),
          engine('neutral'),
          { do: 'stepAshore', after_s: 1, by: who, mark: landing[0]!.fast!.to },
        ],
        'stay aboard; haul her in',
      ),
    ],
    cue: { is: 'crew', who, where: 'ashore' },
  };
}

/** The other chamber of a staircase made ready first: filled for her going up, emptied for her going down. Nobody lies in it. */
export function readied(other: PassageLie, hands: Hands, after: Waits = START): Waits {
  const { sited, going } = other;
  const paddles = paddlesOf(other);
  const verb = going === 'up' ? 'filled' : 'emptied';
  const made: LockCue = going === 'up' ? 'level above' : 'level below';
  const sign: OrderDocument[] = hands.ashore === undefined ? [] : [{ do: 'signal', after_s: 0 }];
  const way = 'paddles down; wait on';
  return {
    steps: [
      ...after.steps,
      step(
        'other-chamber',
        `on her lines while ${sited.name} is ${verb}`.slice(0, 60),
        after.cue,
        [call('on bow and stern line'), ...sign, ...wound(other, hands, paddles, 1)],
        way,
      ),
      step(
        'other-made',
        `${sited.name} ${verb}: its paddles down`.slice(0, 60),
        { is: 'lock', lock: sited.name, state: made },
        wound(other, hands, paddles, 0),
        way,
        MADE_WITHIN_S,
      ),
    ],
    cue: { is: 'after', time_s: PADDLES_DOWN_S },
  };
}

/** A lock turned round: its steps, the cue its gates stand wide open by, and what is then done at it. */
interface Turned extends Waits {
  readonly then: OrderDocument[];
}

/** The steps until the gates stand wide open to whoever waits, all on their lines. */
export function turnedRound(lie: PassageLie, hands: Hands, after: Waits = START): Turned {
  const { sited, from } = lie;
  // Before her they are always the lock's own.
  const hers = { ...lie, paddlesOf: sited.name };
  const against = setAgainst(sited, from);
  const side = from === 'upper' ? 'above' : 'below';
  const paddles = paddlesAt(lie, from);
  const sign: OrderDocument[] = hands.ashore === undefined ? [] : [{ do: 'signal', after_s: 0 }];
  const ready = call('on bow and stern line; hands clear of them while the water comes');
  const way = 'paddles down; look to her lines';
  const opens = gatesTo(lie, from, 'open', hands);
  const steps =
    against === 'level'
      ? [
          step(
            'wait',
            'on her lines: half of the paddles',
            after.cue,
            [ready, ...sign, ...wound(hers, hands, paddles, HALF_FIRST)],
            way,
          ),
          step(
            'wash',
            'lines hold: all of them',
            { is: 'after', time_s: HALF_FOR_S },
            [...sign, ...wound(hers, hands, paddles, 1)],
            way,
            MADE_WITHIN_S,
          ),
          step(
            'made',
            'level: the gates to her',
            { is: 'lock', lock: sited.name, state: `level ${side}` },
            [opens],
            'wait on',
            MADE_WITHIN_S,
          ),
        ]
      : [step('wait', 'on her lines: the gates open', after.cue, [ready, opens], 'wait on')];
  return {
    steps: [...after.steps, ...steps],
    cue: { is: 'lock', lock: sited.name, state: `wide ${side}` },
    then: wound(hers, hands, against === 'level' ? paddles : [], 0),
  };
}

/** The steps until its gates stand wide open to her and her lines are slipped, and the cue she goes by. */
export function waiting(lie: PassageLie, hands: Hands, after: Waits = START): Waits {
  const { steps, cue, then } = turnedRound(lie, hands, after);
  return slippedAfter(steps, hands, 'wide open', cue, then);
}

/** After some steps her lines to the landing are slipped at a cue; and the cue by which they are home. */
export function slippedAfter(
  steps: readonly StepDocument[],
  hands: Hands,
  when: string,
  at: CueDocument,
  more: readonly OrderDocument[] = [],
): Waits {
  const slip = step(
    'slip',
    `${when}: both lines slipped from aboard`,
    at,
    [...LANDING.map((line) => letGo(line, 0, hands.aboard)), ...more],
    'make fast again',
    WAITS_WITHIN_S,
  );
  return {
    steps: [...steps, slip],
    cue: { is: 'all', of: LANDING.map((line) => ({ is: 'line', line, state: 'off' })) },
  };
}
