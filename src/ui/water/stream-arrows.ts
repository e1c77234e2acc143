import { setStrength, STREAM, STREAM_COLUMNS, streamAt, type StreamField } from '@/core/water';
import { toScreen, type Camera, type View } from './camera';

/** A stroke on the screen from (x, y) the way the water goes, px; the length tells how fast. */
export interface Arrow {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
}

const LEAST_APART_PX = 56;
const LENGTH_PX = 30;
/** Under this share of the stream at its strongest there is nothing worth a stroke. */
const LEAST_SHARE = 0.05;

/** Metres between strokes: 1, 2 or 5 times a power of ten, and as many pixels as they need. */
function spacing(scale: number): number {
  const least = LEAST_APART_PX / scale;
  const ten = 10 ** Math.floor(Math.log10(least));
  return ten * ([1, 2, 5].find((k) => k * ten >= least) ?? 10);
}

/** How a stream that differs from place to place runs at a moment, s, at places fixed to the ground. */
export function streamArrows(
  field: StreamField,
  camera: Camera,
  view: View,
  time: number,
): Arrow[] {
  const row = new Float64Array(STREAM_COLUMNS);
  setStrength(row, field, time);
  let strongest = 0;
  for (let i = 0; i < field.east.length; i++)
    strongest = Math.max(strongest, Math.hypot(field.east[i]!, field.north[i]!));
  if (strongest === 0) return [];
  const apart = spacing(camera.scale);
  const west = camera.x - view.width / 2 / camera.scale;
  const south = camera.y - view.height / 2 / camera.scale;
  const arrows: Arrow[] = [];
  const across = Math.ceil(view.width / camera.scale / apart) + 1;
  const up = Math.ceil(view.height / camera.scale / apart) + 1;
  for (let j = 0; j < up; j++) {
    for (let i = 0; i < across; i++) {
      const x = (Math.ceil(west / apart) + i) * apart;
      const y = (Math.ceil(south / apart) + j) * apart;
      row[STREAM.X] = x;
      row[STREAM.Y] = y;
      streamAt(row, field);
      const east = row[STREAM.EAST]! / strongest;
      const north = row[STREAM.NORTH]! / strongest;
      if (Math.hypot(east, north) < LEAST_SHARE) continue;
      const [px, py] = toScreen(camera, view, x, y);
      arrows.push({ x: px, y: py, dx: east * LENGTH_PX, dy: -north * LENGTH_PX });
    }
  }
  return arrows;
}
