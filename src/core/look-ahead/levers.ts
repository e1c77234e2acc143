import type { Craft } from '../boat';
import {
  apart,
  orderEngine,
  orderRudder,
  orderThruster,
  throttleFor,
  type SimState,
  type World,
} from '../simulation';
import type { Gear } from '../simulation';

/** Where the levers stand: gear and throttle of each engine, power of each thruster. The wheel is apart from it. */
export interface Levers {
  readonly name: string;
  readonly gears: readonly Gear[];
  readonly throttle: number;
  readonly thrusters: readonly number[];
  /** 1 where it gathers headway, −1 sternway, 0 where it does neither. */
  readonly way: Gear;
}

/** What a burst gathers way by, m/s²: a usual one and a firm one, as far as the engine goes. */
const USUAL = 0.12;
const FIRM = 0.28;
/** Throttle beyond this is firm enough for anybody. */
const MOST_THROTTLE = 0.75;
/** A throttle hardly over idle is idle. */
const OVER_IDLE = 0.06;

const twentieth = (share: number) => Math.round(20 * Math.min(MOST_THROTTLE, share)) / 20;

/**
 * What a person may do with a boat's levers, neutral first: all engines together at idle, at a usual and at a firm throttle, engines apart one against the
 * other or one alone, and thrusters with the engines out of gear or idling.
 */
export function leversOf(
  craft: Craft,
  density: number,
  thrusters: boolean,
  idle = false,
): Levers[] {
  const { drives, thrusters: fitted } = craft.spec;
  const still = fitted.map(() => 0);
  const all = (gear: Gear) => drives.map(() => gear);
  const found: Levers[] = [
    { name: 'neutral', gears: all(0), throttle: 0, thrusters: still, way: 0 },
  ];
  const throttles = (way: 1 | -1) => {
    const wanted = [
      0,
      ...[USUAL, FIRM].map((answer) => twentieth(throttleFor(craft, density, way, answer))),
    ];
    return wanted.filter(
      (throttle, i) => i === 0 || (!idle && throttle > wanted[i - 1]! + OVER_IDLE),
    );
  };
  for (const way of [1, -1] as const)
    for (const throttle of throttles(way))
      found.push({
        name: `${way > 0 ? 'ahead' : 'astern'} ${throttle}`,
        gears: all(way),
        throttle,
        thrusters: still,
        way,
      });
  const pair = apart(craft);
  if (pair) {
    const usual = throttles(-1).at(1) ?? 0;
    for (const side of [1, -1] as const) {
      const gears = drives.map(({ y }): Gear => (y * side < 0 ? 1 : y * side > 0 ? -1 : 0));
      for (const throttle of usual > 0 ? [0, usual] : [0])
        found.push({
          name: `opposed ${side} ${throttle}`,
          gears,
          throttle,
          thrusters: still,
          way: 0,
        });
      for (const way of [1, -1] as const) {
        const one = drives.map(({ y }): Gear => (y * side * way < 0 ? way : 0));
        found.push({ name: `one ${side} ${way}`, gears: one, throttle: 0, thrusters: still, way });
      }
    }
  }
  if (thrusters && fitted.length > 0) {
    for (const side of [1, -1] as const) {
      // Turned by all there are; pushed sideways where there is one at either end.
      const turning = fitted.map(({ x }) => (x > 0 ? side : -side));
      for (const way of [0, 1, -1] as const)
        found.push({
          name: `thrust ${side} ${way}`,
          gears: all(way),
          throttle: 0,
          thrusters: turning,
          way,
        });
      if (fitted.some(({ x }) => x > 0) && fitted.some(({ x }) => x < 0))
        found.push({
          name: `sideways ${side}`,
          gears: all(0),
          throttle: 0,
          thrusters: fitted.map(() => side),
          way: 0,
        });
    }
  }
  return found;
}

/** Puts the levers and the wheel where they are to stand. @param wheel share of the lock, starboard positive */
export function putLevers(state: SimState, { craft }: World, levers: Levers, wheel: number): void {
  state.helm.active = false;
  state.hand.active = false;
  state.engines.forEach((engine, i) => {
    const gear = levers.gears[i]!;
    orderEngine(engine, craft.spec.drives[i]!, gear, gear === 0 ? 0 : levers.throttle);
  });
  state.thrusters.forEach((thruster, i) =>
    orderThruster(thruster, craft.spec.thrusters[i]!, levers.thrusters[i]!),
  );
  orderRudder(state, craft, wheel * craft.limits[0]!);
}
