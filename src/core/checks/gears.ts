import { type RunInput, type Run } from '../plan';
import {
  AGAINST_WAY_WITH_THROTTLE_MPS,
  AGAINST_WAY_AT_IDLE_MPS,
  THROTTLE_AGAINST_WAY,
  CLOSE_LENGTHS,
  MUCH_THROTTLE_CLOSE,
  MUCH_THROTTLE_FOR_S,
  THRUSTER_HOT,
  WHEEL_SETTLES_S,
  TAUT_N,
} from '../policy';
import {
  stepAt,
  engineName,
  gearOrders,
  oncePerStep,
  sampleAt,
  type Finding,
  type Rule,
} from './check';

const DEGREE = Math.PI / 180;

/** Off from where it is ordered by more than this the wheel is not there, rad. */
const WHEEL_OFF = 5 * DEGREE;

/** A helm that steers by itself has the wheel where it needs it. */
const STEERING: ReadonlySet<string> = new Set(['wheel', 'steer', 'steerFor']);

/** Steering is set before the gear: is the wheel there when the propeller begins to push? */
export const steeringLate: Rule = (input, run) => {
  const findings: Finding[] = [];
  input.boat.drives.forEach((drive, engine) => {
    let before = 0;
    for (const { time, step, gear } of gearOrders(run, engine)) {
      const engages = gear !== 0 && gear !== before;
      before = gear;
      if (!engages) continue;
      const takesHold = time + drive.shiftDelay;
      const wheel = run.events.findLast(
        (e) =>
          e.is === 'order' &&
          STEERING.has(e.order.do) &&
          (e.time <= takesHold + 1e-9 ||
            (e.step === step && e.time <= takesHold + WHEEL_SETTLES_S)),
      );
      if (wheel?.is !== 'order' || wheel.order.do !== 'wheel') continue;
      const limit = input.boat.rudders[0]?.limit ?? input.boat.steering.driveLimit;
      const wanted = Math.max(-limit, Math.min(limit, wheel.order.angle));
      const off = Math.abs(run.trace.rudder[sampleAt(run, takesHold)]! - wanted);
      if (off > WHEEL_OFF)
        findings.push({
          rule: 'steering late',
          step,
          time: takesHold,
          figure: off,
          limit: WHEEL_OFF,
          which: engineName(input, engine),
        });
    }
  });
  return oncePerStep(findings);
};

/** Ahead to astern, or back, wants a pause ordered in neutral as long as the gearbox asks for. */
export const noPause: Rule = (input, run) => {
  const findings: Finding[] = [];
  input.boat.drives.forEach((drive, engine) => {
    let driven = 0;
    let neutralFrom: number | null = null;
    for (const { time, step, gear } of gearOrders(run, engine)) {
      if (gear === 0) {
        neutralFrom ??= time;
        continue;
      }
      const pause = neutralFrom === null ? 0 : time - neutralFrom;
      if (driven === -gear && pause < drive.neutralPause - 1e-6)
        findings.push({
          rule: 'no pause in neutral',
          step,
          time,
          figure: pause,
          limit: drive.neutralPause,
          which: engineName(input, engine),
        });
      driven = gear;
      neutralFrom = null;
    }
  });
  return oncePerStep(findings);
};

export const againstWay: Rule = (input, run) => {
  const findings: Finding[] = [];
  input.boat.drives.forEach((drive, engine) => {
    let before = 0;
    for (const { time, step, gear, throttle } of gearOrders(run, engine)) {
      const engages = gear !== 0 && gear !== before;
      before = gear;
      if (!engages) continue;
      const way = -gear * run.trace.surge[sampleAt(run, time + drive.shiftDelay)]!;
      const limit =
        throttle > THROTTLE_AGAINST_WAY ? AGAINST_WAY_WITH_THROTTLE_MPS : AGAINST_WAY_AT_IDLE_MPS;
      if (way > limit)
        findings.push({
          rule: 'against her way',
          step,
          time,
          figure: way,
          limit,
          which: engineName(input, engine),
        });
    }
  });
  return oncePerStep(findings);
};

/** Does a line carry something as it ends, so that the boat is held by motoring on it? */
const onALine = ({ rigging }: RunInput, { trace }: Run): boolean =>
  (rigging?.lines ?? []).some((_, i) => (trace.lines[i]?.tension.at(-1) ?? 0) > TAUT_N);

/** Made fast or lying where the boat is to lie, an engine is still in gear: but for one that works against a line. */
export const leftInGear: Rule = (input, run) => {
  if (input.goal.is !== 'lie' || run.outcome !== 'reached' || onALine(input, run)) return [];
  return input.boat.drives.flatMap((_, engine) => {
    const gear = run.trace.engines[engine]!.gear.at(-1)!;
    if (gear === 0) return [];
    return [
      {
        rule: 'left in gear' as const,
        step: stepAt(run, run.duration),
        time: run.duration,
        figure: gear,
        limit: 0,
        which: engineName(input, engine),
      },
    ];
  });
};

export const muchThrottle: Rule = (input, run) => {
  const { time, clearance } = run.trace;
  const close = CLOSE_LENGTHS * input.boat.hull.length;
  const findings = input.boat.drives.flatMap((_, engine): Finding[] => {
    const { gear, throttle } = run.trace.engines[engine]!;
    let since: number | null = null;
    for (let i = 0; i < time.length; i++) {
      const hard = gear[i] !== 0 && throttle[i]! > MUCH_THROTTLE_CLOSE && clearance[i]! < close;
      since = hard ? (since ?? time[i]!) : null;
      if (since === null || time[i]! - since < MUCH_THROTTLE_FOR_S) continue;
      return [
        {
          rule: 'much throttle close in',
          step: stepAt(run, since),
          time: since,
          figure: throttle[i]!,
          limit: MUCH_THROTTLE_CLOSE,
          which: engineName(input, engine),
        },
      ];
    }
    return [];
  });
  return findings;
};

export const thrusterLong: Rule = (input, run) =>
  input.boat.thrusters.flatMap((spec, i): Finding[] => {
    const power = run.trace.thrusters[i];
    if (!power || spec.heatTime === Infinity) return [];
    const { time } = run.trace;
    let heat = 0;
    let on = 0;
    for (let k = 1; k < time.length; k++) {
      const dt = time[k]! - time[k - 1]!;
      const p2 = power[k]! * power[k]!;
      if (p2 > 0.0004) on += dt;
      // Warms with the square of its power and cools while it rests, as in the step.
      heat += dt * (p2 > 0.0004 ? p2 / spec.heatTime : -heat / spec.coolTime);
      if (heat < THRUSTER_HOT) continue;
      const at = time[k]!;
      return [
        {
          rule: 'thruster long on',
          step: stepAt(run, at),
          time: at,
          figure: on,
          limit: spec.heatTime,
          which: spec.name,
        },
      ];
    }
    return [];
  });
