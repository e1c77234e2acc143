import { runPlan, type Outcome, type RunInput, type Run } from '../plan';
import { MPS_PER_KNOT } from '../units';
import { NO_VARIATION, vary } from './vary';

/** The wind in which a manoeuvre as it is written no longer succeeds. */
export interface WindLimit {
  /** m/s from the direction there is; null if it fails as it is, or holds up to the strongest tried. */
  readonly wind: number | null;
  readonly holdsTo: number;
  /** What then goes wrong. */
  readonly outcome: Outcome | null;
  readonly touched: string | null;
}

const STEP_MPS = 2 * MPS_PER_KNOT;
const STRONGEST_MPS = 40 * MPS_PER_KNOT;
const FINE_MPS = 0.25 * MPS_PER_KNOT;

/** Did it end as it should, without a touch worse than firm? */
export function succeeded(run: Run): boolean {
  return run.outcome === 'reached';
}

/** Weather changes are shares of the mean wind; in a calm there is nothing to share, so it blows anew. */
function inWind(input: RunInput, wind: number): RunInput {
  const { windSpeed } = input.weather;
  if (windSpeed > 0) return vary(input, { ...NO_VARIATION, windTimes: wind / windSpeed });
  return { ...input, weather: { ...input.weather, windSpeed: wind } };
}

/**
 * Blows harder by two knots at a time until the run fails, then closes in on where it began to, to a quarter of a
 * knot. The first failing wind counts, though a stronger one may happen to go well. A generator: null after every
 * run, the limit at last.
 */
export function* seekWindLimit(input: RunInput): Generator<WindLimit | null, void> {
  const tries = (wind: number) => runPlan(inWind(input, wind));
  const present = input.weather.windSpeed;
  const asItIs = tries(present);
  if (!succeeded(asItIs)) {
    yield { wind: null, holdsTo: 0, ...failure(asItIs) };
    return;
  }
  let good = present;
  let bad = Infinity;
  let failed: Run | null = null;
  while (good < STRONGEST_MPS && bad - good > FINE_MPS) {
    const wind = bad < Infinity ? (good + bad) / 2 : good + STEP_MPS;
    const run = tries(wind);
    if (succeeded(run)) good = wind;
    else {
      bad = wind;
      failed = run;
    }
    yield null;
  }
  yield failed
    ? { wind: bad, holdsTo: good, ...failure(failed) }
    : { wind: null, holdsTo: good, outcome: null, touched: null };
}

export function windLimit(input: RunInput): WindLimit {
  let limit: WindLimit | null = null;
  for (const found of seekWindLimit(input)) limit = found;
  return limit!;
}

function failure(run: Run): { outcome: Outcome; touched: string | null } {
  const { touch } = run.margins;
  return {
    outcome: run.outcome,
    touched: run.outcome === 'hard touch' ? (touch?.name ?? null) : null,
  };
}
