import {
  THRUSTER_LEANED_ON_S,
  THRUSTER_LEANED_ON_SHARE,
  THRUSTER_NEAR_CUTTING_OUT,
  THRUSTER_RUNS,
} from '../../policy';
import type { FaultRule } from './rule';

/** Thrusters did the work of engine and rudder. */
interface Figures {
  readonly seconds: number;
  readonly share: number;
  readonly heat: number;
}

/** Thrusters used for what engine and rudder are for. */
export const thrusterLeanedOn: FaultRule<'thruster leaned on', Figures> = {
  id: 'thruster leaned on',
  find({ trace, world, run }) {
    return world.craft.spec.thrusters.flatMap(({ heatTime }, i) => {
      const power = trace.thrusters[i];
      if (!power) return [];
      let seconds = 0;
      let heat = 0;
      let begins = -1;
      let ends = 0;
      for (let k = 1; k < power.length; k++) {
        const dt = trace.time[k]! - trace.time[k - 1]!;
        const runs = Math.abs(power[k]!);
        heat = Math.max(0, heat + (heatTime === Infinity ? 0 : (runs * runs * dt) / heatTime));
        if (runs < THRUSTER_RUNS) continue;
        seconds += dt;
        if (begins < 0) begins = trace.time[k]!;
        ends = trace.time[k]!;
      }
      const share = run.duration > 0 ? seconds / run.duration : 0;
      const leaned = seconds > THRUSTER_LEANED_ON_S && share > THRUSTER_LEANED_ON_SHARE;
      if (!leaned && heat < THRUSTER_NEAR_CUTTING_OUT) return [];
      const figures = { seconds, share, heat: Math.min(1, heat) };
      return [{ time: Math.max(0, begins), until: ends, figures }];
    });
  },
};
