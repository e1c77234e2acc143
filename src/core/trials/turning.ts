import type { Craft } from '../boat';
import { atan2, bisect } from '../math';
import { Lane, shiftingWay } from './lane';
import { steeringRate } from './way';
import { SHIFTS_LATE_S } from '../policy';
import { burst, firmThrottle, HALF, OpenWater } from './open-water';
import type { Gear } from '../simulation';

export interface Circle {
  /** Tactical diameter (between opposite headings), advance and transfer at 90°, m. */
  readonly diameter: number;
  readonly advance: number;
  readonly transfer: number;
  /** Steady: speed m/s, drift angle rad, rate rad/s, pivot forward of midships m. */
  readonly speed: number;
  readonly drift: number;
  readonly rate: number;
  readonly pivot: number;
}

const LONGEST_S = 2400;

/**
 * Turning circle, wheel hard over: begun from the boat's steady speed at that throttle, or from rest. `side` is the
 * side the wheel goes to. Null if it does not come round within forty minutes.
 */
export function turningCircle(
  craft: Craft,
  gear: Gear,
  throttle: number,
  side: 1 | -1 = 1,
  from = 0,
): Circle | null {
  const water = OpenWater.of(craft, { speed: from });
  water.engine(gear, throttle);
  if (from !== 0) {
    // Gears in and revolutions up before the wheel goes over.
    water.until(() => water.time > 3 * craft.spec.drives[0]!.response + 2, 60);
  }
  const x0 = water.x;
  const y0 = water.y;
  const h0 = water.heading;
  water.wheel(side);
  const turned = () => Math.abs(water.heading - h0);
  if (!water.until(() => turned() >= Math.PI / 2, LONGEST_S)) return null;
  const advance = Math.abs(water.y - y0);
  const transfer = Math.abs(water.x - x0);
  if (!water.until(() => turned() >= Math.PI, LONGEST_S)) return null;
  const diameter = Math.abs(water.x - x0);
  water.until(() => turned() >= 3 * Math.PI, LONGEST_S);
  const speed = Math.sqrt(water.ahead * water.ahead + water.sideways * water.sideways);
  return {
    diameter,
    advance,
    transfer,
    speed,
    drift: atan2(Math.abs(water.sideways), Math.abs(water.ahead)),
    rate: Math.abs(water.rate),
    pivot: -water.sideways / water.rate,
  };
}

export interface Kick {
  readonly seconds: number;
  /** Did it turn the boat at all to speak of? Where it did not, the pivot means nothing. */
  readonly turns: boolean;
  /** rad/s, m/s, and where the pivot lay at first, m forward of midships. */
  readonly rate: number;
  readonly headway: number;
  readonly turned: number;
  readonly pivot: number;
}

/** Ahead from rest with the wheel hard over, for so long after the clutch has taken hold: half throttle, or firm where that is less. */
export function kickAhead(
  craft: Craft,
  seconds = burst(craft, 3),
  throttle = Math.min(HALF, firmThrottle(craft)),
): Kick {
  const water = OpenWater.of(craft);
  water.wheelSet(1);
  water.engine(1, throttle);
  water.until(() => water.state.engines[0]!.engaged !== 0, 60);
  water.until(() => Math.abs(water.rate) > 1e-4, 3);
  const pivot = -water.sideways / water.rate;
  water.run(seconds);
  const turns = Math.abs(water.rate) > 0.25 * steeringRate(craft);
  return {
    seconds,
    turns,
    rate: water.rate,
    headway: water.ahead,
    turned: water.heading,
    pivot,
  };
}

export interface BackAndFill {
  /** Breadth of the lane along the boat first heading that it needed, m, and how many bursts. */
  readonly room: number;
  readonly bursts: number;
  readonly time: number;
}

/**
 * Half a turn on the spot by back and fill: wheel hard over to `side` all the while (or reversed with the
 * gear for steered drives), ahead until the boat moves a little, astern until it stops and a little more.
 * Null if it does not come round in 24 bursts.
 */
export function backAndFill(craft: Craft, side: 1 | -1, most = 24): BackAndFill | null {
  const water = OpenWater.of(craft);
  const steered = craft.spec.drives.some((d) => d.steering !== 'fixed');
  const room = new Lane(craft, 0);
  const throttle = firmThrottle(craft);
  const goes = () => side * water.heading >= Math.PI;
  const way = shiftingWay(craft);
  water.wheelSet(side);
  let bursts = 0;
  let ahead = true;
  while (!goes() && bursts < most) {
    if (steered) water.wheel(ahead ? side : -side);
    water.engine(ahead ? 1 : -1, throttle);
    const now = ahead ? () => water.ahead > way : () => water.ahead < -way;
    const past = () => {
      room.add(water.x, water.y, water.heading);
      return goes() || now();
    };
    water.until(past, 40);
    // Seen to be moving, the boat is shifted as late as a person is.
    const seen = water.time;
    water.until(() => {
      room.add(water.x, water.y, water.heading);
      return goes() || water.time - seen >= SHIFTS_LATE_S;
    }, 5);
    bursts += 1;
    ahead = !ahead;
  }
  if (!goes()) return null;
  return { room: room.breadth, bursts, time: water.time };
}

export interface Opposed {
  /** Steady rate, rad/s, and creep, m/s, positive ahead; null when the boat has not two drives apart. */
  readonly rate: number;
  readonly creep: number;
  /** Thrust ordered astern over that at equal revolutions, to stop the creep, less one. */
  readonly extraAstern: number;
}

/** Outer engines opposed at idle, wheel amidships. */
export function opposedEngines(craft: Craft): Opposed | null {
  const { drives } = craft.spec;
  if (drives.length < 2) return null;
  const last = drives.length - 1;
  const spin = (astern: number) => {
    const water = OpenWater.of(craft);
    // Port ahead, starboard astern: bow to starboard.
    water.engine(1, 0, 0);
    water.engine(-1, astern, last);
    water.run(90);
    return water;
  };
  const even = spin(0);
  if (even.ahead <= 0 || spin(1).ahead > 0)
    return { rate: even.rate, creep: even.ahead, extraAstern: even.ahead <= 0 ? 0 : Infinity };
  const { high } = bisect((astern) => spin(astern).ahead > 0, 0, 1, 9);
  const { idleRps, fullRps, bollardRps } = drives[last]!;
  const rps = Math.min(bollardRps, idleRps + high * (fullRps - idleRps));
  const ratio = rps / idleRps;
  return { rate: even.rate, creep: even.ahead, extraAstern: ratio * ratio - 1 };
}
