import type { DriveNow } from '@/core/drive';
import type { Boat, OrderDocument } from '@/document';

export type GearWord = 'ahead' | 'neutral' | 'astern';

/** One lever: gear, and throttle 0 idle to 1 full. */
export interface LeverAt {
  readonly gear: GearWord;
  readonly throttle: number;
}

/** The controls as the hands have put them, before the boat has followed. */
export interface HelmAt {
  /** Rudder angle, degrees, to starboard positive. */
  readonly wheel: number;
  /** By the engines' order in the boat. */
  readonly levers: readonly LeverAt[];
  /** By the thrusters' order, −1 … 1. */
  readonly thrusters: readonly number[];
  readonly stick: { readonly ahead: number; readonly sideways: number; readonly twist: number };
}

const NOTCH = 0.1;
const NOTCHES = Math.round(1 / NOTCH) + 1;
const WORDS = { '1': 'ahead', '0': 'neutral', '-1': 'astern' } as const;

/** A lever as a number of notches: 0 neutral, ±1 in gear at idle, ±11 full. */
export function notchesOf({ gear, throttle }: LeverAt): number {
  if (gear === 'neutral') return 0;
  const notches = 1 + Math.round(throttle / NOTCH);
  return gear === 'ahead' ? notches : -notches;
}

export function leverAt(notches: number): LeverAt {
  const held = Math.max(-NOTCHES, Math.min(NOTCHES, Math.round(notches)));
  if (held === 0) return { gear: 'neutral', throttle: 0 };
  const throttle = Number(((Math.abs(held) - 1) * NOTCH).toFixed(2));
  return { gear: held > 0 ? 'ahead' : 'astern', throttle };
}

export const MOST_NOTCHES = NOTCHES;

/** One notch on or back; a lever stops in neutral and does not slip through it. */
export function notched(lever: LeverAt, by: 1 | -1): LeverAt {
  return leverAt(notchesOf(lever) + by);
}

/** The controls where the boat says they are. */
export function helmOf(now: DriveNow, most: number): HelmAt {
  return {
    wheel: Math.max(-most, Math.min(most, (now.wheel.ordered * 180) / Math.PI)),
    levers: now.engines.map(({ ordered, throttle }) => ({
      gear: WORDS[`${ordered}`],
      throttle: ordered === 0 ? 0 : throttle,
    })),
    thrusters: now.thrusters.map(({ ordered }) => ordered),
    stick: { ahead: 0, sideways: 0, twist: 0 },
  };
}

/** Controls of which it is not known where wheel and levers were put: these are ordered anew with whatever is ordered next. */
export const unknownFrom = (helm: HelmAt, hasWheel: boolean): HelmAt => ({
  ...helm,
  ...(hasWheel ? { wheel: NaN } : {}),
  levers: [],
});

/** Orders that make the boat's controls what the hands have made them, for those that differ. */
export function ordersBetween(from: HelmAt, to: HelmAt, boat: Boat): OrderDocument[] {
  const orders: OrderDocument[] = [];
  const { ahead, sideways, twist } = from.stick;
  const sticked =
    to.stick.ahead !== ahead || to.stick.sideways !== sideways || to.stick.twist !== twist;
  if (sticked) orders.push({ do: 'joystick', after_s: 0, ...to.stick });
  if (to.wheel !== from.wheel) orders.push({ do: 'wheel', after_s: 0, angle_deg: to.wheel });
  to.levers.forEach((lever, i) => {
    const was = from.levers[i];
    if (was?.gear === lever.gear && was.throttle === lever.throttle) return;
    const engine = boat.drives.length > 1 ? { engine: boat.drives[i]!.name } : {};
    orders.push({ do: 'engine', after_s: 0, ...engine, ...lever });
  });
  to.thrusters.forEach((power, i) => {
    if (from.thrusters[i] === power) return;
    orders.push({ do: 'thruster', after_s: 0, thruster: boat.thrusters[i]!.name, power });
  });
  return orders;
}
