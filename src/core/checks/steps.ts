import { STEPS_AT_ONCE_S, SAME_MOMENT_S, TIGHT_M } from '../policy';
import { sampleAt, type Finding, type Rule } from './check';

export const stepsAtOnce: Rule = (input, run) =>
  run.steps.slice(1).flatMap((mark, i): Finding[] => {
    const apart = mark.time - run.steps[i]!.time;
    const idle = input.plan.steps[mark.step]!.orders.length === 0;
    if (apart >= STEPS_AT_ONCE_S || idle) return [];
    return [
      {
        rule: 'steps at once',
        step: mark.step,
        time: mark.time,
        figure: apart,
        limit: STEPS_AT_ONCE_S,
        which: null,
      },
    ];
  });

/** What a step orders so late that the next one comes first is never done: its orders replace what was still to come. */
export const orderOvertaken: Rule = (input, run) =>
  run.steps.flatMap((mark, i): Finding[] => {
    const ended = run.events.find((event) => event.is === 'end');
    const next = run.steps[i + 1]?.time ?? ended?.time;
    if (next === undefined) return [];
    const held = next - mark.time;
    const late = input.plan.steps[mark.step]!.orders.filter(
      ({ after }) => after > held + SAME_MOMENT_S,
    );
    if (late.length === 0) return [];
    const figure = Math.max(...late.map(({ after }) => after));
    return [
      { rule: 'order overtaken', step: mark.step, time: next, figure, limit: held, which: null },
    ];
  });

/** @param said for each step whether its way out is said in words: they stand in the document, not in the run */
export const noWayOut =
  (said: readonly boolean[]): Rule =>
  (input, run) =>
    run.steps.flatMap((mark, i): Finding[] => {
      const step = input.plan.steps[mark.step]!;
      if (said[mark.step] || step.wayOut.orders.length > 0) return [];
      const from = sampleAt(run, mark.time);
      const to = sampleAt(run, run.steps[i + 1]?.time ?? run.duration);
      let least = Infinity;
      let at = from;
      for (let k = from; k <= to; k++) {
        if (run.trace.clearance[k]! >= least) continue;
        least = run.trace.clearance[k]!;
        at = k;
      }
      if (least >= TIGHT_M) return [];
      return [
        {
          rule: 'no way out written',
          step: mark.step,
          time: run.trace.time[at]!,
          figure: Math.max(0, least),
          limit: TIGHT_M,
          which: null,
        },
      ];
    });
