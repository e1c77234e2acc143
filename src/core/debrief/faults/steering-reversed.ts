import {
  WHEEL_KEPT_OVER,
  WHEEL_KEPT_S,
  NEW_BEGINNING_S,
  STEERED_OTHERWISE_MPS,
} from '../../policy';
import { waterSpeedAt } from '../context';
import type { FaultRule } from './rule';

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
      if (!before || before.gear === now.gear || now.from - before.to > NEW_BEGINNING_S) return [];
      if (waterSpeedAt(trace, now.from) > STEERED_OTHERWISE_MPS) return [];
      const angle = meanAngle(trace, before.from, before.to);
      const kept = keptFor(trace, now.from, now.to, angle);
      if (Math.abs(angle) < WHEEL_KEPT_OVER || kept < WHEEL_KEPT_S) return [];
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
    if (time[i]! > to || rudder[i]! * Math.sign(angle) < WHEEL_KEPT_OVER) break;
    until = time[i]!;
  }
  return until - from;
}
