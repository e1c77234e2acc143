import { sin } from '../../math';
import { windAt } from '../../simulation';
import { sampleAt, waterSpeedAt } from '../context';
import type { FaultRule, Finding } from './rule';

/** The bow has fallen off so far within so long, with hardly any way on. Judgement. */
const FELL = (25 * Math.PI) / 180;
const WITHIN_S = 20;
const SLOW_MPS = 0.8;
/** Rudder that is ordered the other way, or not at all. */
const TOGETHER = (5 * Math.PI) / 180;

/** The bow fell off down-wind against what was ordered. */
interface Figures {
  readonly fell: number;
  readonly seconds: number;
}

/** Her bow went down-wind, and what was ordered was the other way or nothing. */
export const lostTheBow: FaultRule<'lost the bow', Figures> = {
  id: 'lost the bow',
  find({ trace, world }) {
    const { time, heading, rudder } = trace;
    const wind = new Float64Array(2);
    const found: Finding<Figures>[] = [];
    for (let i = 0; i < time.length; i++) {
      if (found.length > 0 && time[i]! < found.at(-1)!.until) continue;
      windAt(wind, world.environment, time[i]!);
      if (wind[1]! < 1 || waterSpeedAt(trace, time[i]!) > SLOW_MPS) continue;
      // To starboard where the wind comes over the port side: down-wind is away from where it comes.
      const from = sin(wind[0]! - heading[i]!);
      const away = from > 0 ? -1 : 1;
      const end = sampleAt(trace, time[i]! + WITHIN_S);
      let k = i;
      while (k < end && away * (heading[k]! - heading[i]!) < FELL) {
        const meant = away * rudder[k]! > TOGETHER;
        if (meant || waterSpeedAt(trace, time[k]!) > SLOW_MPS) break;
        k += 1;
      }
      const fell = away * (heading[k]! - heading[i]!);
      if (fell < FELL || thrusters(trace, i, k, away)) continue;
      found.push({
        time: time[i]!,
        until: time[k]!,
        figures: { fell, seconds: time[k]! - time[i]! },
      });
    }
    return found;
  },
};

/** Did a thruster forward push her bow that way? */
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
