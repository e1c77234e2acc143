import { sampleAt, type Finding, type Rule } from './check';

/** Beats closer together than this come at once for a pair of hands, s. */
const AT_ONCE_S = 0.5;

export const beatsAtOnce: Rule = (input, take) =>
  take.beats.slice(1).flatMap((mark, i): Finding[] => {
    const apart = mark.time - take.beats[i]!.time;
    const idle = input.score.beats[mark.beat]!.orders.length === 0;
    if (apart >= AT_ONCE_S || idle) return [];
    return [
      {
        rule: 'beats at once',
        beat: mark.beat,
        time: mark.time,
        figure: apart,
        limit: AT_ONCE_S,
        which: null,
      },
    ];
  });

/** An order due this little after the next beat came is taken for the same moment, s. */
const SAME_S = 0.05;

/** What a beat orders so late that the next one comes first is never done: its orders replace what was still to come. */
export const orderOvertaken: Rule = (input, take) =>
  take.beats.flatMap((mark, i): Finding[] => {
    const ended = take.events.find((event) => event.is === 'end');
    const next = take.beats[i + 1]?.time ?? ended?.time;
    if (next === undefined) return [];
    const held = next - mark.time;
    const late = input.score.beats[mark.beat]!.orders.filter(({ after }) => after > held + SAME_S);
    if (late.length === 0) return [];
    const figure = Math.max(...late.map(({ after }) => after));
    return [
      { rule: 'order overtaken', beat: mark.beat, time: next, figure, limit: held, which: null },
    ];
  });

/** Nearer than this to something not her berth, the beat ought to say what if it goes wrong, m. */
const TIGHT_M = 1.5;

/** @param said for each beat whether its way out is said in words: they stand in the document, not in the run */
export const noWayOut =
  (said: readonly boolean[]): Rule =>
  (input, take) =>
    take.beats.flatMap((mark, i): Finding[] => {
      const beat = input.score.beats[mark.beat]!;
      if (said[mark.beat] || beat.wayOut.orders.length > 0) return [];
      const from = sampleAt(take, mark.time);
      const to = sampleAt(take, take.beats[i + 1]?.time ?? take.duration);
      let least = Infinity;
      let at = from;
      for (let k = from; k <= to; k++) {
        if (take.trace.clearance[k]! >= least) continue;
        least = take.trace.clearance[k]!;
        at = k;
      }
      if (least >= TIGHT_M) return [];
      return [
        {
          rule: 'no way out written',
          beat: mark.beat,
          time: take.trace.time[at]!,
          figure: Math.max(0, least),
          limit: TIGHT_M,
          which: null,
        },
      ];
    });
