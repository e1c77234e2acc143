import { line } from 'd3-shape';
import { wholeOutline, type Boat } from '@/document';

/** A closed outline lying on its side, bow to the right: body x to the right, starboard down. */
export function planPath(half: Boat['hull']['deck']): string {
  const points = wholeOutline(half);
  const pairs: [number, number][] = [];
  for (let i = 0; i < points.length; i += 2) pairs.push([points[i]!, points[i + 1]!]);
  return `${line()(pairs) ?? ''}Z`;
}

/** The waterlines of a boat: one, or two slim ones for a catamaran. */
export function waterlinePaths({ hull }: Boat): string[] {
  if (hull.demihullOffset_m === 0) return [planPath(hull.waterline)];
  const breadth = Math.max(...hull.waterline.map(([, y]) => y));
  // The record's waterline is the pair's outline; each hull has a tenth of the waterline as its beam.
  const slim = hull.waterline.map(([x, y]): [number, number] => [
    x,
    (y / breadth) * 0.05 * hull.waterlineLength_m,
  ]);
  return [-1, 1].map((side) => {
    const path = wholeOutline(slim);
    const pairs: [number, number][] = [];
    for (let i = 0; i < path.length; i += 2)
      pairs.push([path[i]!, path[i + 1]! + side * hull.demihullOffset_m]);
    return `${line()(pairs) ?? ''}Z`;
  });
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
