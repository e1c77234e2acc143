import { SHALLOW } from '../forces';
import { LIST, RATES, setTouchRates, SPAN, tendLines } from '../holding';
import { advanceActuators } from './actuators';
import { derivative, lookAround } from './derivative';
import { HELM_PERIOD_S, lookHelm } from './helm';
import { HAND_PERIOD_S, lookHand } from './throttle-hand';
import { JOYSTICK_PERIOD_S, lookJoystick } from './joystick';
import { MOTION_SIZE, R, U, V } from './state';
import { senseSurroundings } from './surroundings';
import { setLineRates } from './line-rates';
import { AGAIN, CLOCK, type Scratch } from './scratch';
import type { Vessel } from './vessel';
import type { World } from './world';

/**
 * The fixed step, s. A hard minute moves by a few millimetres when it is halved (see the tests), and wheel, gears and
 * cues are exact in time whatever the step.
 */
export const TIMESTEP_S = 0.1;

// While something may touch, the step is cut so that ω·h stays under this for its firmest spring. Fourth order
// only ever takes energy; at 1, (ωh)⁶/72 = 1.4 % a step, of about three.
const TOUCH_PHASE = 1;
// The scheme is stable to 2.8, and the bounds on the rates lie above the true ones.
const STABLE_PHASE = 2.5;
// What is taken on to the end of a step in a straight line follows the midpoint rule, stable to 2.
const SLOW_PHASE = 1.8;
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

/** Works out how fast what acts on the boat can act within the step in hand. */
function setRates(motion: Float64Array, world: World, s: Scratch): void {
  const { rates, touch } = s;
  const drag = dragRate(motion, world, s);
  rates[RATES.ALL] = drag + s.lineRates[RATES.ALL]!;
  rates[RATES.FIRMEST] = s.lineRates[RATES.FIRMEST]!;
  // Not among locks: ten minutes of touches in moving water make much of little.
  s.slowly = touch.active > 0 && !world.gates && drag * s.clock[CLOCK.STEP]! < SLOW_PHASE;
  if (touch.active === 0) return;
  setTouchRates(touch, world.craft.touch, world.shore);
  joinRates(rates, touch.rates);
}

/** Takes the rates of something else that acts on the same boats into `rates`. */
export function joinRates(rates: Float64Array, more: Float64Array): void {
  rates[RATES.ALL]! += more[RATES.ALL]!;
  rates[RATES.FIRMEST] = Math.max(rates[RATES.FIRMEST]!, more[RATES.FIRMEST]!);
}

/** A joystick's computer looks at its own step. */
function advanceJoystick({ state, world, scratch: s }: Vessel): void {
  const { joystick } = state;
  if (!joystick.active) return;
  joystick.looksIn -= s.clock[CLOCK.STEP]!;
  if (joystick.looksIn > 1e-9) return;
  joystick.looksIn = JOYSTICK_PERIOD_S;
  lookJoystick(state, world.craft, world.environment.waterDensity);
}

/** A helm that steers looks up at its own step too. */
function advanceHelm({ state, world, scratch: s }: Vessel): void {
  const { helm } = state;
  if (!helm.active) return;
  helm.looksIn -= s.clock[CLOCK.STEP]!;
  if (helm.looksIn > 1e-9) return;
  helm.looksIn = HELM_PERIOD_S;
  lookHelm(state, world);
}

/** And so does a hand that keeps way on. */
function advanceHand({ state, world, scratch: s }: Vessel): void {
  const { hand } = state;
  if (!hand.active) return;
  hand.looksIn -= s.clock[CLOCK.STEP]!;
  if (hand.looksIn > 1e-9) return;
  hand.looksIn = HAND_PERIOD_S;
  lookHand(state, world);
}

/** Looks at everything that is looked at once a step, and at how fast it can act; the clock says how long it is. */
export function beginStep(vessel: Vessel): void {
  const { state, world, scratch: s } = vessel;
  s.clock[CLOCK.TIME] = state.time;
  advanceJoystick(vessel);
  advanceHelm(vessel);
  advanceHand(vessel);
  senseSurroundings(state.motion, vessel);
  lookAround(state.motion, vessel);
  if (world.lines.count > 0) setLineRates(vessel, s.clock[CLOCK.STEP]!);
  setRates(state.motion, world, s);
}

/** Cuts the step into pieces: the clock says how long one is, `rates` how fast what acts can act. Returns how many. */
export function cutStep({ clock }: Scratch, rates: Float64Array): number {
  const phase = Math.max(rates[RATES.ALL]! / STABLE_PHASE, rates[RATES.FIRMEST]! / TOUCH_PHASE);
  const dt = clock[CLOCK.STEP]!;
  const pieces = Math.max(1, Math.min(MOST_SUBSTEPS, Math.ceil(dt * phase)));
  clock[CLOCK.PIECE] = dt / pieces;
  return pieces;
}

/** Carries the boat's actuators over the piece in hand. */
export function beginPiece({ state, world, scratch: s }: Vessel): void {
  const piece = s.clock[CLOCK.PIECE]!;
  s.stages.span[0] = piece;
  s.touch.list[LIST.PIECE] = piece;
  advanceActuators(s.stages, state, world.craft, s.flows);
}

/** The piece in hand is over. */
export function endPiece(vessel: Vessel): void {
  const { state, world, scratch: s, watch } = vessel;
  s.clock[CLOCK.TIME]! += s.clock[CLOCK.PIECE]!;
  state.time = s.clock[CLOCK.TIME]!;
  if (world.lines.tended) {
    // As the boat is at the last stage, a hair from where the piece ends.
    tendLines(state.lines, world.lines, s.tension, s.views, s.span, s.clock[CLOCK.PIECE]!);
  }
  if (watch && s.touch.count > 0) watch.see(vessel);
}

/**
 * One step of `dt` seconds (at most TIMESTEP_S, not past the next actuator event) of one boat by itself, in place.
 * Classical fourth-order Runge–Kutta; substeps while something is near or a line is stiff. After each
 * substep `watch` sees the touches, for the record. No objects are made but in a joystick's look.
 */
export function timestep(vessel: Vessel, dt: number): void {
  vessel.scratch.clock[CLOCK.STEP] = dt;
  beginStep(vessel);
  goThrough(vessel);
}

/** Goes through the step that has been begun, by itself: in as many pieces as what acts on the boat asks for. */
export function goThrough(vessel: Vessel): void {
  const { scratch } = vessel;
  const pieces = cutStep(scratch, scratch.rates);
  for (let i = 0; i < pieces; i++) {
    beginPiece(vessel);
    rungeKutta(vessel);
    endPiece(vessel);
  }
}

/** Stages of the classical fourth-order scheme, each a share of the piece along, and which of actuators' three it is. */
export const STAGES = 4;
const SHARE = [0, 0.5, 0.5, 1];
const MOMENT = [0, 1, 1, 2];
/** The stages that look at the middle a second time, and at the end. */
const SECOND_LOOK = 2;
const LAST_LOOK = 3;

/** Where the boat is at stage `k` of the piece in hand; the clock says when. */
export function setStage(motion: Float64Array, s: Scratch, k: number): Float64Array {
  const { clock, at } = s;
  const span = SHARE[k]! * clock[CLOCK.PIECE]!;
  clock[CLOCK.STAGE] = clock[CLOCK.TIME]! + span;
  s.span[SPAN.SINCE] = span;
  if (k === 0) return motion;
  const before = s.slopes[k - 1]!;
  for (let i = 0; i < MOTION_SIZE; i++) at[i] = motion[i]! + span * before[i]!;
  return at;
}

/** How stage `k` comes by what acts slowly: the end is looked at only where a screw or thruster is just taking hold. */
function againAt(k: number, s: Scratch): number {
  if (k === SECOND_LOOK) return AGAIN.MIDDLE;
  return k === LAST_LOOK && s.stages.straight ? AGAIN.END : AGAIN.NOT;
}

/** The boat's rates of change at stage `k`, where setStage has put it. */
export function setSlope(at: Float64Array, vessel: Vessel, k: number): void {
  const { scratch: s, ledger } = vessel;
  ledger?.begin(k);
  s.again = s.slowly ? againAt(k, s) : AGAIN.NOT;
  derivative(s.slopes[k]!, at, vessel, MOMENT[k]!);
  s.again = AGAIN.NOT;
}

/** Carries the boat to the end of the piece in hand by the rates of its four stages. */
export function finishPiece({ state: { motion }, scratch: s, ledger }: Vessel): void {
  const [k1, k2, k3, k4] = s.slopes;
  const h = s.clock[CLOCK.PIECE]!;
  ledger?.sum(h);
  for (let i = 0; i < MOTION_SIZE; i++) {
    motion[i]! += (h / 6) * (k1[i]! + 2 * k2[i]! + 2 * k3[i]! + k4[i]!);
  }
}

function rungeKutta(vessel: Vessel): void {
  const { state, scratch } = vessel;
  for (let k = 0; k < STAGES; k++) setSlope(setStage(state.motion, scratch, k), vessel, k);
  finishPiece(vessel);
}
