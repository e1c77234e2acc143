import { OVER_CILL_M } from '../policy';
import type { Lock } from './lock';

/** A stretch of time, in whatever the samples are told in. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** A level at a moment, m over the place's nought. */
export interface LevelAt {
  readonly at: number;
  readonly level: number;
}

/**
 * When a sea lock may be passed by the tide below it: water enough on the lower cill for a draught, and the tide not over the
 * water above; straight lines between the samples.
 */
export function tideWindows(
  lock: Pick<Lock, 'lowerCill' | 'upper'>,
  draught: number,
  tide: readonly LevelAt[],
): readonly Stretch[] {
  const least = lock.lowerCill + draught + OVER_CILL_M;
  const most = lock.upper.level;
  const open: { from: number; to: number }[] = [];
  for (let i = 0; i + 1 < tide.length; i++) {
    const a = tide[i]!;
    const b = tide[i + 1]!;
    const inside = part(a, b, least, most);
    if (!inside) continue;
    const last = open.at(-1);
    if (last && last.to >= inside.from - 1e-6) last.to = inside.to;
    else open.push({ ...inside });
  }
  return open;
}

/** The part of a straight piece of tide that lies between two levels. */
function part(a: LevelAt, b: LevelAt, least: number, most: number): Stretch | null {
  const rise = b.level - a.level;
  if (rise === 0) return a.level >= least && a.level <= most ? { from: a.at, to: b.at } : null;
  const at = (level: number) => a.at + ((level - a.level) / rise) * (b.at - a.at);
  const [first, second] = rise > 0 ? [at(least), at(most)] : [at(most), at(least)];
  const from = Math.max(a.at, first);
  const to = Math.min(b.at, second);
  return to > from ? { from, to } : null;
}
