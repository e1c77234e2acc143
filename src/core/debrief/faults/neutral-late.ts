import { NEUTRAL_LATE_S } from '../../policy';
import { overruns } from './stopping';
import type { FaultRule } from './rule';

/** Still driving on when there was no room left to stop in. */
interface Figures {
  readonly late: number;
  readonly room: number;
  readonly needs: number;
}

/** Still in gear, the way the boat went, when neutral was due long since. */
export const neutralLate: FaultRule<'neutral late', Figures> = {
  id: 'neutral late',
  grave: true,
  find(review) {
    const all = overruns(review);
    return review.driving.flatMap(({ gear, from, to }) => {
      const during = all.filter(({ time, way }) => way === gear && time >= from && time <= to);
      const first = during[0];
      if (!first || to - first.time < NEUTRAL_LATE_S) return [];
      const figures = { late: to - first.time, room: first.room, needs: first.needs };
      return [{ time: first.time, until: to, figures }];
    });
  },
};
