import type { Margins } from '../monitors';
import { runPlan, type Outcome, type RunInput } from '../plan';
import { LOCK_WATER_SPREAD } from '../policy';
import { NO_VARIATION, vary } from '../search';

/** What becomes of a passage with the water of its locks pushing so many times what is reckoned. */
export interface LockWater {
  readonly times: number;
  readonly outcome: Outcome;
  readonly margins: Margins;
}

/** The whole run with the water of its locks at either end of what is known of it; none without locks. */
export function* lockWater(input: RunInput): Generator<LockWater> {
  if (!input.locks || input.locks.length === 0) return;
  for (const times of LOCK_WATER_SPREAD) {
    const { outcome, margins } = runPlan(vary(input, { ...NO_VARIATION, waterTimes: times }));
    yield { times, outcome, margins };
  }
}
