import { IN_GEAR_FOR_S, WAY_GAINED_MPS, WAY_MATTERS_WITHIN_LENGTHS } from '../../policy';
import { roomAlong } from '../../search';
import { alongAt, poseAt, sampleAt } from '../context';
import type { FaultRule } from './rule';

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
      if (end - start < IN_GEAR_FOR_S) return [];
      const gained =
        gear * (alongAt(trace, sampleAt(trace, end)) - alongAt(trace, sampleAt(trace, start)));
      if (gained < WAY_GAINED_MPS) return [];
      const near = WAY_MATTERS_WITHIN_LENGTHS * craft.spec.hull.length;
      const pose = poseAt(trace, sampleAt(trace, end));
      const room = roomAlong(craft, shore, berth, pose, gear, near).distance;
      if (room >= near) return [];
      const figures = { seconds: end - start, gained, room };
      return [{ time: start, until: end, figures }];
    });
  },
};
