import type { Paddle } from '@/core/locks';
import { degrees } from '@/document/fields';
import { nameAboard } from '@/document/others';
import type { CueDocument, StepDocument } from '@/document/plan';
import { compassOf, engine, near, steer, step } from '../../template';
import { letGo } from '../line-leads';
import { CENTRE_LINE, type PassageLie } from './lie';
import { wound, type LockCrew } from './lock-crew';
import { BOTH_ENDS, leavesFirst } from './neighbour';
import type { PassageNumbers } from './numbers';
import type { Passage, Phase, PhaseAt } from './phase';

// Out by the gates ahead, after whoever goes first.

/** The line is aboard before the engine turns, s. */
const LINE_HOME_S = 8;

/** A neighbour that lies nearer to the gates ahead, or was in first, goes out before the boat; its water draws, so the line stays on. */
function lettingOut(lie: PassageLie, after: CueDocument): Phase {
  const { neighbour, along, sited, to } = lie;
  const leaves = neighbour?.outFirst ? leavesFirst(neighbour) : null;
  if (!neighbour || !leaves) return { steps: [], then: after };
  const { name } = neighbour.other;
  const lines = BOTH_ENDS.map((end) => letGo(`${name}'s ${end} line`, 0, undefined));
  return {
    then: {
      is: 'any',
      of: [
        {
          is: 'abeam',
          point: nameAboard(neighbour.other, 'stern'),
          mark: `${sited.name}, ${to} gates`,
        },
        // Held up on its way it is not waited for without end.
        { is: 'after', time_s: Math.min(600, 2 * leaves.seconds) },
      ],
    },
    steps: [
      step(
        'her-lines',
        `wide open: ${name} first, its lines off`,
        after,
        lines,
        'hold on; tell them to wait',
        300,
      ),
      step(
        'before',
        `${name} goes; it draws, so the line stays`,
        {
          is: 'all',
          of: BOTH_ENDS.map((end) => ({ is: 'line', line: `${name}'s ${end} line`, state: 'off' })),
        },
        [
          {
            do: 'other',
            after_s: 0,
            boat: name,
            gear: 'ahead',
            throttle: leaves.throttle,
            heading_deg: compassOf(degrees(along)),
          },
        ],
        'hold on; tell them to wait',
        60,
      ),
    ],
  };
}

/** The gates ahead stand open: the boat's line home, then dead slow on; paddles that must not stay up come down meanwhile. */
export function onwards(
  lie: PassageLie,
  hands: LockCrew,
  title: string,
  cue: CueDocument,
  slow: number,
  aside: number,
  down: readonly Paddle[] = [],
): StepDocument {
  const { along } = lie;
  return step(
    'out',
    title,
    cue,
    [
      letGo(CENTRE_LINE, 0, hands.aboard),
      engine('ahead', slow, LINE_HOME_S),
      steer(compassOf(degrees(along) + aside), LINE_HOME_S),
      ...wound(lie, hands, down, 0),
    ],
    'neutral, line on again',
    300,
  );
}

/** The boat's bow is between the gates: the middle line of the lock. */
export const straightOut = ({ sited, to, along }: PassageLie): StepDocument =>
  step(
    'straight',
    'bow between the gates: straight out',
    near('bow', `${sited.name}, ${to} gates`, 1.5),
    [steer(degrees(along))],
    'neutral',
  );

/** All of the boat is past the gates ahead. */
export const passed = ({ sited, to }: PassageLie): CueDocument => ({
  is: 'abeam',
  point: 'stern',
  mark: `${sited.name}, ${to} gates`,
});

/** Clear of the lock, with nobody to take up. */
export const clearOfIt: PhaseAt = (after) => ({
  steps: [
    step(
      'clear',
      'stern clear of the gates: neutral',
      after,
      [engine('neutral')],
      'astern, stop',
      240,
    ),
  ],
  then: after,
});

/** The line home, dead slow out and straight, after whoever goes first; the next phase begins as the gates are passed. */
export const leaves =
  ({ crew, lies }: Passage, { slow, angle = 0 }: PassageNumbers): PhaseAt =>
  (after) => {
    const lie = lies.at(-1)!;
    const first = lettingOut(lie, after);
    const toWall = lies[0]!.side === 'starboard' ? 1 : -1;
    const title =
      first.steps.length > 0
        ? `${lies[0]!.neighbour!.other.name} is through: line home, follow it`
        : 'wide open: line home, dead slow out';
    return {
      steps: [
        ...first.steps,
        onwards(lie, crew, title, first.then, slow, -toWall * angle),
        straightOut(lie),
      ],
      then: passed(lie),
    };
  };
