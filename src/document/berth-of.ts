import type { ManoeuvreFile } from './manoeuvre';
import type { Berth } from './place';

/** The berth a manoeuvre comes to or goes off: the nearest of those on what it lies against; null when the place names none. */
export function berthOf({ place, goal, start, berth }: ManoeuvreFile): Berth | null {
  const mark =
    goal.is === 'lie'
      ? place.features.find((f) => f.name === goal.mark && !('outline_m' in f))
      : undefined;
  const named = goal.is === 'lie' ? place.berths.find(({ name }) => name === goal.mark) : undefined;
  if (named) return named;
  const at = mark && 'x_m' in mark ? mark : start;
  const off = ({ edge_m: [[ax, ay], [bx, by]] }: Berth) =>
    Math.hypot((ax + bx) / 2 - at.x_m, (ay + by) / 2 - at.y_m);
  const half = ({ edge_m: [[ax, ay], [bx, by]] }: Berth) => Math.hypot(bx - ax, by - ay) / 2;
  const near = place.berths
    .filter((b) => b.on.some((on) => berth.includes(on)))
    .sort((a, b) => off(a) - off(b))[0];
  return near && off(near) < half(near) + 3 ? near : null;
}
