import { STERNWAY_GATHERED_MPS, HARD_ASTERN } from '../../policy';
import { alongAt, sampleAt } from '../context';
import type { FaultRule } from './rule';

/** More throttle astern than was wanted: the boat was stopped and gathered sternway. */
interface Figures {
  readonly throttle: number;
  readonly sternway: number;
}

/** Astern with so much throttle that the boat did not stop but went back. */
export const asternHard: FaultRule<'astern too hard', Figures> = {
  id: 'astern too hard',
  find({ driving, trace }) {
    return driving.flatMap(({ engine, gear, from, to }) => {
      if (gear > 0) return [];
      const begins = sampleAt(trace, from);
      const ends = sampleAt(trace, to);
      // Meant to stop the boat: it had way on ahead.
      if (alongAt(trace, begins) < STERNWAY_GATHERED_MPS) return [];
      const throttle = Math.max(...trace.engines[engine]!.throttle.subarray(begins, ends + 1));
      const sternway = -alongAt(trace, ends);
      if (throttle < HARD_ASTERN || sternway < STERNWAY_GATHERED_MPS) return [];
      const figures = { throttle, sternway };
      return [{ time: from, until: to, figures }];
    });
  },
};
