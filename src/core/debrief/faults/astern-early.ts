import { BROUGHT_UP_MPS, STOPPED_SHORT_LENGTHS, UNDER_WAY_TO_BERTH_MPS } from '../../policy';
import { cos, sin } from '../../math';
import { alongAt, sampleAt } from '../context';
import type { FaultRule } from './rule';

/** Brought up short of where the boat was to lie, and driven on again. */
interface Figures {
  readonly short: number;
}

/** Astern before the boat was there: stopped short, and driven on again. */
export const asternEarly: FaultRule<'astern too early', Figures> = {
  id: 'astern too early',
  find({ driving, trace, input, world }) {
    const { goal } = input;
    if (goal.is !== 'lie') return [];
    const { length } = world.craft.spec.hull;
    const astern = driving.filter(({ gear }) => gear < 0);
    return astern.flatMap(({ engine, from, to }) => {
      if (alongAt(trace, sampleAt(trace, from)) < UNDER_WAY_TO_BERTH_MPS) return [];
      const again = driving.find(
        (next) => next.engine === engine && next.gear > 0 && next.from > to,
      );
      if (!again) return [];
      let i = sampleAt(trace, from);
      while (i < trace.time.length && alongAt(trace, i) > BROUGHT_UP_MPS) i += 1;
      if (i >= trace.time.length || trace.time[i]! > again.from) return [];
      // How far the mark still lies ahead of the point that is to lie there.
      const psi = trace.heading[i]!;
      const { mark, point } = goal;
      const east = mark.x - trace.x[i]!;
      const north = mark.y - trace.y[i]!;
      const short = east * sin(psi) + north * cos(psi) - point.x;
      if (short < Math.max(goal.within, STOPPED_SHORT_LENGTHS * length)) return [];
      return [{ time: from, until: trace.time[i]!, figures: { short } }];
    });
  },
};
