import { runPlan, type RunInput, type Run } from '../plan';
import { vary, type Variation } from './vary';

/** One run of a grid of winds: where it comes from (rad), how hard it blows (m/s), and how it went. */
export interface GridCell {
  readonly direction: number;
  readonly speed: number;
  readonly run: Run;
}

/**
 * The manoeuvre in every wind of a grid, with whatever else is varied. A generator, so that it can be shown as it grows
 * and be stopped.
 *
 * @param directions the wind comes from, rad; `speeds` m/s; by rows of one speed
 */
export function* windGrid(
  input: RunInput,
  variation: Variation,
  directions: readonly number[],
  speeds: readonly number[],
): Generator<GridCell> {
  const varied = vary(input, { ...variation, windTimes: 1, windVeer: 0 });
  for (const speed of speeds) {
    for (const direction of directions) {
      const weather = { ...varied.weather, windFrom: direction, windSpeed: speed };
      yield { direction, speed, run: runPlan({ ...varied, weather }) };
    }
  }
}
