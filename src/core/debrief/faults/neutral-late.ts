import { overruns } from './stopping';
import type { FaultRule } from './types';

/** Driving on for so long with no room left to stop in is late, s: less is nobody's hand. Judgement. */
const LATE_S = 1;

/** Still in gear, the way she went, when neutral was due long since. */
export const neutralLate: FaultRule<'neutral late'> = {
  id: 'neutral late',
  find(review) {
    const all = overruns(review);
    return review.driving.flatMap(({ gear, from, to }) => {
      const during = all.filter(({ time, way }) => way === gear && time >= from && time <= to);
      const first = during[0];
      if (!first || to - first.time < LATE_S) return [];
      const figures = { late: to - first.time, room: first.room, needs: first.needs };
      return [{ rule: 'neutral late', time: first.time, until: to, figures }];
    });
  },
};
