import { atan2, cos, sin } from '../math';
import { windAt, type Environment, type Trace } from '../simulation';

/**
 * The wind as it is felt aboard at a sample of a run: the wind at 10 m over the ground less the boat's own motion over it.
 *
 * @returns angle it comes from off the bow, rad to starboard, not wrapped; speed, m/s
 */
export function apparentWind(
  { time, x, y, heading }: Trace,
  i: number,
  environment: Environment,
): { readonly angle: number; readonly speed: number } {
  const wind = new Float64Array(2);
  windAt(wind, environment, time[i]!);
  const [from, blowing] = [wind[0]!, wind[1]!];
  const after = Math.min(i + 1, time.length - 1);
  const before = Math.max(0, i - 1);
  const dt = Math.max(1e-6, time[after]! - time[before]!);
  const east = blowing * sin(from) + (x[after]! - x[before]!) / dt;
  const north = blowing * cos(from) + (y[after]! - y[before]!) / dt;
  return {
    angle: atan2(east, north) - heading[i]!,
    speed: Math.sqrt(east * east + north * north),
  };
}
