import { BIG_CRAFT_M, TURNS_ROUND_DEG } from '@/core/policy';
import type { Manoeuvre } from './manoeuvre';

/** What a manoeuvre is for. */
export type Job = 'arrive' | 'leave' | 'turn' | 'lines' | 'locks' | 'bigCraft';

const between = (a: number, b: number) => Math.abs(((((a - b) % 360) + 540) % 360) - 180);

/** Does a line do the work: is the engine run against one, or does the boat lie on lines from beginning to end? */
function worksOnLines({ plan, goal, berth, start }: Manoeuvre): boolean {
  const onSpring = plan.steps.some(({ orders }) => orders.some((order) => order.do === 'motorOn'));
  if (onSpring || goal.is !== 'lie' || plan.lines.length === 0) return onSpring;
  return berth.length === 0 || (start.speed_mps === 0 && plan.lines.some(({ fast }) => fast));
}

/** The job of a manoeuvre for a boat so long, m. */
export function jobOf(manoeuvre: Manoeuvre, length: number): Job {
  const { goal, locks, berth, start } = manoeuvre;
  if (locks.length > 0 || goal.is === 'through') return 'locks';
  if (length >= BIG_CRAFT_M) return 'bigCraft';
  if (worksOnLines(manoeuvre)) return 'lines';
  if (goal.is === 'clear') return 'leave';
  if (berth.length > 0) return 'arrive';
  // Where there is no berth the boat turns, or stays about where it is.
  return between(goal.heading_deg, start.heading_deg) >= TURNS_ROUND_DEG ? 'turn' : 'lines';
}
