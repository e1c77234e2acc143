import { log } from '../math';
import { runPlan, type GoalCheck, type RunInput, type Run } from '../plan';
import {
  COST_OF_FAILING,
  COST_PER_STEP,
  LIES_AGAINST_M,
  COST_OF_LYING_AGAINST,
  WORKING_LOAD,
  COST_PER_LOAD,
  OTHER_WINDS,
  OTHER_WINDS_WEIGHT,
} from '../policy';
import { NO_VARIATION, vary } from './vary';
import { spareWanted } from './way-out';

/** Parts of a goal that are met or not, of which more is no better. */
const NOT_ENDS: ReadonlySet<GoalCheck['what']> = new Set(['clearance', 'lines', 'past']);

/** How far from its goal a run ended, as the sum of what it is over its limits. */
function missedBy(run: Run): number {
  return run.goal.reduce((sum, { found, limit, what, met }) => {
    if (met) return sum;
    // So far from being through, m.
    if (what === 'past') return sum + Math.min(9, -found);
    if (what === 'lines') return sum + found;
    // Clearance has to be over its limit, the rest under.
    const over = what === 'clearance' ? limit / Math.max(0.01, found) : found / limit;
    // Far off it still counts which is nearer.
    return sum + (over < 10 ? over - 1 : 9 + log(over / 10));
  }, 0);
}

/**
 * What a run is worth, less being better: first that it gets there without a hard touch, then room from what is not
 * the boat's berth, gentle touches, and ending where and as it should. Neither haste nor power is rewarded.
 */
export function cost(input: RunInput, run: Run): number {
  const { clearance, touch, fastest, line } = run.margins;
  const length = input.boat.hull.length;
  const near = clearance?.distance ?? Infinity;
  const touched = touch ? touch.speed : 0;
  let cost = 0;
  if (run.outcome !== 'reached') {
    const unborn = input.plan.steps.length - run.steps.length;
    cost += COST_OF_FAILING + COST_PER_STEP * (missedBy(run) + unborn);
    const { underKeel, overhead } = run.margins;
    cost += COST_PER_STEP * Math.max(0, -(underKeel?.depth ?? 0), -(overhead?.room ?? 0));
    if (run.outcome === 'hard touch') cost += COST_PER_STEP * (1 + 5 * touched);
  }
  // Lying against what is not the boat's berth is no way to do it, however softly.
  if (near < LIES_AGAINST_M) cost += COST_OF_LYING_AGAINST;
  // A line loaded beyond what it is meant to work at is on its way to parting.
  const load = line ? line.tension / line.breaks : 0;
  cost += COST_PER_LOAD * Math.max(0, load - WORKING_LOAD);
  const wanted = 2 * spareWanted(length);
  const ends = run.goal.reduce(
    (sum, { found, limit, what }) => sum + (NOT_ENDS.has(what) ? 0 : found / limit),
    0,
  );
  return (
    cost +
    4 * Math.max(0, 1 - near / wanted) -
    Math.min(1, near / length) +
    8 * touched +
    ends +
    fastest / Math.sqrt(9.81 * length)
  );
}

/**
 * Cost in the wind there is, and in a weaker and a stronger one: what only just works is not good.
 *
 * @param known how it runs in the wind there is, if it has been run to its end
 */
export function robustCost(input: RunInput, known: Run = runPlan(input)): number {
  const inWind = (windTimes: number) => {
    const varied = vary(input, { ...NO_VARIATION, windTimes });
    return cost(varied, runPlan(varied));
  };
  const now = cost(input, known);
  if (input.weather.windSpeed === 0) return now;
  return OTHER_WINDS.reduce((sum, times) => sum + OTHER_WINDS_WEIGHT * inWind(times), now);
}
