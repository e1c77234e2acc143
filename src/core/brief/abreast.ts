import { cos, sin } from '../math';
import type { MarkOnPlace, PointOnBoat, Run } from '../plan';
import { ABREAST_M, ABREAST_LENGTHS, MARK_FURTHEST_LENGTHS } from '../policy';

/** A mark that a point of the boat is abreast of as a step begins: its moment in the helm's own terms. */
export interface Abreast {
  readonly step: number;
  readonly time: number;
  readonly point: string;
  readonly mark: string;
  readonly side: 'port' | 'starboard';
  /** How far off it stands from that point, m. */
  readonly aside: number;
  /** How far it is ahead of abreast, m; astern negative. */
  readonly ahead: number;
}

/**
 * For every step but the first the mark that is best abreast of some point of the boat, if any is. One that would do for two
 * steps tells neither, and is left out of both.
 */
export function abreastOf(
  run: Run,
  points: readonly PointOnBoat[],
  marks: readonly MarkOnPlace[],
  length: number,
): readonly Abreast[] {
  const near = Math.max(ABREAST_M, ABREAST_LENGTHS * length);
  const found = run.steps.slice(1).flatMap(({ step, time, x, y, heading }) => {
    const s = sin(heading);
    const c = cos(heading);
    let best: Abreast | null = null;
    for (const point of points) {
      for (const mark of marks) {
        const east = mark.x - x - point.x * s - point.y * c;
        const north = mark.y - y - point.x * c + point.y * s;
        const ahead = east * s + north * c;
        const across = east * c - north * s;
        const aside = Math.abs(across);
        if (Math.abs(ahead) > near || aside > MARK_FURTHEST_LENGTHS * length) continue;
        // Nobody sights across the deck by a cleat of the far side.
        if (point.y * across < 0) continue;
        if (best && Math.abs(best.ahead) <= Math.abs(ahead)) continue;
        const side = across < 0 ? 'port' : 'starboard';
        best = { step, time, point: point.name, mark: mark.name, side, aside, ahead };
      }
    }
    return best ? [best] : [];
  });
  const same = (a: Abreast, b: Abreast) => a.point === b.point && a.mark === b.mark;
  return found.filter((one) => found.filter((other) => same(one, other)).length === 1);
}
