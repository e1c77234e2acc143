import { isInside, type FlatPoints } from '../math';
import { intoLock, IN_LOCK, outOfLock, type SitedLock } from './sited';

/** Looked at so often on the way, m. */
const EVERY_M = 0.5;

/** Room over the boat's highest point under a bridge on its way through a lock, m; negative where it does not pass. */
export interface RoomUnder {
  readonly name: string;
  readonly room: number;
}

/**
 * The bridge with the least room on the boat's way through a lock: from a place before its gates along the middle until so far beyond
 * the others; null where there is none. Over the chamber the higher of its levels counts, as it rises or begins there.
 *
 * @param from where it comes from, m east and north
 * @param beyond m
 */
export function roomUnder(
  sited: SitedLock,
  bridges: readonly {
    readonly name: string;
    readonly outline: FlatPoints;
    readonly clearance: number;
  }[],
  from: { readonly x: number; readonly y: number },
  beyond: number,
  airDraught: number,
): RoomUnder | null {
  const { lock, begins } = sited;
  const at = new Float64Array(2);
  intoLock(at, sited, from.x, from.y);
  const down = at[IN_LOCK.S]! < lock.length / 2;
  const ends = [0, lock.length].map((s) => outOfLock(sited, s, 0));
  const [near, far] = down ? [ends[0]!, ends[1]!] : [ends[1]!, ends[0]!];
  const out = outOfLock(sited, down ? lock.length + beyond : -beyond, 0);
  let least: RoomUnder | null = null;
  for (const [a, b] of [
    [from, near],
    [near, far],
    [far, out],
  ] as const) {
    const dx = b.x - a.x;
    const dy = b.y - a.y;
    const steps = Math.max(1, Math.ceil(Math.sqrt(dx * dx + dy * dy) / EVERY_M));
    for (let i = 0; i <= steps; i++) {
      const x = a.x + (dx * i) / steps;
      const y = a.y + (dy * i) / steps;
      intoLock(at, sited, x, y);
      const level =
        at[IN_LOCK.S]! > lock.length ? begins.lower : Math.max(begins.upper, begins.lower);
      for (const { name, outline, clearance } of bridges) {
        const room = clearance - level - airDraught;
        if (least && least.room <= room) continue;
        if (isInside(outline, x, y)) least = { name, room };
      }
    }
  }
  return least;
}
