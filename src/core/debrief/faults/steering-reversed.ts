import { waterSpeedAt } from '../context';
import type { FaultRule } from './rule';

/** Wheel that matters, and how long it is kept after the gear has changed before it is a fault. Judgement. */
const ANGLE = (12 * Math.PI) / 180;
const KEPT_S = 2;
/** Neutral longer than this between is a new beginning, s. */
const BETWEEN_S = 6;
/** With more way than this she is steered otherwise, m/s. */
const SLOW_MPS = 1.5;

/** The thrust was turned round with the gear, the wheel was not. */
interface Figures {
  readonly angle: number;
  readonly seconds: number;
}

/** Outboards and outdrives push where they point: with the gear turned round, so must the wheel be. */
export const steeringReversed: FaultRule<'steering not reversed', Figures> = {
  id: 'steering not reversed',
  find({ driving, trace, world }) {
    const { drives } = world.craft.spec;
    return driving.flatMap((now, k) => {
      if (drives[now.engine]!.steering === 'fixed') return [];
      const before = driving.slice(0, k).findLast(({ engine }) => engine === now.engine);
      if (!before || before.gear === now.gear || now.from - before.to > BETWEEN_S) return [];
      if (waterSpeedAt(trace, now.from) > SLOW_MPS) return [];
      const angle = meanAngle(trace, before.from, before.to);
      const kept = keptFor(trace, now.from, now.to, angle);
      if (Math.abs(angle) < ANGLE || kept < KEPT_S) return [];
      const figures = { angle, seconds: kept };
      return [{ time: now.from, until: now.from + kept, figures }];
    });
  },
};

type Columns = Pick<Parameters<typeof steeringReversed.find>[0]['trace'], 'time' | 'rudder'>;

function meanAngle({ time, rudder }: Columns, from: number, to: number): number {
  let sum = 0;
  let count = 0;
  time.forEach((t, i) => {
    if (t < from || t > to) return;
    sum += rudder[i]!;
    count += 1;
  });
  return count > 0 ? sum / count : 0;
}

/** How long the wheel stays over to the side it was. */
function keptFor({ time, rudder }: Columns, from: number, to: number, angle: number): number {
  let until = from;
  for (let i = 0; i < time.length; i++) {
    if (time[i]! < from) continue;
    if (time[i]! > to || rudder[i]! * Math.sign(angle) < ANGLE) break;
    until = time[i]!;
  }
  return until - from;
}
