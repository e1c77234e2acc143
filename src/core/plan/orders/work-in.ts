import { outlookFor, Worker, workBy, type Aim, type Manner } from '../../look-ahead';
import { SHIFTS_LATE_S } from '../../policy';
import type { SimState, World } from '../../simulation';
import { markNow } from '../marks';
import { alike, helmOrder, type ByEye } from './definition';
import { LIE_PARAMETERS } from './lie-parameters';

/** Has the boat worked to where somebody is told, by what they see of it. */
export function workTo(
  state: SimState,
  world: World,
  aim: Aim,
  { thrusters, idle, most }: Pick<Manner, 'thrusters' | 'idle' | 'most'>,
  eye: ByEye,
): void {
  const told = world.told!;
  const outlook = outlookFor(told, world.shore, aim, {
    thrusters,
    ...(idle ? { idle } : {}),
    most,
    late: SHIFTS_LATE_S,
  });
  const { eye: distance = 1, angle = 0, fast: speed = 0, late = SHIFTS_LATE_S } = eye;
  workBy(state, new Worker(outlook, { eye: distance, angle, speed, late }));
}

/** The boat is worked by short bursts ahead and astern until a point of it lies by a mark, on a heading. */
export const workIn = helmOrder('workIn', {
  parameters: {
    ...LIE_PARAMETERS,
    /** Way to have at the most. */
    most: { kind: 'speed', least: 0.2, most: 3, fallback: 1 },
    /** Thrusters as well. */
    thrusters: { kind: 'flag', fallback: false },
    /** By the gears alone, the throttle never over idle. */
    idle: { kind: 'flag', fallback: false },
  },
  needs: 'engine',
  watches: true,
  channel: () => ({ of: 'engine', engine: null }),
  unlike: alike,
  apply(
    { point, mark, within, heading, headingWithin, most, thrusters, idle, ...eye },
    state,
    world,
  ) {
    const { x, y } = markNow(state, mark);
    const place = { x: point.x, y: point.y };
    const aim = {
      is: 'lie',
      point: place,
      mark: { x, y },
      within,
      heading,
      headingWithin,
    } as const;
    workTo(state, world, aim, { thrusters, idle, most }, eye);
  },
});
