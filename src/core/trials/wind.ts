import type { Craft } from '../boat';
import { bisect, cos, sin, wrapHalfTurn } from '../math';
import { MPS_PER_KNOT } from '../units';
import { HALF, hasDrive, OpenWater } from './open-water';

const DEGREE = Math.PI / 180;

/** Angle the wind makes with the bow, 0 … π either side. */
function offTheBow(heading: number, from: number): number {
  return Math.abs(wrapHalfTurn(heading - from));
}

export interface Drift {
  /** Wind, m/s at 10 m, and the angle off the boat's bow it began at, rad. */
  readonly wind: number;
  readonly began: number;
  /** Once settled: drift down the wind and speed over ground, m/s; the angle the boat lies at, rad. */
  readonly drift: number;
  readonly speed: number;
  readonly lies: number;
  /** Drift down the wind after twenty seconds, before the boat has turned far, m/s. */
  readonly early: number;
  /** Seconds until the boat's bow had moved 30°; null if it never did. */
  readonly fallsIn: number | null;
}

/** Let go from rest in a wind, engine in neutral. Settled after `seconds`. */
export function driftFrom(craft: Craft, wind: number, began: number, seconds = 240): Drift {
  const water = OpenWater.of(craft, { weather: { windFrom: began, windSpeed: wind } });
  let fallsIn: number | null = null;
  const watch = () => {
    if (fallsIn === null && Math.abs(water.heading) >= 30 * DEGREE) fallsIn = water.time;
    return false;
  };
  const downWind = () => -water.x * sin(began) - water.y * cos(began);
  const go = (s: number) => {
    const from = downWind();
    const x = water.x;
    const y = water.y;
    water.until(watch, s);
    const dx = water.x - x;
    const dy = water.y - y;
    return { drift: (downWind() - from) / s, speed: Math.sqrt(dx * dx + dy * dy) / s };
  };
  go(18);
  const early = go(4).drift;
  go(seconds - 52);
  // The boat may swing about where it lies: the mean over the last half minute.
  const before = offTheBow(water.heading, began);
  const last = go(30);
  const lies = (before + offTheBow(water.heading, began)) / 2;
  return { wind, began, ...last, lies, early, fallsIn };
}

export interface HoldsBow {
  /** Wind abeam, m/s, beyond which the bow is blown away; Infinity if it is held up to a storm; null without the means. */
  readonly seconds: number;
  readonly thruster: number | null;
  readonly burst: number | null;
}

export const STRONGEST_MPS = 30;

/** Greatest wind for which `wins` holds, m/s: nought if never, Infinity if always. */
export function greatestWind(wins: (wind: number) => boolean): number {
  if (!wins(0.5)) return 0;
  if (wins(STRONGEST_MPS)) return Infinity;
  return bisect(wins, 0.5, STRONGEST_MPS, 9).low;
}

/** How long the bow has to be held, s: eight, or a quarter of a second per metre of a big craft. */
export function heldFor(craft: Craft): number {
  return Math.max(8, 0.25 * craft.spec.hull.length);
}

/**
 * Lying stopped with the wind abeam to port: is the boat's stem where it was or further up-wind some seconds on, with
 * the bow thruster alone; with half throttle ahead and the wheel hard over to windward?
 */
export function holdsBow(craft: Craft): HoldsBow {
  const { thrusters } = craft.spec;
  const bow = thrusters.findIndex((t) => t.x > 0);
  const tries = (act: (water: OpenWater) => void) =>
    greatestWind((wind) => {
      const water = OpenWater.of(craft, {
        weather: { windFrom: -Math.PI / 2, windSpeed: wind },
      });
      act(water);
      water.run(heldFor(craft));
      // East is down-wind: the stem must not have gone there.
      return water.x + 0.5 * water.length * sin(water.heading) <= 0;
    });
  return {
    seconds: heldFor(craft),
    thruster: bow < 0 ? null : tries((water) => water.thruster(bow, -1)),
    burst: !hasDrive(craft)
      ? null
      : tries((water) => {
          water.wheelSet(-1);
          water.engine(1, HALF);
        }),
  };
}

export interface ThrusterAt {
  /** Headway, m/s, rate of turn reached in six seconds (forty for a ship), rad/s, and its share of that from rest. */
  readonly speed: number;
  readonly rate: number;
  readonly share: number;
}

/** What a thruster turns the boat at from rest and under way, engine in neutral. */
export function thrusterAgainstSpeed(
  craft: Craft,
  which: number,
  speeds: readonly number[] = [0, 1, 2, 3, 4, 5].map((kn) => kn * MPS_PER_KNOT),
): ThrusterAt[] {
  const reach = craft.spec.hull.length > 40 ? 40 : 6;
  const rates = speeds.map((speed) => {
    const water = OpenWater.of(craft, { speed });
    water.thruster(which, 1);
    water.run(reach);
    return Math.abs(water.rate);
  });
  return speeds.map((speed, i) => ({
    speed,
    rate: rates[i]!,
    share: rates[0]! > 0 ? rates[i]! / rates[0]! : 0,
  }));
}
