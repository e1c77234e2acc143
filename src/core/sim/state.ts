import type { Craft } from '../craft';

/** Places in the motion vector. Speeds are through the water, body axes. */
export const X = 0;
export const Y = 1;
export const PSI = 2;
export const U = 3;
export const V = 4;
export const R = 5;
export const MOTION_SIZE = 6;

export type Gear = -1 | 0 | 1;

/** One engine and its gearbox. Orders are what the lever says; the rest is what has come of it. */
export interface EngineState {
  orderedGear: Gear;
  /** 0 idle … 1 full. */
  throttle: number;
  engaged: Gear;
  /** The way the clutch last drove, for the neutral pause. */
  lastDriven: Gear;
  /** Seconds since it drove. */
  sinceDriven: number;
  /** Seconds until the ordered gear takes hold; Infinity when nothing is pending. */
  engagesIn: number;
  rps: number;
}

/** Everything that changes during a run. */
export interface SimState {
  /** Seconds since the start. */
  time: number;
  /** East, north (m), heading unwrapped (rad), surge, sway (m/s), yaw rate (rad/s). */
  readonly motion: Float64Array;
  /** Rudder or drive angle and where the wheel wants it, rad. */
  rudder: number;
  rudderOrdered: number;
  readonly engines: readonly EngineState[];
}

export interface StartPose {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
  /** Speed ahead through the water, m/s. */
  readonly speed: number;
}

export function initialState(craft: Craft, pose: StartPose): SimState {
  const motion = new Float64Array(MOTION_SIZE);
  motion[X] = pose.x;
  motion[Y] = pose.y;
  motion[PSI] = pose.heading;
  motion[U] = pose.speed;
  return {
    time: 0,
    motion,
    rudder: 0,
    rudderOrdered: 0,
    engines: craft.shafts.map(() => ({
      orderedGear: 0,
      throttle: 0,
      engaged: 0,
      lastDriven: 0,
      sinceDriven: Infinity,
      engagesIn: Infinity,
      rps: 0,
    })),
  };
}

/** Copies one state over another of the same boat. */
export function copyState(to: SimState, from: SimState): void {
  to.time = from.time;
  to.motion.set(from.motion);
  to.rudder = from.rudder;
  to.rudderOrdered = from.rudderOrdered;
  for (let i = 0; i < from.engines.length; i++) {
    const a = to.engines[i]!;
    const b = from.engines[i]!;
    a.orderedGear = b.orderedGear;
    a.throttle = b.throttle;
    a.engaged = b.engaged;
    a.lastDriven = b.lastDriven;
    a.sinceDriven = b.sinceDriven;
    a.engagesIn = b.engagesIn;
    a.rps = b.rps;
  }
}
