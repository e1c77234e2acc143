import { bisect, cos, sin } from '../math';
import type { Craft } from '../boat';
import { MPS_PER_KNOT } from '../units';
import { burst, firmThrottle, OpenWater } from './open-water';
import { R, type Gear } from '../simulation';

const LONGEST_S = 7200;

/** Steady speed in a gear at a throttle, wheel amidships, m/s (negative astern); engines after the first `engines` stay in neutral. */
export function steadySpeed(
  craft: Craft,
  gear: Gear,
  throttle: number,
  engines = Infinity,
): number {
  const water = OpenWater.of(craft);
  craft.spec.drives.forEach((_, i) => i < engines && water.engine(gear, throttle, i));
  let last = 0;
  let since = 0;
  // Steady when two of the boat's own lengths change the speed by less than a third of a per cent.
  water.until(() => {
    const interval = Math.max(10, (2 * water.length) / Math.max(0.3, Math.abs(water.ahead)));
    if (water.time - since < interval) return false;
    const settled = Math.abs(water.ahead - last) < 0.003 * Math.abs(water.ahead);
    last = water.ahead;
    since = water.time;
    return settled;
  }, LONGEST_S);
  return water.ahead;
}

export interface Stop {
  /** m along the first heading, m to starboard of it, s; heading change, rad. */
  readonly distance: number;
  readonly aside: number;
  readonly time: number;
  readonly turned: number;
}

/** Where a boat has gone since, along the heading it had and to starboard of it, m, how long, s, and how it has turned, rad. */
function goneSince(water: OpenWater): () => Stop {
  const { x, y, heading, time } = water;
  const s = sin(heading);
  const c = cos(heading);
  return () => {
    const dx = water.x - x;
    const dy = water.y - y;
    return {
      distance: dx * s + dy * c,
      aside: dx * c - dy * s,
      time: water.time - time,
      turned: water.heading - heading,
    };
  };
}

/**
 * Stopping over ground with astern at a throttle, wheel amidships, from however the boat goes; null if it has not stopped in
 * `most` seconds.
 */
export function stopping(water: OpenWater, throttle: number, most = LONGEST_S): Stop | null {
  const since = goneSince(water);
  water.wheel(0);
  water.engine(-1, throttle);
  return water.until(() => water.along <= 0, most) ? since() : null;
}

/** Stopping in calm water from a speed; null if the boat never stops. */
export function stopFrom(craft: Craft, speed: number, throttle = firmThrottle(craft)): Stop | null {
  return stopping(OpenWater.of(craft, { speed }), throttle);
}

export interface Carry {
  readonly distance: number;
  readonly time: number;
}

/** How far the boat carries in neutral over ground until it has so much speed left, or for `most` seconds, and whether it came to that. */
export function carrying(water: OpenWater, to: number, most: number): Carry & { slow: boolean } {
  const since = goneSince(water);
  water.engine(0);
  const slow = water.until(() => water.along <= to, most);
  const { distance, aside, time } = since();
  return { distance: Math.sqrt(distance * distance + aside * aside), time, slow };
}

/** How far the boat carries in neutral from one speed down to another, no wind; null if beyond two hours. */
export function carryFrom(craft: Craft, from: number, to: number): Carry | null {
  const { slow, distance, time } = carrying(OpenWater.of(craft, { speed: from }), to, LONGEST_S);
  return slow ? { distance, time } : null;
}

export interface Walk {
  readonly seconds: number;
  /** Heading change after so many seconds from rest, rad, and where the stern has gone, m to starboard. */
  readonly turned: number;
  readonly stern: number;
  readonly sternway: number;
}

/** Astern from rest, wheel amidships, for `seconds` after the clutch has taken hold. */
export function propWalk(
  craft: Craft,
  seconds = burst(craft, 5),
  throttle = firmThrottle(craft),
): Walk {
  const water = OpenWater.of(craft);
  water.engine(-1, throttle);
  water.until(() => water.state.engines[0]!.engaged !== 0, 60);
  water.run(seconds);
  const stern = water.x - 0.5 * water.length * water.heading;
  return { seconds, turned: water.heading, stern, sternway: -water.ahead };
}

/**
 * Sternway at which full wheel holds the boat against the walk, going astern from rest at a firm throttle: the
 * speed from which on it does not begin to turn that way within a second, wheel over; null if it never does.
 */
export function asternSteeringSpeed(craft: Craft): number | null {
  const water = OpenWater.of(craft);
  water.engine(-1, firmThrottle(craft));
  water.until(() => Math.abs(water.heading) > 0.005, 60);
  const walks = Math.sign(water.heading);
  if (Math.abs(water.heading) < 0.005) return 0;
  let next = water.time;
  const held = water.until(() => {
    if (water.time < next) return false;
    next = water.time + 0.5;
    const tried = water.fork();
    tried.state.motion[R] = 0;
    // Astern the wheel to starboard takes the stern to starboard, so the bow goes to port.
    tried.wheelSet(walks);
    tried.run(1);
    return tried.rate * walks < 0;
  }, 120);
  return held ? -water.ahead : null;
}

/** A rate of turn a helm calls steering, rad/s: 1°/s, slower for craft over 12 m as their length grows. */
export function steeringRate(craft: Craft): number {
  return (Math.PI / 180) * Math.min(1, 12 / craft.spec.hull.length);
}

/** Least headway in neutral at which full wheel turns the boat at steeringRate, m/s; null if none up to 5 kn. */
export function aheadSteeringSpeed(craft: Craft): number | null {
  const rate = steeringRate(craft);
  const patience = Math.max(6, 0.5 * craft.spec.hull.length);
  const steers = (speed: number) => {
    const water = OpenWater.of(craft, { speed });
    water.wheelSet(1);
    return water.until(() => water.rate >= rate, patience);
  };
  const fastest = 5 * MPS_PER_KNOT;
  if (!steers(fastest)) return null;
  return bisect((speed) => !steers(speed), 0, fastest, 8).high;
}

/** Has the boat gone so far from where it began, m? */
const gone = (water: OpenWater, way: number) =>
  Math.sqrt(water.x * water.x + water.y * water.y) >= way;

/** Seconds from rest until the boat has gone so far ahead, wheel amidships, in calm water, m; null if it has not in `most` seconds. */
export function secondsToGo(
  craft: Craft,
  way: number,
  throttle: number,
  most: number,
): number | null {
  const water = OpenWater.of(craft);
  water.engine(1, throttle);
  return water.until(() => gone(water, way), most) ? water.time : null;
}

/**
 * How far the boat goes on, m, how long, s, and turns, rad to starboard, when it is stopped after so many metres from rest ahead at one
 * throttle: neutral for as long as its gears ask for, then astern at another. Wheel amidships, calm water; null if it
 * does not stop.
 */
export function goesOn(
  craft: Craft,
  way: number,
  ahead: number,
  astern: number,
): Pick<Stop, 'distance' | 'time' | 'turned'> | null {
  const water = OpenWater.of(craft);
  water.engine(1, ahead);
  if (!water.until(() => gone(water, way), LONGEST_S)) return null;
  const from = { y: water.y, heading: water.heading, time: water.time };
  water.engine(-1, astern);
  if (!water.until(() => water.ahead <= 0, LONGEST_S)) return null;
  return {
    distance: water.y - from.y,
    time: water.time - from.time,
    turned: water.heading - from.heading,
  };
}
