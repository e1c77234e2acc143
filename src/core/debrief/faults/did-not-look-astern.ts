import { nameOfThing } from '../../monitors';
import { TOUCHED_ASTERN_WITHIN_S } from '../../policy';
import { roomAlong } from '../../search';
import { poseAt, sampleAt } from '../context';
import type { FaultRule } from './rule';

const AFT = /stern|quarter/;

/** Went astern with something close behind, and touched it. */
interface Figures {
  readonly room: number;
  readonly what: string;
}

/** Something within the boat's own length right astern as the gear went in, and it was touched. */
export const didNotLookAstern: FaultRule<'did not look astern', Figures> = {
  id: 'did not look astern',
  grave: true,
  find({ driving, run, trace, world }) {
    const { craft, shore } = world;
    return driving.flatMap(({ gear, from, to }) => {
      if (gear > 0) return [];
      const touch = run.touches.find(
        ({ time, part, grade }) =>
          AFT.test(part) &&
          grade !== 'soft' &&
          time >= from &&
          time <= to + TOUCHED_ASTERN_WITHIN_S,
      );
      if (!touch) return [];
      const pose = poseAt(trace, sampleAt(trace, from));
      const most = craft.spec.hull.length;
      const { distance: room, obstacle } = roomAlong(craft, shore, new Set(), pose, -1, most);
      if (obstacle !== touch.obstacle) return [];
      const figures = { room, what: nameOfThing(world, obstacle) ?? touch.name };
      return [{ time: from, until: touch.time, figures }];
    });
  },
};
