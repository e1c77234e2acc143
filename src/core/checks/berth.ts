import { cos, lineCrosses, sin, wrapHalfTurn } from '../math';
import { markAtStart, type PlanStep } from '../plan';
import { TURN_TO_GO, TURN_ORDERED, APPROACH_LENGTHS } from '../policy';
import { sampleAt, type Finding, type Rule } from './check';

/** Which way a step turns the boat, positive to starboard; nought where it does not. */
function turnOf({ orders }: PlanStep, heading: number): number {
  for (const { order } of orders) {
    if (order.do === 'wheel' && Math.abs(order.angle) > TURN_ORDERED) return order.angle;
    if (order.do === 'steer') {
      const by = wrapHalfTurn(order.heading - heading);
      if (Math.abs(by) > TURN_ORDERED) return by;
    }
  }
  return 0;
}

/** Turned towards the boat's berth going ahead while something else still stands between its bow and it. */
export const turnedTooSoon: Rule = (input, run) => {
  const { goal, obstacles, berth, boat } = input;
  if (goal.is !== 'lie' || berth.size === 0) return [];
  const bow = boat.hull.length / 2;
  const at = markAtStart(goal.mark, input);
  return run.steps.flatMap((mark): Finding[] => {
    const { heading, x, y, time } = mark;
    const left = wrapHalfTurn(goal.heading - heading);
    const turn = turnOf(input.plan.steps[mark.step]!, heading);
    const ahead = run.trace.surge[sampleAt(run, time)]! > 0.2;
    if (!ahead || Math.abs(left) < TURN_TO_GO || left * turn <= 0) return [];
    const bowX = x + bow * sin(heading);
    const bowY = y + bow * cos(heading);
    const east = at.x - bowX;
    const north = at.y - bowY;
    const far = Math.sqrt(east * east + north * north);
    if (far > APPROACH_LENGTHS * boat.hull.length) return [];
    const stands = obstacles.find(
      ({ id, outline }) =>
        outline !== null && !berth.has(id) && lineCrosses(outline, bowX, bowY, at.x, at.y),
    );
    if (!stands) return [];
    return [
      {
        rule: 'turned before it opens',
        step: mark.step,
        time,
        figure: far,
        limit: 0,
        which: stands.name,
      },
    ];
  });
};
