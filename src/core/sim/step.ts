import { advanceActuators } from './actuators';
import { derivative, lookAround, type Scratch, type World } from './derivative';
import { MOTION_SIZE, R, U, V, type SimState } from './state';

/** The fixed step, s. */
export const STEP_S = 0.05;

// While something may touch, the step is cut so that ω·h stays under this. Fourth order is stable to
// 2.8; at 0.5 it errs by about (ωh)⁵/120 = 0.03 % of the amplitude a step.
const TOUCH_PHASE = 0.5;
const MOST_TOUCH_SUBSTEPS = 60;
// The scheme is stable to 2.8, and the bound on the rates lies well above the true ones.
const DRAG_SHARE = 2.5;
const MOST_DRAG_SUBSTEPS = 400;

/** Substeps needed for a step of `dt` seconds in which bare hull or only fenders may touch. */
export function touchSubsteps(world: World, dt: number, hull: boolean): number {
  const { hullFrequency, fenderFrequency } = world.craft.touch;
  const frequency = hull ? Math.max(hullFrequency, fenderFrequency) : fenderFrequency;
  return Math.min(MOST_TOUCH_SUBSTEPS, Math.ceil((dt * frequency) / TOUCH_PHASE));
}

/** Substeps needed so that no drag acts faster than the scheme can follow; one for ordinary boats. */
export function dragSubsteps(motion: Float64Array, world: World, dt: number): number {
  const { dragRates, touch } = world.craft;
  const { slipEast, slipNorth } = world.environment;
  const u = motion[U]!;
  const v = motion[V]!;
  const speed = Math.sqrt(u * u + v * v) + Math.abs(motion[R]!) * touch.reach;
  const airSpeed = speed + Math.sqrt(slipEast * slipEast + slipNorth * slipNorth);
  const rate = dragRates.water * speed + dragRates.air * airSpeed + dragRates.steady;
  return Math.min(MOST_DRAG_SUBSTEPS, Math.ceil((dt * rate) / DRAG_SHARE));
}

/**
 * One step of `dt` seconds (at most STEP_S, not past the next actuator event), in place.
 * Classical fourth-order Runge–Kutta; substeps while something is near. After each substep `watch`
 * sees the touches, for the record. No allocation.
 */
export function step(
  state: SimState,
  world: World,
  s: Scratch,
  dt: number,
  watch: TouchWatch | null,
): void {
  const { motion } = state;
  lookAround(motion, world, s, dt);
  const touching = s.touch.active ? touchSubsteps(world, dt, s.touch.hullActive) : 1;
  const pieces = Math.max(1, touching, dragSubsteps(motion, world, dt));
  const h = dt / pieces;
  for (let i = 0; i < pieces; i++) {
    advanceActuators(s.stages, state, world.craft, h);
    rungeKutta(motion, world, s, h);
    state.time += h;
    if (watch && s.touch.count > 0) watch.see(state, world, s);
  }
}

/** Looks at the touches of an evaluation as the run goes on. */
export interface TouchWatch {
  see(state: SimState, world: World, s: Scratch): void;
}

function rungeKutta(motion: Float64Array, world: World, s: Scratch, h: number): void {
  const { k1, k2, k3, k4, at } = s;
  derivative(k1, motion, world, s, 0);
  for (let i = 0; i < MOTION_SIZE; i++) at[i] = motion[i]! + (h / 2) * k1[i]!;
  derivative(k2, at, world, s, 1);
  for (let i = 0; i < MOTION_SIZE; i++) at[i] = motion[i]! + (h / 2) * k2[i]!;
  derivative(k3, at, world, s, 1);
  for (let i = 0; i < MOTION_SIZE; i++) at[i] = motion[i]! + h * k3[i]!;
  derivative(k4, at, world, s, 2);
  for (let i = 0; i < MOTION_SIZE; i++) {
    motion[i]! += (h / 6) * (k1[i]! + 2 * k2[i]! + 2 * k3[i]! + k4[i]!);
  }
}
