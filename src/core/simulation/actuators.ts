import { zeroThrustAdvance, type Craft, type DriveSpec, type ThrusterSpec } from '../boat';
import { FLOW, FLOW_COLUMNS } from '../forces';
import { exp, log, sineCosine, TURN, TURN_COLUMNS } from '../math';
import type { EngineState, Gear, SimState, ThrusterState } from './state';

/** Lever moved to a gear, throttle 0…1 apart from it. */
export function orderEngine(
  engine: EngineState,
  drive: DriveSpec,
  gear: Gear,
  throttle: number,
): void {
  engine.throttle = throttle;
  if (gear === engine.orderedGear) return;
  engine.orderedGear = gear;
  if (engine.engaged !== 0) {
    engine.lastDriven = engine.engaged;
    engine.sinceDriven = 0;
    engine.engaged = 0;
  }
  if (gear === 0 || gear === engine.refuses) {
    engine.engagesIn = Infinity;
    return;
  }
  const reversing = engine.lastDriven === -gear;
  const pause = reversing ? drive.neutralPause - engine.sinceDriven : 0;
  engine.engagesIn = Math.max(drive.shiftDelay, pause);
}

/** Wheel or tiller ordered to an angle; every channel follows, each held to its own limit. */
export function orderRudder(state: SimState, craft: Craft, angle: number): void {
  for (let c = 0; c < craft.channels; c++) {
    const limit = craft.limits[c]!;
    state.ordered[c] = Math.max(-limit, Math.min(limit, angle));
  }
}

export function orderThruster(thruster: ThrusterState, spec: ThrusterSpec, power: number): void {
  const held = Math.max(-1, Math.min(1, power));
  // A switch has no half way.
  const switched = held > 0.5 ? 1 : held < -0.5 ? -1 : 0;
  thruster.ordered = spec.control === 'on-off' ? switched : held;
}

/** A thruster that has cut out comes back when it has cooled to this. */
const COOL_AGAIN = 0.6;
/** One that turns with less of its power than this has stopped. */
const STILL = 0.02;
/** A sudden thing nearer than this has come, s. */
const COME_S = 1e-9;

/** Seconds until a thruster does something sudden by itself: may turn the other way, has run down, is hot or cool enough. */
function timeToThrusterEvent(thruster: ThrusterState, spec: ThrusterSpec): number {
  const wait = reverseWait(thruster, spec);
  let least = wait > 0 ? wait : Infinity;
  const size = Math.abs(thruster.power);
  const target = wait > 0 || thruster.cut ? 0 : Math.abs(thruster.ordered);
  if (target === 0 && size > STILL && spec.response > 0) {
    const down = spec.response * log(size / STILL);
    if (down > COME_S && down < least) least = down;
  }
  if (spec.heatTime === Infinity) return least;
  // No sooner than this: it warms by the square of its power.
  const most = Math.max(size, target);
  const hot = most > 0 ? ((1 - thruster.heat) * spec.heatTime) / (most * most) : Infinity;
  if (!thruster.cut && hot > COME_S && hot < least) least = hot;
  if (thruster.cut && size <= STILL * (1 + COME_S) && thruster.heat > COOL_AGAIN) {
    const cool = spec.coolTime * log(thruster.heat / COOL_AGAIN);
    if (cool > COME_S && cool < least) least = cool;
  }
  return least;
}

/** Seconds until an actuator does something sudden: a clutch takes hold, a wheel arrives, a thruster turns, stops or cuts out. */
export function timeToActuatorEvent(state: SimState, craft: Craft): number {
  let least = Infinity;
  const { rate } = craft.spec.steering;
  for (let c = 0; c < craft.channels; c++) {
    const way = Math.abs(state.ordered[c]! - state.angles[c]!);
    if (way > 0 && way < least * rate) least = way / rate;
  }
  for (let i = 0; i < state.engines.length; i++) {
    const { engagesIn } = state.engines[i]!;
    if (engagesIn < least) least = engagesIn;
  }
  for (let i = 0; i < state.thrusters.length; i++) {
    const next = timeToThrusterEvent(state.thrusters[i]!, craft.spec.thrusters[i]!);
    if (next < least) least = next;
  }
  return least;
}

/** Actuators at the start, middle and end of a step. */
export interface ActuatorStages {
  /** Sine and cosine of channel c at stage k stand at 3 c + k. */
  readonly sin: Float64Array;
  readonly cos: Float64Array;
  /** Angles the three stages of a channel were last worked out for, rad. */
  readonly known: Float64Array;
  /** rps of drive i at stage k stands at 3 i + k; thruster power likewise. */
  readonly rps: Float64Array;
  readonly power: Float64Array;
  /** Columns TURN. */
  readonly pair: Float64Array;
  /** Whether what they do changes in a straight line, or nearly, from the first to the last. */
  straight: boolean;
  /** Seconds to carry them over. */
  readonly span: Float64Array;
  /** Per engine: an exponent and e to it, worked out anew only when it changes. */
  readonly decay: Float64Array;
}

export function actuatorStages(craft: Craft): ActuatorStages {
  const { channels } = craft;
  return {
    sin: new Float64Array(3 * channels),
    cos: new Float64Array(3 * channels).fill(1),
    known: new Float64Array(2 * channels),
    rps: new Float64Array(3 * craft.spec.drives.length),
    power: new Float64Array(3 * craft.spec.thrusters.length),
    pair: new Float64Array(TURN_COLUMNS),
    straight: true,
    span: new Float64Array(1),
    decay: new Float64Array(2 * craft.spec.drives.length).fill(NaN),
  };
}

/** Share of an advance ratio's fall that torque follows: it falls slower than thrust does. */
const TORQUE_FALL = 0.7;

/**
 * Most revolutions the engine's torque can turn with that inflow, 1/s. Torque goes as
 * n² (1 − 0.7 J/J₀), so n² − 0.7 n Va/(D J₀) = n_b², n_b the most from rest. ±15 %.
 */
function torqueLimit(drive: DriveSpec, inflow: number): number {
  const along = Math.max(0, inflow);
  const half = (TORQUE_FALL * along) / (2 * drive.diameter * zeroThrustAdvance(drive));
  return half + Math.sqrt(half * half + drive.bollardRps * drive.bollardRps);
}

function targetRps(engine: EngineState, drive: DriveSpec, inflow: number): number {
  if (engine.engaged === 0) return 0;
  const ordered = drive.idleRps + engine.throttle * (drive.fullRps - drive.idleRps);
  if (drive.bollardRps === Infinity) return engine.engaged * ordered;
  const limit = Math.max(drive.idleRps, torqueLimit(drive, engine.engaged * inflow));
  return engine.engaged * Math.min(ordered, limit);
}

/** e to an exponent that seldom changes. */
function decayed(decay: Float64Array, i: number, exponent: number): number {
  if (decay[2 * i] !== exponent) {
    decay[2 * i] = exponent;
    decay[2 * i + 1] = exp(exponent);
  }
  return decay[2 * i + 1]!;
}

const SETTLED_RPS = 1e-9;

/** Share of the most by which what an actuator does may leave a straight line within a piece of a step and count as straight. */
const BEND_SHARE = 1e-3;

/** Do the three values from `at` on leave a straight line by more than that? */
function bends(values: Float64Array, at: number, most: number): boolean {
  return Math.abs(values[at]! - 2 * values[at + 1]! + values[at + 2]!) > most;
}

// The clutch lets the shaft run down faster than the engine runs up.
export const RUN_DOWN_SHARE = 0.5;

/** Seconds a thruster must still wait before running the way ordered; 0 for none. */
function reverseWait(thruster: ThrusterState, spec: ThrusterSpec): number {
  if (thruster.ordered === 0 || thruster.lastWay * thruster.ordered >= 0) return 0;
  return Math.max(0, spec.reverseDelay - thruster.sinceRun);
}

/** Seconds of full power that a run-up or run-down warms like: the integral of the power's square. */
function warmth(target: number, gap: number, left: number, dt: number, response: number): number {
  return (
    target * target * dt +
    response * gap * (2 * target * (1 - left) + (gap / 2) * (1 - left * left))
  );
}

function advanceThruster(
  stages: ActuatorStages,
  i: number,
  thruster: ThrusterState,
  spec: ThrusterSpec,
): void {
  const dt = stages.span[0]!;
  const waits = reverseWait(thruster, spec) > 1e-12;
  const target = waits || thruster.cut ? 0 : thruster.ordered;
  if (target === 0 && thruster.power === 0 && thruster.heat === 0) {
    thruster.sinceRun += dt;
    stages.power[3 * i] = stages.power[3 * i + 1] = stages.power[3 * i + 2] = 0;
    return;
  }
  const half = spec.response > 0 ? exp(-dt / (2 * spec.response)) : 0;
  const gap = thruster.power - target;
  const before = thruster.power;
  stages.power[3 * i] = before;
  stages.power[3 * i + 1] = target + gap * half;
  thruster.power = target + gap * half * half;
  if (target === 0 && Math.abs(thruster.power) < 1e-6) thruster.power = 0;
  stages.power[3 * i + 2] = thruster.power;
  if (bends(stages.power, 3 * i, BEND_SHARE)) stages.straight = false;
  if (Math.abs(before) > STILL * (1 + COME_S)) {
    thruster.lastWay = before > 0 ? 1 : -1;
    thruster.sinceRun = 0;
  } else thruster.sinceRun += dt;
  const stopped = Math.abs(before) <= STILL * (1 + COME_S) && target === 0;
  if (stopped) thruster.heat *= exp(-dt / spec.coolTime);
  else if (spec.heatTime < Infinity)
    thruster.heat += warmth(target, gap, half * half, dt, spec.response) / spec.heatTime;
  if (thruster.heat < 1e-9) thruster.heat = 0;
  if (thruster.heat >= 1 - COME_S) {
    thruster.heat = 1;
    thruster.cut = true;
  } else if (thruster.heat <= COOL_AGAIN + COME_S) thruster.cut = false;
}

function advanceChannel(stages: ActuatorStages, state: SimState, c: number, rate: number): void {
  const dt = stages.span[0]!;
  const from = state.angles[c]!;
  const way = state.ordered[c]! - from;
  if (way === 0 && stages.known[2 * c] === from && stages.known[2 * c + 1] === from) return;

  const reach = rate * dt;
  const turned = Math.abs(way) <= reach + 1e-12 ? way : way > 0 ? reach : -reach;
  state.angles[c] = turned === way ? state.ordered[c]! : from + turned;
  for (let k = 0; k < 3; k++) {
    stages.pair[TURN.ANGLE] = from + (turned * k) / 2;
    sineCosine(stages.pair);
    stages.sin[3 * c + k] = stages.pair[TURN.SIN]!;
    stages.cos[3 * c + k] = stages.pair[TURN.COS]!;
  }
  stages.known[2 * c] = from;
  stages.known[2 * c + 1] = from + turned;
}

/**
 * Carries wheel, engines and thrusters over the stages' span: the wheel at its rate, revolutions and
 * thruster power exponentially towards their targets, all in closed form. Writes the stages the step
 * needs. The span must not reach past the next actuator event.
 *
 * @param flows propeller inflow of the last evaluation, for the engine's torque (columns FLOW)
 */
export function advanceActuators(
  stages: ActuatorStages,
  state: SimState,
  craft: Craft,
  flows: Float64Array,
): void {
  const dt = stages.span[0]!;
  const { rate } = craft.spec.steering;
  stages.straight = true;
  // The last channel never turns.
  for (let c = 0; c < craft.channels - 1; c++) advanceChannel(stages, state, c, rate);
  for (let i = 0; i < state.engines.length; i++) {
    const engine = state.engines[i]!;
    if (engine.engaged === 0 && engine.rps === 0) {
      stages.rps[3 * i] = stages.rps[3 * i + 1] = stages.rps[3 * i + 2] = 0;
    } else {
      const drive = craft.spec.drives[i]!;
      const target = targetRps(engine, drive, flows[i * FLOW_COLUMNS + FLOW.INFLOW]!);
      const constant = engine.engaged === 0 ? drive.response * RUN_DOWN_SHARE : drive.response;
      let gap = engine.rps - target;
      // As near as makes no difference: it need not creep on for ever.
      if (gap < SETTLED_RPS && gap > -SETTLED_RPS) gap = 0;
      const half = gap === 0 || constant === 0 ? 0 : decayed(stages.decay, i, -dt / (2 * constant));
      stages.rps[3 * i] = engine.rps;
      stages.rps[3 * i + 1] = target + gap * half;
      engine.rps = target + gap * half * half;
      if (engine.engaged === 0 && Math.abs(engine.rps) < 1e-9) engine.rps = 0;
      stages.rps[3 * i + 2] = engine.rps;
      if (bends(stages.rps, 3 * i, BEND_SHARE * drive.fullRps)) stages.straight = false;
    }
    engine.sinceDriven += dt;
    engine.engagesIn -= dt;
    if (engine.engagesIn <= 1e-12) {
      engine.engagesIn = Infinity;
      engine.engaged = engine.orderedGear;
    }
  }
  for (let i = 0; i < state.thrusters.length; i++) {
    advanceThruster(stages, i, state.thrusters[i]!, craft.spec.thrusters[i]!);
  }
}
