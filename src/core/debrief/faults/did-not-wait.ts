import { HARDLY_MOVING_MPS, ROOM_FOR_TRAFFIC_M } from '../../policy';
import { isUnderWay, trafficGap } from '../../drive';
import { poseAt } from '../context';
import type { FaultRule } from './rule';

const EVERY = 2;

/** Close by somebody under way with way on. */
interface Figures {
  readonly what: string;
  readonly gap: number;
  readonly speed: number;
}

/** Somebody was under way in the boat's way, and it went on close by them instead of stopping to let them pass. */
export const didNotWait: FaultRule<'did not wait', Figures> = {
  id: 'did not wait',
  grave: true,
  find({ traffic, trace, world }) {
    const { deck } = world.craft.spec.hull;
    return traffic.flatMap((one) => {
      let worst: { gap: number; speed: number; time: number } | null = null;
      let until = 0;
      for (let i = 0; i < trace.time.length; i += EVERY) {
        const time = trace.time[i]!;
        const speed = trace.groundSpeed[i]!;
        if (!isUnderWay(one, time) || speed < HARDLY_MOVING_MPS) continue;
        const gap = trafficGap(one, time, deck, poseAt(trace, i));
        if (gap > ROOM_FOR_TRAFFIC_M[one.kind]) continue;
        until = time;
        if (!worst || gap < worst.gap) worst = { gap, speed, time };
      }
      if (!worst) return [];
      const figures = { what: one.name, gap: Math.max(0, worst.gap), speed: worst.speed };
      return [{ time: worst.time, until, figures }];
    });
  },
};
