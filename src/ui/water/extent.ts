import type { Run } from '@/core/plan';
import { marksAtStart, type Boat, type LastResult, type Manoeuvre, type Place } from '@/document';
import type { Box } from './camera';

/** What the view should hold at first: the way the boat goes, start included, with its length round it. */
export function runExtent(
  manoeuvre: Manoeuvre,
  boat: Boat,
  place: Place,
  run: Pick<Run, 'trace'> | null,
  /** How it went the last time, where there is no run yet. */
  last: Pick<LastResult, 'track'> | null = null,
): Box {
  const { x_m, y_m } = manoeuvre.start;
  let box = { minX: x_m, minY: y_m, maxX: x_m, maxY: y_m };
  const include = (x: number, y: number) => {
    box = {
      minX: Math.min(box.minX, x),
      minY: Math.min(box.minY, y),
      maxX: Math.max(box.maxX, x),
      maxY: Math.max(box.maxY, y),
    };
  };
  if (run) {
    const { x, y } = run.trace;
    for (let i = 0; i < x.length; i += 5) include(x[i]!, y[i]!);
  }
  if (!run) for (const [x, y] of last?.track ?? []) include(x, y);
  for (const { start } of manoeuvre.others) include(start.x_m, start.y_m);
  // Where the boat is to end belongs to it before any run gets there.
  const { goal } = manoeuvre;
  const mark =
    goal.is === 'lie' &&
    marksAtStart({ place, others: manoeuvre.others }).find(({ name }) => name === goal.mark);
  if (mark) include(mark.x, mark.y);
  const room = boat.hull.length_m;
  return {
    minX: box.minX - room,
    minY: box.minY - room,
    maxX: box.maxX + room,
    maxY: box.maxY + room,
  };
}
