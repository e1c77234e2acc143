import {
  WHEEL_FOLLOWS_WITHIN_S,
  WHEEL_AT_ONCE_S,
  WHEEL_WANTED,
  STEERS_BY_WAY_MPS,
} from '../../policy';
import { waterSpeedAt, ordersOf } from '../context';
import type { FaultRule } from './rule';

/** The gear was in, and only then the wheel was turned: so much later, so far. */
interface Figures {
  readonly late: number;
  readonly turned: number;
}

/** Gear engaged, and only then the wheel turned: the burst has gone the wrong way by then. */
export const gearBeforeSteering: FaultRule<'gear before steering', Figures> = {
  id: 'gear before steering',
  find(review) {
    const wheels = ordersOf(review, 'wheel');
    return ordersOf(review, 'engine').flatMap(({ time, order }) => {
      if (order.gear === 0) return [];
      const before = ordersOf(review, 'engine').findLast((other) => other.time < time - 1e-6);
      // Only a gear that goes in, not throttle given in it.
      if (before && before.order.gear === order.gear) return [];
      if (waterSpeedAt(review.trace, time) > STEERS_BY_WAY_MPS) return [];
      const was =
        wheels.findLast((wheel) => wheel.time <= time + WHEEL_AT_ONCE_S)?.order.angle ?? 0;
      const later = wheels.filter(
        (wheel) =>
          wheel.time > time + WHEEL_AT_ONCE_S && wheel.time <= time + WHEEL_FOLLOWS_WITHIN_S,
      );
      const last = later.at(-1);
      if (!last) return [];
      const turned = Math.abs(last.order.angle - was);
      if (turned < WHEEL_WANTED || Math.abs(last.order.angle) < WHEEL_WANTED) return [];
      const figures = { late: later[0]!.time - time, turned };
      return [{ time, until: last.time, figures }];
    });
  },
};
