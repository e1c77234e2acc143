import type { FaultRule } from './rule';

/** Seconds at full power, and share of the run, beyond which a thruster is no backup any more. Judgement. */
const SECONDS = 20;
const SHARE = 0.25;
/** Or it came so near to cutting out. */
const HOT = 0.75;
const RUNS = 0.1;

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
        if (runs < RUNS) continue;
        seconds += dt;
        if (begins < 0) begins = trace.time[k]!;
        ends = trace.time[k]!;
      }
      const share = run.duration > 0 ? seconds / run.duration : 0;
      const leaned = seconds > SECONDS && share > SHARE;
      if (!leaned && heat < HOT) return [];
      const figures = { seconds, share, heat: Math.min(1, heat) };
      return [{ time: Math.max(0, begins), until: ends, figures }];
    });
  },
};
