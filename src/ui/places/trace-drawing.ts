import type { GpxLayer } from '@/io/gpx';
import { toScreen, type Camera, type View } from '../water/camera';

// What of a file's tracks and waypoints can be seen and told apart: a file may hold tens of thousands of points, and a page
// that draws them all stands still.

type XY = readonly [number, number];

/** A point of a track nearer than this to the one drawn before it adds nothing to see, px. */
const SAME_PX = 1.5;
/** What lies so far beyond the edge is still drawn, so that strokes come in whole, px. */
const MARGIN_PX = 20;
/** Names stand no closer than this to one another, px. */
const NAME_PX = { across: 70, down: 13 };
const CROSS_PX = 5;

const at = ([x, y]: XY) => `${Math.round(10 * x) / 10} ${Math.round(10 * y) / 10}`;

/** Do both ends of a piece lie beyond the same edge? */
function beyond([ax, ay]: XY, [bx, by]: XY, { width, height }: View): boolean {
  return (
    Math.max(ax, bx) < -MARGIN_PX ||
    Math.min(ax, bx) > width + MARGIN_PX ||
    Math.max(ay, by) < -MARGIN_PX ||
    Math.min(ay, by) > height + MARGIN_PX
  );
}

/** A track as the data of an SVG path, px: what can be seen of it. */
export function trackPath(track: readonly XY[], camera: Camera, view: View): string {
  let path = '';
  let drawn: XY | null = null;
  let penDown = false;
  track.forEach(([east, north], i) => {
    const here = toScreen(camera, view, east, north);
    if (drawn === null) {
      drawn = here;
      return;
    }
    const near = Math.hypot(here[0] - drawn[0], here[1] - drawn[1]) < SAME_PX;
    if (near && i < track.length - 1) return;
    if (beyond(drawn, here, view)) penDown = false;
    else {
      path += `${penDown ? '' : `M${at(drawn)}`}L${at(here)}`;
      penDown = true;
    }
    drawn = here;
  });
  return path;
}

/** Crosses of all waypoints in one path, and the names there is room for, px. */
export function waypointMarks(
  waypoints: GpxLayer['waypoints'],
  camera: Camera,
  view: View,
): { readonly path: string; readonly names: readonly { name: string; x: number; y: number }[] } {
  const crossed = new Set<string>();
  const named = new Set<string>();
  const names: { name: string; x: number; y: number }[] = [];
  let path = '';
  for (const { name, at: place } of waypoints) {
    const here = toScreen(camera, view, place[0], place[1]);
    if (beyond(here, here, view)) continue;
    const [x, y] = here;
    const spot = `${Math.round(x)} ${Math.round(y)}`;
    if (!crossed.has(spot)) {
      crossed.add(spot);
      path += `M${at([x - CROSS_PX, y])}h${2 * CROSS_PX}M${at([x, y - CROSS_PX])}v${2 * CROSS_PX}`;
    }
    const cell = `${Math.floor(x / NAME_PX.across)} ${Math.floor(y / NAME_PX.down)}`;
    if (named.has(cell)) continue;
    named.add(cell);
    names.push({ name, x: x + 8, y: y - 6 });
  }
  return { path, names };
}
