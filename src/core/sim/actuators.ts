import type { Craft, Shaft } from '../craft';
import { cos, exp, sin } from '../math';
import type { EngineState, Gear, SimState } from './state';

/** Lever moved to a gear, throttle 0…1 apart from it. */
export function orderEngine(engine: EngineState, shaft: Shaft, gear: Gear, throttle: number): void {
  engine.throttle = throttle;
  if (gear === engine.orderedGear) return;
  engine.orderedGear = gear;
  if (engine.engaged !== 0) {
    engine.lastDriven = engine.engaged;
    engine.sinceDriven = 0;
    engine.engaged = 0;
  }
  if (gear === 0) {
    engine.engagesIn = Infinity;
    return;
  }
  const reversing = engine.lastDriven === -gear;
  const pause = reversing ? shaft.neutralPause - engine.sinceDriven : 0;
  engine.engagesIn = Math.max(shaft.shiftDelay, pause);
}

/** Wheel or tiller ordered to a rudder angle, held to the rudders' limit. */
export function orderRudder(state: SimState, craft: Craft, angle: number): void {
  const limit = craft.rudders.reduce((least, rudder) => Math.min(least, rudder.limit), Infinity);
  state.rudderOrdered = Math.max(-limit, Math.min(limit, angle));
}

/** Seconds until an actuator does something sudden: a clutch takes hold, the wheel arrives. */
export function timeToActuatorEvent(state: SimState, craft: Craft): number {
  let least = Math.abs(state.rudderOrdered - state.rudder) / craft.spec.steering.rate;
  if (least === 0) least = Infinity;
  for (let i = 0; i < state.engines.length; i++) {
    const { engagesIn } = state.engines[i]!;
    if (engagesIn < least) least = engagesIn;
  }
  return least;
}

/** Actuators at the start, middle and end of a step. */
export interface ActuatorStages {
  readonly sin: Float64Array;
  readonly cos: Float64Array;
  /** rps of shaft i at stage k stands at 3 i + k. */
  readonly rps: Float64Array;
}

export function actuatorStages(shafts: number): ActuatorStages {
  return {
    sin: new Float64Array(3),
    cos: new Float64Array(3),
    rps: new Float64Array(3 * shafts),
  };
}

function targetRps(engine: EngineState, shaft: Shaft): number {
  return engine.engaged * (shaft.idleRps + engine.throttle * (shaft.fullRps - shaft.idleRps));
}

// The clutch lets the shaft run down faster than the engine runs up.
const RUN_DOWN_SHARE = 0.5;

/**
 * Carries wheel and engines over `dt` seconds, exactly: the wheel at its rate, revolutions
 * exponentially towards their target. Writes the stages the step needs. `dt` must not reach past
 * the next actuator event.
 */
export function advanceActuators(
  stages: ActuatorStages,
  state: SimState,
  craft: Craft,
  dt: number,
): void {
  const from = state.rudder;
  const reach = craft.spec.steering.rate * dt;
  const way = state.rudderOrdered - from;
  const turned = Math.abs(way) <= reach + 1e-12 ? way : way > 0 ? reach : -reach;
  state.rudder = turned === way ? state.rudderOrdered : from + turned;
  for (let k = 0; k < 3; k++) {
    const angle = from + (turned * k) / 2;
    stages.sin[k] = sin(angle);
    stages.cos[k] = cos(angle);
  }
  for (let i = 0; i < state.engines.length; i++) {
    const engine = state.engines[i]!;
    const shaft = craft.shafts[i]!;
    const target = targetRps(engine, shaft);
    const constant = engine.engaged === 0 ? shaft.response * RUN_DOWN_SHARE : shaft.response;
    const half = constant > 0 ? exp(-dt / (2 * constant)) : 0;
    const gap = engine.rps - target;
    stages.rps[3 * i] = engine.rps;
    stages.rps[3 * i + 1] = target + gap * half;
    engine.rps = target + gap * half * half;
    stages.rps[3 * i + 2] = engine.rps;
    engine.sinceDriven += dt;
    engine.engagesIn -= dt;
    if (engine.engagesIn <= 1e-12) {
      engine.engagesIn = Infinity;
      engine.engaged = engine.orderedGear;
    }
  }
}
