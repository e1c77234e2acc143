import { sin } from '../../math';
import {
  BOW_FELL_OFF,
  BOW_FELL_OFF_WITHIN_S,
  BOW_LOST_BELOW_MPS,
  RUDDER_SIDES_WITH,
} from '../../policy';
import { windAt } from '../../simulation';
import { sampleAt, waterSpeedAt } from '../context';
import type { FaultRule, Finding } from './rule';

/** The bow fell off down-wind against what was ordered. */
interface Figures {
  readonly fell: number;
  readonly seconds: number;
}

/** The boat's bow went down-wind, and what was ordered was the other way or nothing. */
export const lostTheBow: FaultRule<'lost the bow', Figures> = {
  id: 'lost the bow',
  find({ trace, world }) {
    const { time, heading, rudder } = trace;
    const wind = new Float64Array(2);
    const found: Finding<Figures>[] = [];
    for (let i = 0; i < time.length; i++) {
      if (found.length > 0 && time[i]! < found.at(-1)!.until) continue;
      windAt(wind, world.environment, time[i]!);
      if (wind[1]! < 1 || waterSpeedAt(trace, time[i]!) > BOW_LOST_BELOW_MPS) continue;
      // To starboard where the wind comes over the port side: down-wind is away from where it comes.
      const from = sin(wind[0]! - heading[i]!);
      const away = from > 0 ? -1 : 1;
      const end = sampleAt(trace, time[i]! + BOW_FELL_OFF_WITHIN_S);
      let k = i;
      while (k < end && away * (heading[k]! - heading[i]!) < BOW_FELL_OFF) {
        const meant = away * rudder[k]! > RUDDER_SIDES_WITH;
        if (meant || waterSpeedAt(trace, time[k]!) > BOW_LOST_BELOW_MPS) break;
        k += 1;
      }
      const fell = away * (heading[k]! - heading[i]!);
      if (fell < BOW_FELL_OFF || thrusters(trace, i, k, away)) continue;
      found.push({
        time: time[i]!,
        until: time[k]!,
        figures: { fell, seconds: time[k]! - time[i]! },
      });
    }
    return found;
  },
};

/** Did a thruster forward push the boat's bow that way? */
function thrusters(
  trace: Parameters<typeof lostTheBow.find>[0]['trace'],
  from: number,
  to: number,
  away: number,
): boolean {
  const power = trace.thrusters[0];
  if (!power) return false;
  let sum = 0;
  for (let i = from; i <= to; i++) sum += away * power[i]!;
  return sum > 1;
}
