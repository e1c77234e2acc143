import { atan2, cos, power, sin, wrapTurn } from '../math';
import { CONSTITUENTS, type Angles, type ConstituentName } from './constituents';

/** One constituent of a place: amplitude, m, and phase lag behind Greenwich (g), rad. */
export interface Harmonic {
  readonly name: ConstituentName;
  readonly amplitude: number;
  readonly phase: number;
}

/** A high or low water: seconds since 1970 UTC, level over the datum, m. */
export interface Turn {
  readonly at: number;
  readonly level: number;
}

/** How the level at a place goes: by constituents about a mean level, m; or by a table of high and low waters, in order. */
export type Tide =
  | { readonly by: 'constituents'; readonly mean: number; readonly harmonics: readonly Harmonic[] }
  | { readonly by: 'table'; readonly turns: readonly Turn[] };

const DAY_S = 86_400;
const CENTURY_D = 36_525;
/** Noon of the first of January 2000, seconds since 1970 UTC; terrestrial time is not told from it (a minute: 0.5° of M2). */
const J2000_S = 946_728_000;
const RAD = Math.PI / 180;

/**
 * Mean longitudes of moon (s), sun (h), the moon's perigee (p) and the sun's (p1), of the moon's node (n), and the hour angle
 * of the mean sun (t), degrees. Linear and square terms, Meeus, Astronomical Algorithms, chs. 22, 25 and 47 (recalled, not looked
 * up): to 0.01° for 1900 … 2100.
 */
export function astronomicalAngles(at: number): Angles {
  const d = (at - J2000_S) / DAY_S;
  const c = d / CENTURY_D;
  return {
    t: (((at % DAY_S) + DAY_S) % DAY_S) / 240 + 180,
    s: 218.3164477 + 481267.88123421 * c - 0.0015786 * c * c,
    h: 280.46646 + 36000.76983 * c + 0.0003032 * c * c,
    p: 83.3532465 + 4069.0137287 * c - 0.01032 * c * c,
    n: 125.04452 - 1934.136261 * c + 0.0020708 * c * c,
    p1: 282.93735 + 1.71946 * c,
  };
}

/** Equilibrium phase V + u of a constituent, rad (not wrapped), and its nodal factor f. */
export function phaseAndFactor(
  name: ConstituentName,
  at: number,
): { readonly phase: number; readonly factor: number } {
  const angles = astronomicalAngles(at);
  const { doodson, shift_deg, node } = CONSTITUENTS[name];
  const [t, s, h, p, p1] = doodson;
  const v = t * angles.t + s * angles.s + h * angles.h + p * angles.p + p1 * angles.p1 + shift_deg;
  const cosN = cos(angles.n * RAD);
  const sinN = sin(angles.n * RAD);
  const u = node.u_deg * sinN;
  const f = node.mean + node.f * cosN;
  return { phase: (v + node.times * u) * RAD, factor: power(f, node.times) };
}

/** Curve between two turns: a cosine, flat at both. */
function between(a: Turn, b: Turn, at: number): number {
  const share = (at - a.at) / (b.at - a.at);
  return a.level + ((b.level - a.level) * (1 - cos(Math.PI * share))) / 2;
}

/**
 * Level over the datum, m, at a moment, seconds since 1970 UTC:
 *
 *   constituents  z₀ + Σ f A cos(V + u − g)
 *   table         cosine between one turn and the next
 *
 * Null outside a table. Weather and pressure are not in it: some decimetres (1 hPa low: 1 cm up).
 */
export function tideLevel(tide: Tide, at: number): number | null {
  if (tide.by === 'constituents') {
    let level = tide.mean;
    for (const { name, amplitude, phase } of tide.harmonics) {
      const now = phaseAndFactor(name, at);
      level += now.factor * amplitude * cos(now.phase - phase);
    }
    return level;
  }
  const { turns } = tide;
  for (let i = 1; i < turns.length; i++) {
    if (at <= turns[i]!.at)
      return at < turns[i - 1]!.at ? null : between(turns[i - 1]!, turns[i]!, at);
  }
  return null;
}

const LOOK_S = 360;

/** High and low waters from one moment to another: by constituents to the second, from a table those it has. */
export function turnsBetween(tide: Tide, from: number, to: number): readonly Turn[] {
  if (tide.by === 'table') return tide.turns.filter(({ at }) => at >= from && at <= to);
  const level = (at: number) => tideLevel(tide, at)!;
  const turns: Turn[] = [];
  let rising: boolean | null = null;
  let before = level(from);
  for (let at = from + LOOK_S; at <= to + LOOK_S / 2; at += LOOK_S) {
    const now = level(at);
    if (now === before) continue;
    if (rising !== null && now > before !== rising) {
      const turn = summit(level, at - 2 * LOOK_S, at, rising ? 1 : -1);
      if (turn.at >= from && turn.at <= to) turns.push(turn);
    }
    rising = now > before;
    before = now;
  }
  return turns;
}

/** Highest (sign 1) or lowest (−1) of a curve with one summit, by thirds. */
function summit(level: (at: number) => number, from: number, to: number, sign: 1 | -1): Turn {
  let [a, b] = [from, to];
  while (b - a > 0.5) {
    const third = (b - a) / 3;
    if (sign * level(a + third) < sign * level(b - third)) a += third;
    else b -= third;
  }
  const at = (a + b) / 2;
  return { at, level: level(at) };
}

/** Current at a time from high water, hours: where it sets to, rad, and its rate at the range it was measured at, m/s. */
export interface HourCurrent {
  readonly hour: number;
  readonly set: number;
  readonly rate: number;
}

/** Where a current sets to, rad, and how fast, m/s. */
export interface Current {
  readonly set: number;
  readonly rate: number;
}

/**
 * The tidal current at a moment: read between the hours before and after the nearest high water, as a vector, and grown with the
 * range of that tide against the range the table was taken at, m. Null where the tide tells no high water near, or no hours are
 * known. Before its first and after its last hour the table's end holds.
 */
export function tidalCurrent(
  tide: Tide,
  hours: readonly HourCurrent[],
  range: number,
  at: number,
): Current | null {
  if (hours.length === 0) return null;
  const turns = turnsBetween(tide, at - DAY_S, at + DAY_S);
  const high = turns.filter(({ level }, i) => isHigh(turns, i, level));
  const nearest = high.toSorted((a, b) => Math.abs(a.at - at) - Math.abs(b.at - at))[0];
  if (!nearest) return null;
  const next = turns[turns.indexOf(nearest) + 1] ?? turns[turns.indexOf(nearest) - 1];
  const grown = next ? Math.abs(nearest.level - next.level) / range : 1;
  const hour = (at - nearest.at) / 3600;
  const after = hours.findIndex((h) => h.hour >= hour);
  const b = hours[after < 0 ? hours.length - 1 : after]!;
  const a = hours[after < 0 ? hours.length - 1 : Math.max(0, after - 1)]!;
  const share = b.hour > a.hour ? Math.min(1, Math.max(0, (hour - a.hour) / (b.hour - a.hour))) : 0;
  const mixed = (f: (angle: number) => number) =>
    grown * ((1 - share) * a.rate * f(a.set) + share * b.rate * f(b.set));
  return directed(mixed(sin), mixed(cos));
}

function isHigh(turns: readonly Turn[], i: number, level: number): boolean {
  const beside = turns[i + 1] ?? turns[i - 1];
  return beside !== undefined && level > beside.level;
}

function directed(east: number, north: number): Current {
  const rate = Math.sqrt(east * east + north * north);
  return { set: rate === 0 ? 0 : wrapTurn(atan2(east, north)), rate };
}
