import { runPlan, type Run } from '../../plan';
import { IS_A_TURN, TURNED_EARLY_LENGTHS, TURNED_EARLY_NEARER_M } from '../../policy';
import { type Trace } from '../../simulation';
import type { Review } from '../context';
import type { FaultRule } from './rule';

/** Way made over ground up to where the boat's heading has first left what it was by IS_A_TURN, m; null where it never does. */
function wayToTurn({ x, y, heading }: Trace): { way: number; at: number } | null {
  let way = 0;
  for (let i = 1; i < x.length; i++) {
    const dx = x[i]! - x[i - 1]!;
    const dy = y[i]! - y[i - 1]!;
    way += Math.sqrt(dx * dx + dy * dy);
    if (Math.abs(heading[i]! - heading[0]!) >= IS_A_TURN) return { way, at: i };
  }
  return null;
}

const sideOf = ({ heading }: Trace, at: number) => Math.sign(heading[at]! - heading[0]!);

const played = new WeakMap<Review, Run>();
function planned(review: Review): Run {
  const known = played.get(review) ?? runPlan(review.input);
  played.set(review, known);
  return known;
}

/** The turn was begun before the place the plan turns at. */
interface Figures {
  readonly early: number;
  readonly clearance: number;
  readonly unused: number;
}

/**
 * The turn begun before the place where the plan begins it, and the room that was left unused paid for with clearance.
 * Where the plan itself does not get there it teaches nothing, and nothing is said.
 */
export const turnedEarly: FaultRule<'turned early', Figures> = {
  id: 'turned early',
  find(review) {
    const { trace, run, world } = review;
    const plan = planned(review);
    if (plan.outcome !== 'reached') return [];
    const turn = wayToTurn(trace);
    const meant = wayToTurn(plan.trace);
    if (!turn || !meant || sideOf(trace, turn.at) !== sideOf(plan.trace, meant.at)) return [];
    const early = meant.way - turn.way;
    if (early < TURNED_EARLY_LENGTHS * world.craft.spec.hull.length) return [];
    const least = run.clearance?.distance ?? Infinity;
    const lost = (plan.clearance?.distance ?? Infinity) - least;
    if (!(lost >= TURNED_EARLY_NEARER_M)) return [];
    const time = trace.time[turn.at]!;
    const figures = { early, clearance: least, unused: lost };
    return [{ time, until: run.clearance?.time ?? time, figures }];
  },
};
