import { lineLength, type LevelChange, type Paddle } from '@/core/locks';
import { STEP_UP_M } from '@/core/policy';
import { degrees } from '@/document/fields';
import type { CueDocument, OrderDocument } from '@/document/plan';
import {
  step,
  call,
  compassOf,
  engine,
  planOf,
  steer,
  template,
  tenth,
  type PlanTemplate,
} from '../../template';
import type { Setting } from '../../setting';
import { refusal, type Refusal } from '../../refusals';
import { letGo } from '../line-leads';
import { enters } from './enter';
import { gatesTo, opened, paddlesOf, wide, wound, type LockCrew } from './lock-crew';
import { heldIn, TURNS } from './hold';
import { setAgainst } from './landing';
import { clearOfIt, passed, straightOut } from './leave';
import { CENTRE_LINE, gatesRun, leastTime, liesInLock, makingWith, type PassageLie } from './lie';
import { passageParameters } from './numbers';
import { START, type Passage } from './phase';
import { noPassage } from './unfit';

// Through a lock by one person: everything one after the other, and the propeller still whenever the helm is left.

/** Turns on the bollard before hands do anything else. */
const LEFT_ON_TURNS = 2;
/** Climbing, and walking to and fro between line, gates and paddles, takes so long more, s. Judgement. */
const ON_FOOT_S = 300;
/** From stopping to the boat's line's being on: along the deck, up, and to the bollard, s; and back the same way. */
const UP_WITHIN_S = 240;
const BACK_WITHIN_S = 300;
const OPENED_WITHIN_S = 900;

const whoIs = ({ input }: Setting): string | null => {
  const crew = input.rigging?.crew ?? [];
  return crew.length === 1 && crew[0]!.at.aboard ? crew[0]!.name : null;
};

/** Does the coping ever stand too high over the boat's deck to step? */
function wantsLadder({ input, boat }: Setting): boolean {
  return (input.locks ?? []).some(
    ({ lock, coping }) =>
      coping - Math.min(lock.lower.level, lock.upper.level) - boat.hull.freeboard > STEP_UP_M,
  );
}

/** Where the boat lies: at the wall the wind lays it to, if a ladder is there. */
const lieAlone = (setting: Setting): PassageLie | null =>
  liesInLock(setting, wantsLadder(setting))[0]?.[0] ?? null;

/** The water as one person makes it: by the paddles of the side the boat lies to, so that the line is never out of reach for long. */
interface Alone {
  readonly lie: PassageLie;
  readonly paddles: readonly Paddle[];
  readonly making: LevelChange;
}

function byOne(setting: Setting, lie: PassageLie): Alone | null {
  const all = paddlesOf(lie);
  const near = all.filter(({ side }) => side === lie.wall);
  const paddles = near.length > 0 ? near : all;
  const making = makingWith(setting, lie, paddles);
  return making && { lie, paddles, making };
}

/** Why one person does not go through a lock so; null where it may be tried. */
export function noPassageAlone(setting: Setting): Refusal | null {
  const { locks = [], limit } = setting.input;
  if (!whoIs(setting)) return refusal('not one person');
  if (setting.others.length > 0) return refusal('alone beside another');
  if (locks.length > 1) return refusal('alone through a staircase');
  const none = noPassage(setting);
  if (none) return none;
  const lie = lieAlone(setting);
  if (!lie) return refusal('no ladder');
  if (setAgainst(lie.sited, lie.from)) return refusal('gates shut to one alone');
  const alone = byOne(setting, lie);
  if (!alone) return refusal('too slow by one side');
  const slower = Math.max(0, alone.making.seconds - lie.making.seconds);
  const needs = leastTime([lie]) + slower + gatesRun(lie.sited, lie.to) + ON_FOOT_S;
  return needs > limit ? refusal('too little time', { least: needs, limit, alone: true }) : null;
}

/** In, up the ladder with the line, the lock worked step by step, and out again. */
export function throughAlone(setting: Setting): readonly PlanTemplate[] {
  const who = whoIs(setting);
  const lie = lieAlone(setting);
  const alone = lie && byOne(setting, lie);
  return who && alone ? [aloneAt(setting, alone, who)] : [];
}

function aloneAt(setting: Setting, { lie, paddles, making }: Alone, who: string): PlanTemplate {
  const { length, boat } = setting;
  const { sited, from, going, side, lead } = lie;
  const crew: LockCrew = { aboard: who, ashore: who, how: 'throw' };
  const passage: Passage = { setting, lies: [lie], crew, entry: null, pickUp: null };
  const rope = lineLength(sited.lock, sited.coping, Math.max(3, lead), boat.hull.freeboard);
  const along = degrees(lie.along);
  const toWall = side === 'starboard' ? 1 : -1;
  const aft = boat.points.some(({ name }) => name === 'helm') ? 'helm' : lie.cleat;
  const tended = (how: 'keep' | 'turn' | 'haul', turns: number, after = 0): OrderDocument => ({
    do: 'tend',
    after_s: after,
    line: CENTRE_LINE,
    how,
    turns,
    winch: false,
    by: who,
  });
  const left = (after = 0) => tended('turn', LEFT_ON_TURNS, after);
  const back: CueDocument = {
    is: 'all',
    of: [
      { is: 'crew', who, where: 'aboard' },
      { is: 'line', line: CENTRE_LINE, state: 'off' },
    ],
  };
  const part = making.first < 1 ? `${Math.round(100 * making.first)} % of ` : '';
  const level: CueDocument = {
    is: 'lock',
    lock: sited.name,
    state: going === 'up' ? 'level above' : 'level below',
  };
  return template({
    decided: 'behind',
    parameters: passageParameters(setting, [lie]),
    write: (numbers) =>
      planOf(
        [
          ...enters(passage, numbers)(START.then).steps,
          step(
            'up',
            'neutral; ashore with the line, round the bollard',
            // Nobody leaves the helm of a boat that still moves.
            { is: 'any', of: [{ is: 'stopped' }, { is: 'sternway' }] },
            [
              engine('neutral'),
              call('out of gear; both hands for the rungs'),
              {
                do: 'pass',
                after_s: 1,
                line: CENTRE_LINE,
                to: lie.bollard,
                how: 'carry',
                by: who,
              },
              left(1),
            ],
            'stay aboard, short ahead and astern to hold the boat',
          ),
          step(
            'behind',
            'gates shut behind; hauled taut, on two turns',
            { is: 'line', line: CENTRE_LINE, state: 'on' },
            // Slack the boat would surge on to the gates as soon as the water comes.
            [gatesTo(lie, from, 'shut', crew), tended('haul', LEFT_ON_TURNS), left()],
            'back aboard, out while the gates are open',
            UP_WITHIN_S,
          ),
          step(
            'near',
            `${part}the near paddle, and back to the line`,
            heldIn(lie),
            [...wound(lie, crew, paddles, making.first), tended('keep', TURNS[going])],
            'paddles down, look what holds the boat',
            OPENED_WITHIN_S,
          ),
          ...(making.first < 1
            ? [
                step(
                  'more',
                  'half the head is gone: all of it, and back to the line',
                  { is: 'after', time_s: tenth(making.halfAt) },
                  [left(), ...wound(lie, crew, paddles, 1), tended('keep', TURNS[going])],
                  'paddles down, look what holds the boat',
                  OPENED_WITHIN_S,
                ),
              ]
            : []),
          step(
            'open',
            'level: on two turns; gates ahead, paddles down',
            level,
            [left(), ...opened(lie, crew, lie.wall), ...wound(lie, crew, paddles, 0)],
            'the gates stay shut, paddles down',
            OPENED_WITHIN_S,
          ),
          step(
            'off',
            'wide open: line off, back aboard',
            wide(lie),
            [letGo(CENTRE_LINE, 0, who), { do: 'stepAboard', after_s: 0, by: who, point: aft }],
            'line on again',
            BACK_WITHIN_S,
          ),
          step(
            'out',
            'line home, at the helm: dead slow out',
            back,
            [
              engine('ahead', numbers.slow),
              steer(compassOf(along - toWall * (numbers.angle ?? 0))),
            ],
            'neutral, fend off',
            BACK_WITHIN_S,
          ),
          straightOut(lie),
          ...clearOfIt(passed(lie)).steps,
        ],
        { is: 'after', time_s: tenth(Math.max(6, 0.8 * length)) },
        60,
        [
          {
            name: CENTRE_LINE,
            from: lie.cleat,
            length_m: Math.ceil(rope) + 6,
            rope: 'polyester',
            strengthLeft: 0.6,
            doubled: false,
          },
        ],
      ),
  });
}
