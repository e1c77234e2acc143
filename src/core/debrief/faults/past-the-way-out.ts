import type { FaultRule } from './rule';

/** The last moment to break off went by, and it did not come right. */
interface Figures {
  readonly last: number;
}

/** There was a last moment to break off, it went by, and it came to harm. */
export const pastTheWayOut: FaultRule<'past the way out', Figures> = {
  id: 'past the way out',
  grave: true,
  find({ lastWayOut, run }) {
    if (!lastWayOut) return [];
    const harm = run.touches.find(({ grade, time }) => grade === 'hard' && time >= lastWayOut.time);
    if (!harm) return [];
    const figures = { last: lastWayOut.time };
    return [{ time: lastWayOut.time, until: harm.time, figures }];
  },
};
