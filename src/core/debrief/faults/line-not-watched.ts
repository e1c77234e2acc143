import { LOADED_UNSEEN_S, WORKING_LOAD } from '../../policy';
import { lineLimits } from '../../simulation';
import { seenTo } from './seen-to';
import type { FaultRule, Finding } from './rule';

/** A line near its working load, and nobody saw to it. */
interface Figures {
  readonly line: number;
  readonly tension: number;
  readonly breaks: number;
  readonly seconds: number;
}

/** A line bar-tight, over the share of its breaking load it is to be worked at, and neither eased nor the engine taken off. */
export const lineNotWatched: FaultRule<'line not watched', Figures> = {
  id: 'line not watched',
  find({ trace, world, orders, input }) {
    const { time } = trace;
    const found: Finding<Figures>[] = [];
    (input.rigging?.lines ?? []).forEach((_, line) => {
      const tension = trace.lines[line]?.tension;
      if (!tension) return;
      const { breaks } = lineLimits(world, line);
      let from = -1;
      for (let i = 0; i <= tension.length; i++) {
        if (i < tension.length && tension[i]! > WORKING_LOAD * breaks) {
          if (from < 0) from = i;
          continue;
        }
        if (from < 0) continue;
        const [begins, ends] = [time[from]!, time[i - 1]!];
        const most = tension.subarray(from, i).reduce((a, b) => Math.max(a, b), 0);
        if (ends - begins >= LOADED_UNSEEN_S && !seenTo(orders, line, begins, LOADED_UNSEEN_S))
          found.push({
            time: begins,
            until: ends,
            figures: { line, tension: most, breaks, seconds: ends - begins },
          });
        from = -1;
      }
    });
    return found;
  },
};
