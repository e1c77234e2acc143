import { DRIVE, type Craft } from '../boat';
import { cos, sin } from '../math';
import { AIR_KGPM3, MPS_PER_KNOT } from '../units';
import { environmentFor } from '../simulation';
import { CALM, OpenWater } from './open-water';
import { backAndFill, kickAhead, turningCircle } from './turning';
import { steadySpeed, stopFrom } from './way';
import { driftFrom, thrusterAgainstSpeed } from './wind';

// The figures of a boat that behaviours are rows of.

export const KN = MPS_PER_KNOT;
export const DEGREE = Math.PI / 180;
const BEAM_WIND = 15 * KN;
/** What one person holds for a while, N. */
const PERSON_N = 300;
/** Astern over ahead thrust of two folding blades. */
const FOLDING = 0.38;
/** … and of three fixed ones. */
const FIXED = 0.7;

/** A trial that several rows read, made once a boat. */
function once<T>(trial: (craft: Craft) => T): (craft: Craft) => T {
  const known = new WeakMap<Craft, { readonly found: T }>();
  return (craft) => {
    const before = known.get(craft);
    if (before) return before.found;
    const found = trial(craft);
    known.set(craft, { found });
    return found;
  };
}

export const length = (craft: Craft) => craft.spec.hull.length;
export const idle = (craft: Craft, engines = Infinity) => steadySpeed(craft, 1, 0, engines) / KN;
export const stopLengths = (craft: Craft) =>
  (stopFrom(craft, 3 * KN)?.distance ?? Infinity) / length(craft);
/** Towards the side a right-handed screw walks to, so that left-handed ones count alike. */
export const byHand = (craft: Craft) => craft.spec.drives[0]!.hand;
export const room = (side: 1 | -1) => (craft: Craft) =>
  (backAndFill(craft, side === byHand(craft) ? 1 : -1)?.room ?? Infinity) / length(craft);
export const circle = once((craft) => turningCircle(craft, 1, 0, 1, steadySpeed(craft, 1, 0)));
export const diameter = (craft: Craft) => (circle(craft)?.diameter ?? Infinity) / length(craft);
export const kickRate = (craft: Craft) => Math.abs(kickAhead(craft).rate) / DEGREE;
export const drift = once((craft) => driftFrom(craft, BEAM_WIND, Math.PI / 2));
export const percent = (craft: Craft) => (100 * drift(craft).drift) / BEAM_WIND;
export const thruster = once((craft) => thrusterAgainstSpeed(craft, 0));
export const thrusterLeft = (knots: number) => (craft: Craft) =>
  100 * thruster(craft)[knots]!.share;
/** The same boat with a two-blade folding propeller. */
export function folded(craft: Craft): Craft {
  const { drives } = craft;
  const values = drives.values.slice();
  for (let i = 0; i < drives.count; i++) {
    const at = (i * values.length) / drives.count;
    values[at + DRIVE.ASTERN_SQUARED]! *= FOLDING / FIXED;
  }
  return { ...craft, drives: { ...drives, values } };
}

/** Rate of turn two seconds after a click astern with the drive hard over, °/s. */
export function clickAstern(craft: Craft): number {
  const water = OpenWater.of(craft);
  water.wheelSet(1);
  water.engine(-1, 0);
  water.until(() => water.state.engines[0]!.engaged !== 0, 5);
  water.run(2);
  return Math.abs(water.rate) / DEGREE;
}

/** Wind abeam that pushes with what one person holds, kn. */
export function holdsByHand(craft: Craft): number {
  const { windage } = craft.spec;
  const share = environmentFor(craft, CALM).windShare;
  const perSquare = 0.5 * AIR_KGPM3 * windage.lateralArea * windage.sideDrag * share * share;
  return Math.sqrt(PERSON_N / perSquare) / KN;
}

/** Angle to the track a helm steers at idle with the wind abeam, °. */
export function crabAngle(craft: Craft): number {
  const water = OpenWater.of(craft, { weather: { windFrom: Math.PI / 2, windSpeed: BEAM_WIND } });
  water.engine(1, 0);
  // A helm that steers the track north: the course made good brought back to it.
  let sum = 0;
  let count = 0;
  water.until(() => {
    const east = water.ahead * sin(water.heading) + water.sideways * cos(water.heading);
    const wanted = -2.2 * east - 0.03 * water.x + 0.35;
    water.wheel(Math.max(-1, Math.min(1, 2 * (wanted - water.heading) - 8 * water.rate)));
    if (water.time > 300) {
      sum += water.heading;
      count += 1;
    }
    return false;
  }, 600);
  return sum / count / DEGREE;
}

/** Seconds from letting go with the wind off the berth until the nearest end is five metres off. */
export function blownOff(craft: Craft): number {
  const water = OpenWater.of(craft, { weather: { windFrom: -Math.PI / 2, windSpeed: BEAM_WIND } });
  const end = 0.5 * length(craft);
  water.until(() => water.x - end * Math.abs(sin(water.heading)) >= 5, 600);
  return water.time;
}

/** Lengths run from steady dead slow before full rudder has changed the heading by 5°. */
export function runBeforeTurning(craft: Craft): number {
  const water = OpenWater.of(craft, { speed: steadySpeed(craft, 1, 0) });
  const engine = water.state.engines[0]!;
  engine.orderedGear = engine.engaged = 1;
  engine.rps = craft.spec.drives[0]!.idleRps;
  water.wheel(1);
  water.until(() => water.heading >= 5 * DEGREE, 900);
  return water.y / length(craft);
}
