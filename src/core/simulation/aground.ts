import { KEEL, KEEL_COLUMNS, type Craft } from '../boat';
import { frictionSlope, GROUND, LIST, STICK, STICK_SLIP_MPS } from '../holding';
import { bedOfLock, levelThere, nearestLock, type LockState, type SitedLock } from '../locks';
import { cos, seriesAt, sin } from '../math';
import { GRAVITY_MPS2 } from '../units';
import { depthOver, squat } from '../water';
import { depthAt, type Environment } from './environment';
import { PSI, U, V, X, Y } from './state';
import { CLOCK, UNDER } from './scratch';
import type { Vessel } from './vessel';
import type { World } from './world';

/** Friction of a hull or keel on the bottom: soft mud 0.2 to 0.3, sand 0.4, stone 0.6. Judgement, ±50 %. */
const BOTTOM_FRICTION = 0.4;

/** What tells how deep it is. */
export type Depths = Pick<Environment, 'bottom' | 'depth' | 'level'>;

/** Locks of the water, and how they stand. */
export interface LocksNow {
  readonly locks: readonly SitedLock[];
  readonly states: readonly LockState[];
}

/** Depth of water at a place and moment, m: negative where it is dry. */
export function depthThere(
  environment: Depths,
  x: number,
  y: number,
  time: number,
  locks: LocksNow | null = null,
): number {
  if (locks) return depthByLocks(environment, locks, x, y, time);
  if (!environment.bottom) return depthAt(environment, time);
  const level = environment.level ? seriesAt(environment.level, time) : 0;
  return depthOver(environment.bottom, x, y) + level;
}

/** Level of the water at a place and moment, over the place's nought, m: the tide's, or a lock's own chamber and pounds. */
export function standsAt(
  { level }: Pick<Depths, 'level'>,
  x: number,
  y: number,
  time: number,
  locks: LocksNow | null = null,
): number {
  const tide = level ? seriesAt(level, time) : 0;
  if (!locks) return tide;
  const k = nearestLock(locks.locks, x, y);
  const there = levelThere(locks.locks, locks.states, x, y);
  // A tidal lower water is the tide; every other level is the pound's own.
  return locks.locks[k]!.tidal && there === locks.states[k]!.lower ? tide : there;
}

/** In a lock: its own level over floor or cill; above it the upper pound's over what lies there; else as without. */
function depthByLocks(
  environment: Depths,
  now: LocksNow,
  x: number,
  y: number,
  time: number,
): number {
  const { locks, states } = now;
  const bed = bedOfLock(locks[nearestLock(locks, x, y)]!, x, y);
  if (!Number.isNaN(bed)) return levelThere(locks, states, x, y) - bed;
  const stands = standsAt(environment, x, y, time, now);
  if (environment.bottom) return depthOver(environment.bottom, x, y) + stands;
  return environment.depth + stands;
}

/** Is anything known of how deep it is? */
export const sounded = ({ bottom, depth }: Depths): boolean => bottom !== null || depth < Infinity;

/** Squat at the boat's speed through the water, m: for ships, upper side for small craft. */
function squatOf(motion: Float64Array, { craft, environment }: World): number {
  const { mass, waterlineLength, beam, draught } = craft.spec.hull;
  const full = mass / (environment.waterDensity * waterlineLength * beam * draught);
  const u = motion[U]!;
  const v = motion[V]!;
  return squat(Math.min(1, full), Math.sqrt(u * u + v * v), environment.confined);
}

/** Least water under a boat that lies still at a pose and moment, m: negative where it is aground. */
export function leastUnder(
  { keel }: Craft,
  depths: Depths,
  { x, y, heading }: { readonly x: number; readonly y: number; readonly heading: number },
  time: number,
  locks: LocksNow | null = null,
): number {
  const s = sin(heading);
  const c = cos(heading);
  let least = Infinity;
  for (let k = 0; k < keel.length; k += KEEL_COLUMNS) {
    const ahead = keel[k + KEEL.X]!;
    const across = keel[k + KEEL.Y]!;
    const east = x + ahead * s + across * c;
    const depth = depthThere(depths, east, y + ahead * c - across * s, time, locks);
    least = Math.min(least, depth - keel[k + KEEL.DRAUGHT]!);
  }
  return least;
}

/**
 * Water under everything of the boat that may take the ground, m, into the scratch, with the least of it and where; held over the step.
 * Waves are out.
 */
export function soundKeel(motion: Float64Array, { world, state, scratch: s }: Vessel): void {
  const { craft, environment } = world;
  const { keel } = craft;
  const { gapsUnder, under } = s;
  const psi = motion[PSI]!;
  const sinPsi = sin(psi);
  const cosPsi = cos(psi);
  const time = s.clock[CLOCK.TIME]!;
  const { gates } = world;
  const locks =
    gates && state.locks.length > 0 ? { locks: gates.locks, states: state.locks } : null;
  const varies = environment.bottom !== null || locks !== null;
  const even = varies ? 0 : depthAt(environment, time);
  const sinks = squatOf(motion, world);
  let least = Infinity;
  let at = 0;
  let depths = 0;
  for (let i = 0; i < gapsUnder.length; i++) {
    const k = i * KEEL_COLUMNS;
    const x = keel[k + KEEL.X]!;
    const y = keel[k + KEEL.Y]!;
    const east = motion[X]! + x * sinPsi + y * cosPsi;
    const north = motion[Y]! + x * cosPsi - y * sinPsi;
    const depth = varies ? depthThere(environment, east, north, time, locks) : even;
    depths += depth;
    const gap = depth - keel[k + KEEL.DRAUGHT]! - sinks;
    gapsUnder[i] = gap;
    if (gap >= least) continue;
    least = gap;
    at = i;
  }
  under[UNDER.LEAST] = least;
  under[UNDER.AT] = at;
  under[UNDER.DEPTH] = varies ? depths / gapsUnder.length : even;
}

/**
 * Bottom under the boat: everything pressed into it bears by the buoyancy lost there, all of it no more than its weight, and rubs against
 * the way it goes over the ground (Coulomb, held as touches are). Heave, trim and heel are out: a slope does not push it off.
 */
export function addBottom(force: Float64Array, { world, scratch: s }: Vessel): void {
  const { craft, environment } = world;
  const { keel } = craft;
  const { gapsUnder, ground, touch } = s;
  const stick = touch.stick!;
  let borne = 0;
  for (let i = 0; i < gapsUnder.length; i++)
    if (gapsUnder[i]! < 0) borne -= gapsUnder[i]! * keel[i * KEEL_COLUMNS + KEEL.BEARING]!;
  borne *= environment.waterDensity;
  const weight = craft.spec.hull.mass * GRAVITY_MPS2;
  const share = environment.waterDensity * (borne > weight ? weight / borne : 1);
  for (let i = 0; i < gapsUnder.length; i++) {
    if (gapsUnder[i]! >= 0) continue;
    const k = i * KEEL_COLUMNS;
    const x = keel[k + KEEL.X]!;
    const y = keel[k + KEEL.Y]!;
    const normal = -gapsUnder[i]! * keel[k + KEEL.BEARING]! * share;
    const along = ground[GROUND.SURGE]! - ground[GROUND.YAW]! * y;
    const across = ground[GROUND.SWAY]! + ground[GROUND.YAW]! * x;
    const slip = Math.sqrt(along * along + across * across);
    const slope = frictionSlope(BOTTOM_FRICTION, normal, slip, STICK_SLIP_MPS);
    const fx = -slope * along;
    const fy = -slope * across;
    force[0]! += fx;
    force[1]! += fy;
    force[2]! += x * fy - y * fx;
    const beyond = slope * touch.list[LIST.PIECE]!;
    touch.sticks = true;
    stick[STICK.UU]! += beyond;
    stick[STICK.UR]! -= beyond * y;
    stick[STICK.VV]! += beyond;
    stick[STICK.VR]! += beyond * x;
    stick[STICK.RR]! += beyond * (x * x + y * y);
  }
}
