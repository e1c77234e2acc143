import { copyLocksOver, type LockState } from '../locks';
import type { Craft } from '../boat';
import { NO_LINES, type Lines } from '../holding';

/** Places in the motion vector. Speeds are through the water (the reference current), body axes. */
export const X = 0;
export const Y = 1;
export const PSI = 2;
export const U = 3;
export const V = 4;
export const R = 5;
export const MOTION_SIZE = 6;
const TIME = 6;

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

/** A helm told to steer: a heading, for a point on the place, or along a line on it. */
export interface HelmState {
  active: boolean;
  /** Steers for the point rather than the heading. */
  forPoint: boolean;
  /** Keeps to the line through the point on the heading. */
  onLine: boolean;
  /** With the boat's stern to it, not its bow. */
  sternFirst: boolean;
  /** Angle the boat makes good off its heading, as it has been of late, rad to starboard. */
  drift: number;
  /** Share of the wheel it has found the wind to ask for, −1 to 1. */
  trim: number;
  /** Uses thrusters as well. */
  thrusters: boolean;
  /** What it found at its last look that the boat had to turn, rad to starboard. */
  off: number;
  heading: number;
  x: number;
  y: number;
  /** Seconds until the helm next looks up. */
  looksIn: number;
}

/** Somebody at levers and wheel who looks, and does what they find is to be done; says in the state's hand when they look again. */
export interface HandWorker {
  /** @param world that of the state: known where it looks, not here */
  look(state: SimState, world: object): void;
}

/** Figures a worker keeps from look to look. */
export const WORKER_FIGURES = 30;

/**
 * A hand on the throttle that keeps way on between two speeds over the ground, m/s, or stops the boat abreast of a place; or one at all levers and the wheel that
 * works it somewhere.
 */
export interface HandState {
  active: boolean;
  task: 'keep' | 'stop' | 'work';
  worker: HandWorker | null;
  /** It has done what it was told. */
  done: boolean;
  readonly row: Float64Array;
  /** Ahead 1, astern −1. */
  way: 1 | -1;
  least: number;
  most: number;
  /** Throttle it has come to, and the speed at the last look; NaN before the first. */
  throttle: number;
  last: number;
  /** The place on the water it stops abreast of, and how far forward of midships the point is that comes there, m. */
  x: number;
  y: number;
  ahead: number;
  /** What distances are taken for, a factor. */
  eye: number;
  /** Looks the other gear, or a burst, has been in for. */
  looks: number;
  /** Is way being taken off between two bursts that turn the boat? */
  filling: boolean;
  /** Seconds until it next looks. */
  looksIn: number;
}

/** Everything that changes during a run. */
export interface SimState {
  /** Seconds since the start. */
  time: number;
  /** East, north (m), heading unwrapped (rad), surge, sway (m/s), yaw rate (rad/s); then the time. */
  readonly motion: Float64Array;
  /** Angle of each steering channel and where it is wanted, rad; channel 0 is the wheel. */
  readonly angles: Float64Array;
  readonly ordered: Float64Array;
  readonly engines: readonly EngineState[];
  readonly thrusters: readonly ThrusterState[];
  readonly joystick: JoystickState;
  readonly helm: HelmState;
  readonly hand: HandState;
  /** Rows of columns LINE, one for each line that may change. */
  readonly lines: Float64Array;
  /** The other boats of its world, in their order. */
  readonly others: readonly SimState[];
  /** The locks of the boat's world, in their order; the other boats have the same ones. */
  readonly locks: readonly LockState[];
}

export interface StartPose {
  readonly x: number;
  readonly y: number;
  readonly heading: number;
  /** Speed ahead through the water, m/s. */
  readonly speed: number;
}

/** Numbers of an engine, kept in a row so that they never change their kind as they run. */
class Engine implements EngineState {
  orderedGear: Gear = 0;
  engaged: Gear = 0;
  lastDriven: Gear = 0;
  refuses: Gear = 0;
  readonly row = Float64Array.from([0, Infinity, Infinity, 0, 0]);

  get throttle(): number {
    return this.row[0]!;
  }
  set throttle(value: number) {
    this.row[0] = value;
  }
  get sinceDriven(): number {
    return this.row[1]!;
  }
  set sinceDriven(value: number) {
    this.row[1] = value;
  }
  get engagesIn(): number {
    return this.row[2]!;
  }
  set engagesIn(value: number) {
    this.row[2] = value;
  }
  get rps(): number {
    return this.row[3]!;
  }
  set rps(value: number) {
    this.row[3] = value;
  }
  get owed(): number {
    return this.row[4]!;
  }
  set owed(value: number) {
    this.row[4] = value;
  }
}

/** Numbers of a thruster, in a row for the same reason. */
class Thruster implements ThrusterState {
  cut = false;
  readonly row = Float64Array.from([0, 0, 0, Infinity, 0]);

  get ordered(): number {
    return this.row[0]!;
  }
  set ordered(value: number) {
    this.row[0] = value;
  }
  get power(): number {
    return this.row[1]!;
  }
  set power(value: number) {
    this.row[1] = value;
  }
  get lastWay(): number {
    return this.row[2]!;
  }
  set lastWay(value: number) {
    this.row[2] = value;
  }
  get sinceRun(): number {
    return this.row[3]!;
  }
  set sinceRun(value: number) {
    this.row[3] = value;
  }
  get heat(): number {
    return this.row[4]!;
  }
  set heat(value: number) {
    this.row[4] = value;
  }
}

class Boat implements SimState {
  /** Motion, and the time behind it. */
  readonly motion = new Float64Array(MOTION_SIZE + 1);
  readonly angles: Float64Array;
  readonly ordered: Float64Array;
  readonly engines: readonly EngineState[];
  readonly thrusters: readonly ThrusterState[];
  readonly joystick: JoystickState = { active: false, surge: 0, sway: 0, yaw: 0, looksIn: 0 };
  readonly helm: HelmState = {
    active: false,
    forPoint: false,
    onLine: false,
    sternFirst: false,
    drift: 0,
    trim: 0,
    thrusters: false,
    off: 0,
    heading: 0,
    x: 0,
    y: 0,
    looksIn: 0,
  };
  readonly hand: HandState = {
    active: false,
    task: 'keep',
    worker: null,
    done: false,
    row: new Float64Array(WORKER_FIGURES),
    x: 0,
    y: 0,
    ahead: 0,
    eye: 1,
    looks: 0,
    filling: false,
    way: 1,
    least: 0,
    most: 0,
    throttle: 0,
    last: NaN,
    looksIn: 0,
  };

  readonly lines: Float64Array;

  constructor(
    craft: Craft,
    lines: Lines,
    readonly others: readonly SimState[],
    readonly locks: readonly LockState[],
  ) {
    this.lines = Float64Array.from(lines.tended ? lines.rows : []);
    this.angles = new Float64Array(craft.channels);
    this.ordered = new Float64Array(craft.channels);
    this.engines = craft.spec.drives.map(() => new Engine());
    this.thrusters = craft.spec.thrusters.map(() => new Thruster());
  }

  get time(): number {
    return this.motion[TIME]!;
  }
  set time(value: number) {
    this.motion[TIME] = value;
  }
}

/**
 * @param lines what is rigged; only lines that may change are part of the state
 * @param others states of the other boats, which become part of it
 * @param locks states of the locks, likewise; shared by all boats of a world
 */
export function initialState(
  craft: Craft,
  pose: StartPose,
  lines: Lines = NO_LINES,
  others: readonly SimState[] = [],
  locks: readonly LockState[] = [],
): SimState {
  const state = new Boat(craft, lines, others, locks);
  state.motion[X] = pose.x;
  state.motion[Y] = pose.y;
  state.motion[PSI] = pose.heading;
  state.motion[U] = pose.speed;
  return state;
}

/** Copies one state over another of the same boat and lines. */
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
  to.helm.active = from.helm.active;
  to.helm.forPoint = from.helm.forPoint;
  to.helm.onLine = from.helm.onLine;
  to.helm.sternFirst = from.helm.sternFirst;
  to.helm.drift = from.helm.drift;
  to.helm.trim = from.helm.trim;
  to.helm.thrusters = from.helm.thrusters;
  to.helm.off = from.helm.off;
  to.helm.heading = from.helm.heading;
  to.helm.x = from.helm.x;
  to.helm.y = from.helm.y;
  to.helm.looksIn = from.helm.looksIn;
  to.hand.active = from.hand.active;
  to.hand.task = from.hand.task;
  to.hand.worker = from.hand.worker;
  to.hand.done = from.hand.done;
  if (from.hand.worker) to.hand.row.set(from.hand.row);
  to.hand.x = from.hand.x;
  to.hand.y = from.hand.y;
  to.hand.ahead = from.hand.ahead;
  to.hand.eye = from.hand.eye;
  to.hand.looks = from.hand.looks;
  to.hand.filling = from.hand.filling;
  to.hand.way = from.hand.way;
  to.hand.least = from.hand.least;
  to.hand.most = from.hand.most;
  to.hand.throttle = from.hand.throttle;
  to.hand.last = from.hand.last;
  to.hand.looksIn = from.hand.looksIn;
  // In water without the boat's lines they are left out.
  if (to.lines.length > 0) to.lines.set(from.lines);
  copyAround(to, from);
}

/** Copies how other boats and locks are, and nothing of the boat itself. */
export function copyAround(to: SimState, from: SimState): void {
  if (to.locks.length > 0) copyLocksOver(to.locks, from.locks);
  // In water without them, what the others do is left behind.
  for (let i = 0; i < to.others.length; i++) copyState(to.others[i]!, from.others[i]!);
}
