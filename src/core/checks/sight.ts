import type { BoatSpec } from '../boat';
import { cos, sin, type FlatPoints } from '../math';
import { markAtStart, type Run } from '../plan';
import { EYE_OVER_DECK_M, MARK_OVER_WATER_M } from '../policy';
import { sampleAt, type Finding, type Rule } from './check';

/** How far a ray from a point inside an outline goes before it is out of it for good, as a share of (dx, dy). */
function leaves(outline: FlatPoints, x: number, y: number, dx: number, dy: number): number {
  let out = 0;
  const n = outline.length;
  for (let i = 0, j = n - 2; i < n; j = i, i += 2) {
    const ex = outline[i]! - outline[j]!;
    const ey = outline[i + 1]! - outline[j + 1]!;
    const turn = dx * ey - dy * ex;
    if (turn === 0) continue;
    const px = outline[j]! - x;
    const py = outline[j + 1]! - y;
    const along = (px * ey - py * ex) / turn;
    const edge = (px * dy - py * dx) / turn;
    if (edge >= 0 && edge <= 1) out = Math.max(out, along);
  }
  return out;
}

/**
 * How far beyond the boat's deck's edge its own hull hides what lies low, in the direction of a place in its own coordinates,
 * m; null if the boat names no helm or the place is seen. An eye so high sees over an edge so high down to a line
 * beyond it: similar triangles.
 */
export function hiddenBeyond({ hull, points }: BoatSpec, x: number, y: number): number | null {
  const helm = points.find(({ name }) => name === 'helm');
  if (!helm) return null;
  const dx = x - helm.x;
  const dy = y - helm.y;
  const far = Math.sqrt(dx * dx + dy * dy);
  const edge = far * leaves(hull.deck, helm.x, helm.y, dx, dy);
  const eye = hull.freeboard + EYE_OVER_DECK_M;
  const seenFrom = (edge * (eye - Math.min(MARK_OVER_WATER_M, hull.freeboard))) / EYE_OVER_DECK_M;
  return far > edge && far < seenFrom ? seenFrom - edge : null;
}

const momentOf = (run: Run, step: number, at: 'next' | { readonly after: number }) => {
  const own = run.steps.find((mark) => mark.step === step);
  if (!own) return null;
  if (at !== 'next') return own.time + at.after;
  return run.steps.find((mark) => mark.step === step + 1)?.time ?? run.duration;
};

/** Something expected close to a mark that the boat's own hull then hides from the helm, with nobody calling it out. */
export const unseenFromHelm: Rule = (input, run) =>
  input.plan.steps.flatMap(({ expect, orders }, step): Finding[] => {
    if (orders.some(({ order }) => order.do === 'call')) return [];
    return expect.flatMap((expectation): Finding[] => {
      if (expectation.is !== 'near') return [];
      const time = momentOf(run, step, expectation.at);
      if (time === null || time > run.duration) return [];
      const i = sampleAt(run, time);
      const { x, y, heading } = run.trace;
      const at = markAtStart(expectation.mark, input);
      const east = at.x - x[i]!;
      const north = at.y - y[i]!;
      const s = sin(heading[i]!);
      const c = cos(heading[i]!);
      const hidden = hiddenBeyond(input.boat, east * s + north * c, east * c - north * s);
      if (hidden === null) return [];
      const which = expectation.mark.name;
      return [{ rule: 'unseen from the helm', step, time, figure: hidden, limit: 0, which }];
    });
  });
