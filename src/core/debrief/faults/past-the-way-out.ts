import type { FaultRule } from './types';

/** There was a last moment to break off, it went by, and it came to harm. */
export const pastTheWayOut: FaultRule<'past the way out'> = {
  id: 'past the way out',
  find({ lastWayOut, run }) {
    if (!lastWayOut) return [];
    const harm = run.touches.find(({ grade, time }) => grade === 'hard' && time >= lastWayOut.time);
    if (!harm) return [];
    const figures = { last: lastWayOut.time };
    return [{ rule: 'past the way out', time: lastWayOut.time, until: harm.time, figures }];
  },
};
