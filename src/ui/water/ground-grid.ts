import { toScreen, type Camera, type View } from './camera';

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
  const west = camera.x - view.width / 2 / camera.scale;
  const south = camera.y - view.height / 2 / camera.scale;
  const across = Math.ceil(view.width / camera.scale / apart) + 1;
  const up = Math.ceil(view.height / camera.scale / apart) + 1;
  const points: GroundPoint[] = [];
  for (let j = 0; j < up; j++) {
    for (let i = 0; i < across; i++) {
      const x = (Math.ceil(west / apart) + i) * apart;
      const y = (Math.ceil(south / apart) + j) * apart;
      const [px, py] = toScreen(camera, view, x, y);
      points.push({ x, y, px, py });
    }
  }
  return points;
}
