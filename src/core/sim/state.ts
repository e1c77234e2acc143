import type { Craft } from '../craft';

/** Places in the motion vector. Speeds are through the water (the reference stream), body axes. */
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
  /** Gear that will not take hold (0: none), for rehearsing a fault. */
  refuses: Gear;
  /** Impulse a joystick still owes through this engine, N·s. */
  owed: number;
}

export interface ThrusterState {
  /** −1 … 1, positive pushing to starboard. */
  ordered: number;
  power: number;
  /** The way it last ran, and seconds since. */
  lastWay: number;
  sinceRun: number;
  /** 0 cold … 1 cut out; it comes back when cooled. */
  heat: number;
  cut: boolean;
}

/** What a joystick asks for, each −1 … 1 of what the boat can do. */
export interface JoystickState {
  active: boolean;
  surge: number;
  sway: number;
  yaw: number;
  /** Seconds until it next looks. */
  looksIn: number;
}

/** Everything that changes during a run. */
export interface SimState {
  /** Seconds since the start. */
  time: number;
  /** East, north (m), heading unwrapped (rad), surge, sway (m/s), yaw rate (rad/s). */
  readonly motion: Float64Array;
  /** Angle of each steering channel and where it is wanted, rad; channel 0 is the wheel. */
  readonly angles: Float64Array;
  readonly ordered: Float64Array;
  readonly engines: readonly EngineState[];
  readonly thrusters: readonly ThrusterState[];
  readonly joystick: JoystickState;
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
    angles: new Float64Array(craft.channels),
    ordered: new Float64Array(craft.channels),
    engines: craft.spec.drives.map(() => ({
      orderedGear: 0,
      throttle: 0,
      engaged: 0,
      lastDriven: 0,
      sinceDriven: Infinity,
      engagesIn: Infinity,
      rps: 0,
      refuses: 0,
      owed: 0,
    })),
    thrusters: craft.spec.thrusters.map(() => ({
      ordered: 0,
      power: 0,
      lastWay: 0,
      sinceRun: Infinity,
      heat: 0,
      cut: false,
    })),
    joystick: { active: false, surge: 0, sway: 0, yaw: 0, looksIn: 0 },
  };
}

/** Copies one state over another of the same boat. */
export function copyState(to: SimState, from: SimState): void {
  to.time = from.time;
  for (let i = 0; i < MOTION_SIZE; i++) to.motion[i] = from.motion[i]!;
  for (let i = 0; i < from.angles.length; i++) {
    to.angles[i] = from.angles[i]!;
    to.ordered[i] = from.ordered[i]!;
  }
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
    a.refuses = b.refuses;
    a.owed = b.owed;
  }
  for (let i = 0; i < from.thrusters.length; i++) {
    const a = to.thrusters[i]!;
    const b = from.thrusters[i]!;
    a.ordered = b.ordered;
    a.power = b.power;
    a.lastWay = b.lastWay;
    a.sinceRun = b.sinceRun;
    a.heat = b.heat;
    a.cut = b.cut;
  }
  to.joystick.active = from.joystick.active;
  to.joystick.surge = from.joystick.surge;
  to.joystick.sway = from.joystick.sway;
  to.joystick.yaw = from.joystick.yaw;
  to.joystick.looksIn = from.joystick.looksIn;
}
