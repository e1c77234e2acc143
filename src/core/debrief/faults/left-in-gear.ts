import { roomAlong } from '../../search';
import { alongAt, poseAt, sampleAt } from '../context';
import type { FaultRule } from './rule';

/** A gear in for so long with no order given is not a burst, s; and way gained that makes it matter, m/s. Judgement. */
const LONG_S = 10;
const GAINED_MPS = 0.3;
/** Room ahead that makes the way matter: so many of her lengths. */
const NEAR_LENGTHS = 4;

/** In gear with nothing done: so long, gaining so much way, with so much room ahead at its end. */
interface Figures {
  readonly seconds: number;
  readonly gained: number;
  readonly room: number;
}

/** In gear while the mind is elsewhere: nothing ordered, and way gathered towards something. */
export const leftInGear: FaultRule<'left in gear', Figures> = {
  id: 'left in gear',
  find({ driving, orders, trace, world, berth }) {
    const { craft, shore } = world;
    return driving.flatMap(({ gear, from, to }) => {
      // The longest time in it without an order.
      const moments = [
        from,
        ...orders.flatMap(({ time }) => (time > from && time < to ? [time] : [])),
        to,
      ];
      let start = from;
      let end = from;
      moments.forEach((moment, i) => {
        const before = moments[i - 1];
        if (before !== undefined && moment - before > end - start) {
          start = before;
          end = moment;
        }
      });
      if (end - start < LONG_S) return [];
      const gained =
        gear * (alongAt(trace, sampleAt(trace, end)) - alongAt(trace, sampleAt(trace, start)));
      if (gained < GAINED_MPS) return [];
      const near = NEAR_LENGTHS * craft.spec.hull.length;
      const pose = poseAt(trace, sampleAt(trace, end));
      const room = roomAlong(craft, shore, berth, pose, gear, near).distance;
      if (room >= near) return [];
      const figures = { seconds: end - start, gained, room };
      return [{ time: start, until: end, figures }];
    });
  },
};
