import { gatesOf, intoLock, IN_LOCK } from '@/core/locks';
import { degrees } from '@/document/fields';
import type { StepDocument, OrderDocument } from '@/document/plan';
import { hardest, reversed } from '../arrive';
import { step, call, tunable, engine, near, steer } from '../../template';
import { overAt } from './entry';
import type { PassageLie } from './lie';
import { WAITS_WITHIN_S, type Waits } from './waiting';
import type { Setting } from '../../setting';

// Her course through a lock: in by the open gates, over to the wall or straight on, stopped; and out by the others.

export const CENTRE_LINE = 'centre line';

/** Room she wants beside her where she comes in, m. */
const BESIDE_M = 0.5;

/** On a straight course for the gates ahead, would she come by those before too near to a side? */
function comesFromAside({ input, beam }: Setting, { sited, from }: PassageLie): boolean {
  const { lock } = sited;
  const where = new Float64Array(2);
  intoLock(where, sited, input.start.x, input.start.y);
  const before = from === 'lower' ? where[IN_LOCK.S]! - lock.length : -where[IN_LOCK.S]!;
  const there = (Math.abs(where[IN_LOCK.T]!) * lock.length) / (lock.length + before);
  return there > (lock.width - beam) / 2 - BESIDE_M;
}

/** What coming in goes by: what was done before, what else is ordered with it, how fast, and where she goes out of gear. */
export interface ComingIn {
  readonly waits: Waits | null;
  readonly orders: readonly OrderDocument[];
  readonly slow: number;
  readonly turned: number;
}

/** Dead slow in by the gates that stand open, until she carries her way along the wall. */
export function comesIn(
  setting: Setting,
  lie: PassageLie,
  { waits, orders, slow, turned }: ComingIn,
): StepDocument[] {
  const { sited, from, to, over, side, neighbour } = lie;
  const along = degrees(lie.along);
  const far = `${sited.name}, ${to} gates`;
  const entered = `${sited.name}, ${from} gates`;
  const open = gatesOf(sited.lock, from).kind === 'single' ? 'gate stands' : 'gates stand';
  const follows = neighbour?.comes && !neighbour.comes.first;
  // Past a boat that lies there she steers along the wall that is left from the start.
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
  return [
    step(
      'go',
      `the ${open} open: dead slow in${beside ? ` beside ${neighbour.other.name}` : ''}`,
      waits ? waits.cue : { is: 'start' },
      [
        call(`fenders ${over && !beside ? side : 'both sides'}, ${CENTRE_LINE} ready ${side}`),
        ...orders,
        {
          do: 'steerFor',
          after_s: 0,
          mark: aside ? entered : beside ? lie.aim : far,
          first: 'bow',
        },
        engine('ahead', slow),
      ],
      'astern, back to the landing',
      waits ? WAITS_WITHIN_S : undefined,
    ),
    ...(over && (!beside || aside) ? [overToIt] : []),
    ...(!over && aside ? [between('between', 'straight on', steer(along))] : []),
    step(
      'way-off',
      over ? 'neutral, along the wall' : 'neutral, she carries',
      near('bow', over ? lie.aim : far, turned),
      [engine('neutral'), steer(along)],
      'astern, stop',
    ),
  ];
}

/** Astern, so far off the gates ahead. */
export const stops = (
  setting: Setting,
  { sited, to }: PassageLie,
  stop: number,
  back: number,
): StepDocument =>
  step(
    'stop',
    'astern, stopped clear of the cill and the gates',
    near('bow', `${sited.name}, ${to} gates`, stop),
    reversed(setting, 'astern', back),
    'astern harder',
  );

/** Her bow is between the gates: the middle line of the lock. */
export const straightOut = ({ sited, to, along }: PassageLie): StepDocument =>
  step(
    'straight',
    'bow between the gates: straight out',
    near('bow', `${sited.name}, ${to} gates`, 1.5),
    [steer(degrees(along))],
    'neutral',
  );

/** All of her past them. */
export const clearOfIt = ({ sited, to }: PassageLie): StepDocument =>
  step(
    'clear',
    'stern clear of the gates: neutral',
    { is: 'abeam', point: 'stern', mark: `${sited.name}, ${to} gates` },
    [engine('neutral')],
    'astern, stop',
    240,
  );

/** Dead slow; where she goes out of gear and astern, and how hard; how far she is turned off the wall as she goes. */
export function passageParameters(setting: Setting, lies: readonly PassageLie[]) {
  const { length } = setting;
  const { over, ahead, sited } = lies[0]!;
  // Along the wall her bow passes what she steered for; measured to the far gates it does not matter.
  const room = sited.lock.length;
  const next = lies[1];
  return {
    // Dead slow, in and out.
    slow: tunable(0.03, 0.04, 0, 0.2),
    turned: over
      ? tunable(0.7 * length, 1.5, 3, 1.6 * length)
      : tunable(ahead + 0.6 * length, 2, ahead + 1, room),
    stop: tunable(ahead + 0.15 * length, 0.8, ahead, ahead + 0.8 * length),
    back: tunable(0.35, 0.08, 0.1, hardest(setting)),
    ...(over ? { angle: tunable(5, 2, -4, 14) } : {}),
    // From one chamber to the next she has less way on.
    ...(next
      ? { nextStop: tunable(next.ahead + 0.1 * length, 0.8, next.ahead, next.ahead + length) }
      : {}),
  };
}
