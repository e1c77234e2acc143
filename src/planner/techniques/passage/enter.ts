import { gatesOf, intoLock, IN_LOCK } from '@/core/locks';
import { degrees } from '@/document/fields';
import type { OrderDocument } from '@/document/plan';
import { call, engine, near, steer, step, wayOff } from '../../template';
import type { Setting } from '../../setting';
import { reversed } from '../arrive';
import { overAt } from './entry';
import { paddlesOf } from './lock-crew';
import { tendsToo } from './hold';
import { onwards } from './leave';
import { CENTRE_LINE, type PassageLie } from './lie';
import type { PassageNumbers } from './numbers';
import type { Passage, PhaseAt } from './phase';
import { WAITS_WITHIN_S } from './landing';

// In by the open gates, over to the wall or straight on, stopped; and on from one chamber of a staircase to the next.

/** On from one chamber to the next a boat carries its way so far before it is stopped. */
const CARRIES_LENGTHS = 0.3;

/** Room the boat wants beside it where it comes in, m. */
const BESIDE_M = 0.5;

/** On a straight course for the gates ahead, would the boat come by those before too near to a side? */
function comesFromAside({ input, beam }: Setting, { sited, from }: PassageLie): boolean {
  const { lock } = sited;
  const where = new Float64Array(2);
  intoLock(where, sited, input.start.x, input.start.y);
  const before = from === 'lower' ? where[IN_LOCK.S]! - lock.length : -where[IN_LOCK.S]!;
  const there = (Math.abs(where[IN_LOCK.T]!) * lock.length) / (lock.length + before);
  return there > (lock.width - beam) / 2 - BESIDE_M;
}

/** Dead slow in by the gates that stand open, along the wall in neutral, astern, stopped clear of cill and gates. */
export const enters =
  ({ setting, lies }: Passage, { slow, turned, stop, back }: PassageNumbers): PhaseAt =>
  (after) => {
    const lie = lies[0]!;
    const { sited, from, to, over, side, neighbour } = lie;
    const along = degrees(lie.along);
    const far = `${sited.name}, ${to} gates`;
    const entered = `${sited.name}, ${from} gates`;
    const open = gatesOf(sited.lock, from).kind === 'single' ? 'gate stands' : 'gates stand';
    const follows = neighbour?.comes && !neighbour.comes.first;
    // Past a boat that lies there it steers along the wall that is left from the start.
    const beside = neighbour !== null && !follows;
    const aside = comesFromAside(setting, lie);
    const between = (id: string, title: string, order: OrderDocument) =>
      step(
        id,
        `in by the gates: ${title}`,
        near('bow', entered, overAt(setting.length)),
        [order],
        'astern, stop between the walls',
      );
    const overToIt = between('over', 'over to the wall', {
      do: 'steerFor',
      after_s: 0,
      mark: lie.aim,
      first: 'bow',
    });
    const begun = after.is !== 'start';
    const steps = [
      step(
        'go',
        `the ${open} open: dead slow in${beside ? ` beside ${neighbour.other.name}` : ''}`,
        after,
        [
          call(`fenders ${over && !beside ? side : 'both sides'}, ${CENTRE_LINE} ready ${side}`),
          ...(follows ? [] : tendsToo(lie)),
          {
            do: 'steerFor',
            after_s: 0,
            mark: aside ? entered : beside ? lie.aim : far,
            first: 'bow',
          },
          engine('ahead', slow),
        ],
        'astern, back to the landing',
        begun ? WAITS_WITHIN_S : undefined,
      ),
      ...(over && (!beside || aside) ? [overToIt] : []),
      ...(!over && aside ? [between('between', 'straight on', steer(along))] : []),
      step(
        'way-off',
        over ? 'neutral, along the wall' : 'neutral, the boat carries',
        near('bow', over ? lie.aim : far, turned),
        [engine('neutral'), steer(along)],
        'astern, stop',
      ),
      stops(setting, lie, stop, back),
    ];
    return { steps, then: wayOff(25 + setting.pause) };
  };

/** Astern, so far off the gates ahead. */
const stops = (setting: Setting, { sited, to }: PassageLie, stop: number, back: number) =>
  step(
    'stop',
    'astern, stopped clear of the cill and the gates',
    near('bow', `${sited.name}, ${to} gates`, stop),
    reversed(setting, 'astern', back),
    'astern harder',
  );

/** On from one chamber of a staircase to the next, the line home first, the paddles down meanwhile; stopped there. */
export const goesOn =
  (
    { setting, crew }: Passage,
    from: PassageLie,
    chamber: PassageLie,
    { slow, nextStop, back }: PassageNumbers,
  ): PhaseAt =>
  (after) => {
    const { sited, to } = chamber;
    const carries = nextStop! + CARRIES_LENGTHS * setting.length;
    const title = 'wide open: line home, dead slow on';
    return {
      steps: [
        onwards(from, crew, title, after, slow, 0, paddlesOf(from)),
        step(
          'way-off',
          'neutral, along the wall',
          near('bow', `${sited.name}, ${to} gates`, carries),
          [engine('neutral'), steer(degrees(from.along))],
          'astern, stop',
        ),
        stops(setting, chamber, nextStop!, back),
      ],
      then: wayOff(25 + setting.pause),
    };
  };
