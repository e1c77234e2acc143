import { toGround, toScreen, type Camera, type View } from './camera';

/** Metres between points: 1, 2 or 5 times a power of ten, and as many pixels as strokes need. */
function spacing(scale: number, apartPx: number): number {
  const least = apartPx / scale;
  const ten = 10 ** Math.floor(Math.log10(least));
  return ten * ([1, 2, 5].find((k) => k * ten >= least) ?? 10);
}

/** A place fixed to the ground, m east and north, and where it is on the screen, px. */
export interface GroundPoint {
  readonly x: number;
  readonly y: number;
  readonly px: number;
  readonly py: number;
}

/** Points all over the view, at least so many px apart, that stay where they are on the ground as it is moved. */
export function groundGrid(camera: Camera, view: View, apartPx: number): GroundPoint[] {
  const apart = spacing(camera.scale, apartPx);
  // One more beyond the edge: strokes reach in from there.
  const edge = apart * camera.scale;
  const [px, py] = [view.width / 2 + edge, view.height / 2 + edge];
  const corners = [-1, 1].flatMap((i) => [-1, 1].map((j) => toGround(camera, i * px, j * py)));
  const east = Math.max(...corners.map(([x]) => x));
  const north = Math.max(...corners.map(([, y]) => y));
  const points: GroundPoint[] = [];
  for (let j = Math.ceil((camera.y - north) / apart); j * apart <= camera.y + north; j++) {
    for (let i = Math.ceil((camera.x - east) / apart); i * apart <= camera.x + east; i++) {
      const [x, y] = [i * apart, j * apart];
      const [atX, atY] = toScreen(camera, view, x, y);
      const inside = (at: number, size: number) => at >= -edge && at <= size + edge;
      if (inside(atX, view.width) && inside(atY, view.height))
        points.push({ x, y, px: atX, py: atY });
    }
  }
  return points;
}
