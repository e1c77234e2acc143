import { line } from 'd3-shape';
import { hullMiddles } from '@/core/boat';
import { wholeOutline, type Boat } from '@/document';

/** A closed outline lying on its side, bow to the right: body x to the right, starboard down; about a line `middle` to starboard. */
export function planPath(half: Boat['hull']['deck'], middle = 0): string {
  const points = wholeOutline(half);
  const pairs: [number, number][] = [];
  for (let i = 0; i < points.length; i += 2) pairs.push([points[i]!, points[i + 1]! + middle]);
  return `${line()(pairs) ?? ''}Z`;
}

/** The waterlines of a boat: one, or a catamaran's two. */
export function waterlinePaths({ hull }: Boat): string[] {
  return hullMiddles(hull.demihullOffset_m).map((y) => planPath(hull.waterline, y));
}

/** The canoe body under water in profile: depth downwards. */
export function bodyPath({ hull }: Boat): string {
  const pairs = hull.draughts.map(([x, t]): [number, number] => [x, t]);
  const [first, last] = [pairs[0]!, pairs.at(-1)!];
  return `${line()([[first[0], 0], ...pairs, [last[0], 0]]) ?? ''}Z`;
}

/** Topsides in profile. */
export function topsidesPath({ hull }: Boat): string {
  const aft = hull.deck[0]![0];
  const bow = hull.deck.at(-1)![0];
  const wlAft = hull.draughts[0]![0];
  const wlBow = hull.draughts.at(-1)![0];
  const f = hull.freeboard_m;
  // Most bows stand a fifth higher than the middle.
  const pairs: [number, number][] = [
    [wlAft, 0],
    [aft, -f],
    [0.1 * (bow - aft) + aft, -f],
    [0.25 * (bow - aft) + (aft + bow) / 2, -1.06 * f],
    [bow, -1.2 * f],
    [wlBow, 0],
  ];
  return `${line()(pairs) ?? ''}Z`;
}

/** A fin or blade in profile from its area and aspect: a plate of mean chord under the body. */
export function plate(
  area: number,
  span: number,
  x: number,
  top: number,
): { x: number; y: number; width: number; height: number } {
  const chord = area / span;
  return { x: x - chord / 2, y: top, width: chord, height: span };
}
