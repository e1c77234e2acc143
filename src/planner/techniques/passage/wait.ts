import type { LockCue } from '@/core/plan';
import type { OrderDocument } from '@/document/plan';
import type { LineDocument } from '@/document/rigging';
import { call, engine, step } from '../../template';
import type { Setting } from '../../setting';
import { letGo } from '../line-leads';
import { comingIn } from './coming';
import { gatesTo, paddlesAt, paddlesOf, wound, type LockCrew } from './lock-crew';
import { HALF_FOR_S, LANDING, landingLines, setAgainst, WAITS_WITHIN_S } from './landing';
import type { PassageLie } from './lie';
import { linesOnOf } from './neighbour';
import { START, type Passage, type Phase } from './phase';
import { otherUnready } from './unfit';

// A lock that is set against the boat, or shut: it waits on its lines at the landing while it is made ready.

/** Half of the paddles first, all of them so long after, s: the wash comes down on whoever waits below. Judgement. */
const HALF_FIRST = 0.5;
const MADE_WITHIN_S = 900;
/** Paddles that were wound up for somebody else's water are down again by then, s. */
const PADDLES_DOWN_S = 30;
/** Who of a crew that is all aboard steps ashore at the landing to work the lock: not the helm, and somebody is left to the boat's line. */
export function stepsAshore(
  { input }: Setting,
  landing: readonly LineDocument[] | null,
): string | undefined {
  const crew = input.rigging?.crew ?? [];
  if (!landing || crew.length < 2 || crew.some(({ at }) => !at.aboard)) return undefined;
  return crew.find(({ at }) => at.aboard && at.point.name !== 'helm')?.name;
}

/** The boat lies on its lines with the engine out of gear; who works the lock walks to its side, and steps. */
function putAshore(who: string, landing: readonly LineDocument[]): Phase {
  return {
    steps: [
      step(
        'step-ashore',
        `${who} steps ashore to work the lock`.slice(0, 60),
        { is: 'start' },
        [
          call('neutral; step when the boat lies still, no jumping'),
          engine('neutral'),
          { do: 'stepAshore', after_s: 1, by: who, mark: landing[0]!.fast!.to },
        ],
        'stay aboard; haul the boat in',
      ),
    ],
    then: { is: 'crew', who, where: 'ashore' },
  };
}

/** The other chamber of a staircase made ready first: filled for a boat going up, emptied for one going down. Nobody lies in it. */
function readied(other: PassageLie, hands: LockCrew, after: Phase = START): Phase {
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
        `on its lines while ${sited.name} is ${verb}`.slice(0, 60),
        after.then,
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
    then: { is: 'after', time_s: PADDLES_DOWN_S },
  };
}

/** A lock turned round for whoever waits: its steps, and the cue its gates stand wide open by. */
interface Turned extends Phase {
  /** What is then done at it. */
  readonly meanwhile: readonly OrderDocument[];
}

/** The steps until the gates stand wide open to whoever waits, all on their lines. */
function turnedRound(lie: PassageLie, hands: LockCrew, after: Phase = START): Turned {
  const { sited, from } = lie;
  // Paddles that make it ready are always the lock's own.
  const hers = { ...lie, paddlesOf: sited.name };
  const against = setAgainst(sited, from);
  const side = from === 'upper' ? 'above' : 'below';
  const paddles = paddlesAt(lie, from);
  const sign: OrderDocument[] = hands.ashore === undefined ? [] : [{ do: 'signal', after_s: 0 }];
  const ready = call('on bow and stern line; hands clear of them while the water comes');
  const way = 'paddles down; look to its lines';
  const opens = gatesTo(lie, from, 'open', hands);
  const steps =
    against === 'level'
      ? [
          step(
            'wait',
            'on its lines: half of the paddles',
            after.then,
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
            'level: the gates to the boat',
            { is: 'lock', lock: sited.name, state: `level ${side}` },
            [opens],
            'wait on',
            MADE_WITHIN_S,
          ),
        ]
      : [step('wait', 'on its lines: the gates open', after.then, [ready, opens], 'wait on')];
  return {
    steps: [...after.steps, ...steps],
    then: { is: 'lock', lock: sited.name, state: `wide ${side}` },
    meanwhile: wound(hers, hands, against === 'level' ? paddles : [], 0),
  };
}

/** After some steps the boat's lines to the landing are slipped at a cue; and the cue by which they are home. */
function slippedAfter(
  { steps, then }: Phase,
  hands: LockCrew,
  when: string,
  more: readonly OrderDocument[] = [],
): Phase {
  const slip = step(
    'slip',
    `${when}: both lines slipped from aboard`,
    then,
    [...LANDING.map((line) => letGo(line, 0, hands.aboard)), ...more],
    'make fast again',
    WAITS_WITHIN_S,
  );
  return {
    steps: [...steps, slip],
    then: { is: 'all', of: LANDING.map((line) => ({ is: 'line', line, state: 'off' })) },
  };
}

/**
 * What is done before the boat goes in, on its lines at the landing: somebody put ashore, a staircase made ready, the lock turned
 * round for it, another boat let in first. Nothing, and no lines, where it goes at once.
 *
 * @param steps who is put ashore, by name
 */
export function waits(
  { setting, lies, crew, entry }: Passage,
  steps: string | undefined,
): { readonly phase: Phase; readonly landing: readonly LineDocument[] } {
  const lie = lies[0]!;
  const { sited, from, neighbour } = lie;
  const leads = neighbour?.comes?.first ? neighbour : null;
  const against = setAgainst(sited, from) !== null;
  const unready = otherUnready(setting, lie);
  const landing = against || leads || unready || steps ? landingLines(setting) : null;
  if (!landing) return { phase: START, landing: [] };
  const crewed = steps ? putAshore(steps, landing) : START;
  const waiting = (phase: Phase, when: string, meanwhile: readonly OrderDocument[] = []) => ({
    phase: slippedAfter(phase, crew, when, meanwhile),
    landing,
  });
  if (leads) {
    const { name } = leads.other;
    const onLines = call(`on bow and stern line while ${name} goes in`);
    const open = against ? turnedRound(lie, crew, crewed) : { ...crewed, meanwhile: [] };
    const beside = [onLines, ...open.meanwhile];
    const lets = comingIn(setting, sited, leads, lie, open.then, beside, entry!);
    const in_ = { steps: [...open.steps, ...lets], then: linesOnOf(leads) };
    return waiting(in_, `${name} lies on its lines`);
  }
  const ready = unready ? readied(lies[1]!, crew, crewed) : crewed;
  if (against) {
    const { meanwhile, ...open } = turnedRound(lie, crew, ready);
    return waiting(open, 'wide open', meanwhile);
  }
  return waiting(ready, unready ? 'the staircase is ready' : `${steps} is ashore`);
}
