import { SHALLOW } from '../forces';
import { RATES, setTouchRates } from '../holding';
import { advanceActuators } from './actuators';
import { derivative, lookAround } from './derivative';
import { JOYSTICK_PERIOD_S, lookJoystick } from './joystick';
import { MOTION_SIZE, R, U, V, type SimState } from './state';
import { senseSurroundings } from './surroundings';
import { CLOCK, type Scratch, type World } from './world';

/**
 * The fixed step, s. A hard minute moves by a few millimetres when it is halved (see the tests), and wheel, gears and
 * cues are exact in time whatever the step.
 */
export const STEP_S = 0.1;

// While something may touch, the step is cut so that ω·h stays under this for its firmest spring. Fourth order
// only ever takes energy; at 1, (ωh)⁶/72 = 1.4 % a step, of about three.
const TOUCH_PHASE = 1;
// The scheme is stable to 2.8, and the bounds on the rates lie above the true ones.
const STABLE_PHASE = 2.5;
/** A tenth of a second never needs more: stiffer boats are refused. */
const MOST_SUBSTEPS = 1000;

/** A bound on how fast drags act, 1/s; a few for ordinary boats. */
function dragRate(motion: Float64Array, world: World, s: Scratch): number {
  const { dragRates, touch } = world.craft;
  const slipEast = s.air[0]!;
  const slipNorth = s.air[1]!;
  const u = motion[U]!;
  const v = motion[V]!;
  const speed = Math.sqrt(u * u + v * v) + Math.abs(motion[R]!) * touch.reach;
  const airSpeed = speed + Math.sqrt(slipEast * slipEast + slipNorth * slipNorth);
  const water = s.shallow[SHALLOW.CROSS_FLOW]!;
  return water * dragRates.water * speed + dragRates.air * airSpeed + dragRates.steady;
}

/** Substeps of the step in hand, so that no force acts faster than the scheme can follow. */
export function substeps(motion: Float64Array, world: World, s: Scratch): number {
  let rate = dragRate(motion, world, s) + s.lineRate;
  let firmest = s.firmestLine;
  if (s.touch.active > 0) {
    const { craft, shore } = world;
    setTouchRates(s.touch, craft.touch, shore);
    firmest = Math.max(firmest, s.touch.rates[RATES.FIRMEST]!);
    rate += s.touch.rates[RATES.ALL]!;
  }
  const dt = s.clock[CLOCK.STEP]!;
  const pieces = Math.ceil(dt * Math.max(rate / STABLE_PHASE, firmest / TOUCH_PHASE));
  return Math.max(1, Math.min(MOST_SUBSTEPS, pieces));
}

/** A joystick's computer looks at its own beat. */
function advanceJoystick(state: SimState, world: World, s: Scratch): void {
  const { joystick } = state;
  if (!joystick.active) return;
  joystick.looksIn -= s.clock[CLOCK.STEP]!;
  if (joystick.looksIn > 1e-9) return;
  joystick.looksIn = JOYSTICK_PERIOD_S;
  lookJoystick(state, world.craft, world.environment.waterDensity);
}

/**
 * One step of `dt` seconds (at most STEP_S, not past the next actuator event), in place.
 * Classical fourth-order Runge–Kutta; substeps while something is near or a line is stiff. After each
 * substep `watch` sees the touches, for the record. No objects are made but in a joystick's look.
 */
export function step(
  state: SimState,
  world: World,
  s: Scratch,
  dt: number,
  watch: TouchWatch | null,
): void {
  const { motion } = state;
  const { clock } = s;
  clock[CLOCK.TIME] = state.time;
  clock[CLOCK.STEP] = dt;
  advanceJoystick(state, world, s);
  senseSurroundings(motion, world, s);
  lookAround(motion, world, s);
  const pieces = substeps(motion, world, s);
  const h = clock[CLOCK.STEP]! / pieces;
  clock[CLOCK.PIECE] = h;
  s.stages.span[0] = h;
  for (let i = 0; i < pieces; i++) {
    advanceActuators(s.stages, state, world.craft, s.flows);
    rungeKutta(motion, world, s);
    clock[CLOCK.TIME]! += h;
    state.time = clock[CLOCK.TIME]!;
    if (watch && s.touch.count > 0) watch.see(state, world, s);
  }
}

/** Looks at the touches of an evaluation as the run goes on. */
export interface TouchWatch {
  see(state: SimState, world: World, s: Scratch): void;
}

function rungeKutta(motion: Float64Array, world: World, s: Scratch): void {
  const { clock, k1, k2, k3, k4, at } = s;
  const time = clock[CLOCK.TIME]!;
  const h = clock[CLOCK.PIECE]!;
  clock[CLOCK.STAGE] = time;
  derivative(k1, motion, world, s, 0);
  for (let i = 0; i < MOTION_SIZE; i++) at[i] = motion[i]! + (h / 2) * k1[i]!;
  clock[CLOCK.STAGE] = time + h / 2;
  derivative(k2, at, world, s, 1);
  for (let i = 0; i < MOTION_SIZE; i++) at[i] = motion[i]! + (h / 2) * k2[i]!;
  derivative(k3, at, world, s, 1);
  for (let i = 0; i < MOTION_SIZE; i++) at[i] = motion[i]! + h * k3[i]!;
  clock[CLOCK.STAGE] = time + h;
  derivative(k4, at, world, s, 2);
  for (let i = 0; i < MOTION_SIZE; i++) {
    motion[i]! += (h / 6) * (k1[i]! + 2 * k2[i]! + 2 * k3[i]! + k4[i]!);
  }
}
