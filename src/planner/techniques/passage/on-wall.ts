import { intoLock, IN_LOCK, type LockSide as Hand, type SitedLock } from '@/core/locks';

/** Bollards of a wall stand no further back from its edge, and may overhang it by so little, m. */
const BACK_M = 3;
const OVERHANG_M = 0.3;

/** Something along a wall of a chamber: from the upper gates down, and from the edge of the wall back, m. */
export interface OnWall {
  readonly name: string;
  readonly s: number;
  readonly back: number;
}

/** Bollards, rings, poles or ladders along a wall of the chamber, from the upper gates down. */
export function onWall(
  ends: readonly { readonly name: string; readonly x: number; readonly y: number }[],
  sited: SitedLock,
  wall: Hand,
): OnWall[] {
  const where = new Float64Array(2);
  const { length, width } = sited.lock;
  return ends
    .flatMap(({ name, x, y }): OnWall[] => {
      intoLock(where, sited, x, y);
      const s = where[IN_LOCK.S]!;
      const t = where[IN_LOCK.T]! * (wall === 'left' ? 1 : -1);
      const back = t - width / 2;
      return s > 0 && s < length && back > -OVERHANG_M && back < BACK_M ? [{ name, s, back }] : [];
    })
    .sort((a, b) => a.s - b.s);
}
