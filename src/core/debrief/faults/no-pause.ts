import { LEAST_PAUSE_S } from '../../policy';
import type { FaultRule, Finding } from './rule';

/** Straight through neutral: the pause, and what the gearbox asks for. */
interface Figures {
  readonly pause: number;
  readonly wanted: number;
  readonly engine: number;
}

/** From ahead straight to astern, or back: the levers, not what the gearbox made of them. */
export const noPause: FaultRule<'no pause in neutral', Figures> = {
  id: 'no pause in neutral',
  find({ orders, world }) {
    const { drives } = world.craft.spec;
    const found: Finding<Figures>[] = [];
    drives.forEach((drive, engine) => {
      const wanted = Math.max(LEAST_PAUSE_S, drive.neutralPause);
      let driven = 0;
      let left = -Infinity;
      let gear = 0;
      for (const { time, order } of orders) {
        if (order.do !== 'engine' || (order.engine !== null && order.engine !== engine)) continue;
        if (order.gear === gear) continue;
        if (gear !== 0) {
          driven = gear;
          left = time;
        }
        const pause = time - left;
        if (order.gear !== 0 && order.gear === -driven && pause < wanted)
          found.push({
            time,
            until: time,
            figures: { pause, wanted, engine },
          });
        gear = order.gear;
      }
    });
    return found;
  },
};
