import type { FlatPoints } from '../math';
import { STANDS_BACK_M } from '../policy';
import { isShut } from './work';
import type { End, Lock, LockState, LockSide } from './lock';
import { intoLock, IN_LOCK, type SitedLock } from './sited';

// On foot beside a lock: along its sides, and from one to the other by gates that stand shut or by a bridge.

/** A place beside a lock: from its upper gates down, and from its middle to the left looking up-stream, m. */
export interface Spot {
  readonly s: number;
  readonly t: number;
}

/** Where a bridge is stepped on and off, on the left and on the right of a lock. */
export type Landings = readonly [Spot, Spot];

/** What people may walk over: its outline on the plan, m. */
export interface Bridging {
  readonly outline: FlatPoints;
  /** Do they? */
  readonly footway: boolean;
}

export const endAt = (lock: Lock, end: End) => (end === 'upper' ? 0 : lock.length);

/** Where a paddle or leaf is worked from. */
export function spotOf(lock: Lock, end: End, side: LockSide): Spot {
  const t = lock.width / 2 + STANDS_BACK_M;
  return { s: endAt(lock, end), t: side === 'left' ? t : -t };
}

/** A place on the plan, m east and north, as it lies to a lock. */
export function spotAt(sited: SitedLock, { x, y }: { readonly x: number; readonly y: number }) {
  const where = new Float64Array(2);
  intoLock(where, sited, x, y);
  return { s: where[IN_LOCK.S]!, t: where[IN_LOCK.T]! };
}

const apart = (a: Spot, b: Spot) => {
  const ds = a.s - b.s;
  const dt = a.t - b.t;
  return Math.sqrt(ds * ds + dt * dt);
};

/** Middle of an outline where it is so far to the left of a lock's middle, m from the upper gates; null where it is not there. */
function middleAt(corners: readonly Spot[], t: number): number | null {
  const met = corners.flatMap((a, i) => {
    const b = corners[(i + 1) % corners.length]!;
    if (a.t < t === b.t < t) return [];
    return [a.s + ((t - a.t) / (b.t - a.t)) * (b.s - a.s)];
  });
  return met.length > 0 ? (Math.min(...met) + Math.max(...met)) / 2 : null;
}

/** The bridges over a lock, or over the water before it, that one walks over: those that reach over the whole breadth of its chamber. */
export function landingsOf(sited: SitedLock, bridges: readonly Bridging[] = []): Landings[] {
  const t = sited.lock.width / 2;
  return bridges.flatMap(({ outline, footway }): Landings[] => {
    if (!footway) return [];
    const corners = Array.from({ length: outline.length / 2 }, (_, i) =>
      spotAt(sited, { x: outline[2 * i]!, y: outline[2 * i + 1]! }),
    );
    const [left, right] = [middleAt(corners, t), middleAt(corners, -t)];
    if (left === null || right === null) return [];
    return [
      [
        { s: left, t },
        { s: right, t: -t },
      ],
    ];
  });
}

/**
 * Way on foot between two places beside a lock, m: along its side, and across by gates that stand shut or over a bridge; null
 * where there is neither.
 *
 * @param shut do the gates of an end stand shut?
 */
export function wayBeside(
  lock: Lock,
  shut: (end: End) => boolean,
  from: Spot,
  to: Spot,
  bridges: readonly Landings[],
): number | null {
  if (from.t * to.t > 0) return apart(from, to);
  const ways = (['upper', 'lower'] as const).flatMap((end) => {
    if (!shut(end)) return [];
    const at = endAt(lock, end);
    return [Math.abs(from.s - at) + Math.abs(from.t - to.t) + Math.abs(to.s - at)];
  });
  for (const [left, right] of bridges) {
    const [on, off] = from.t > 0 ? [left, right] : [right, left];
    ways.push(apart(from, on) + apart(on, off) + apart(off, to));
  }
  return ways.length > 0 ? Math.min(...ways) : null;
}

/** The same beside a lock as it stands. */
export function wayOnFoot(
  sited: SitedLock,
  state: LockState,
  from: Spot,
  to: Spot,
  bridges: readonly Bridging[] = [],
): number | null {
  const over = from.t * to.t > 0 ? [] : landingsOf(sited, bridges);
  return wayBeside(sited.lock, (end) => isShut(sited.lock, state, end), from, to, over);
}
