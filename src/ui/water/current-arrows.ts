import { setStrength, CURRENT, CURRENT_COLUMNS, currentAt, type CurrentField } from '@/core/water';
import { toPixels, type Camera, type View } from './camera';
import { groundGrid } from './ground-grid';

/** A stroke on the screen from (x, y) the way the water goes, px; the length tells how fast. */
export interface Arrow {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
}

const APART_PX = 56;
const LENGTH_PX = 30;
/** Under this share of the current at its strongest there is nothing worth a stroke. */
const LEAST_SHARE = 0.05;

/** How a current that differs from place to place runs at a moment, s, at places fixed to the ground. */
export function currentArrows(
  field: CurrentField,
  camera: Camera,
  view: View,
  time: number,
): Arrow[] {
  const row = new Float64Array(CURRENT_COLUMNS);
  setStrength(row, field, time);
  let strongest = 0;
  for (let i = 0; i < field.east.length; i++)
    strongest = Math.max(strongest, Math.hypot(field.east[i]!, field.north[i]!));
  if (strongest === 0) return [];
  return groundGrid(camera, view, APART_PX).flatMap(({ x, y, px, py }) => {
    row[CURRENT.X] = x;
    row[CURRENT.Y] = y;
    currentAt(row, field);
    const east = row[CURRENT.EAST]! / strongest;
    const north = row[CURRENT.NORTH]! / strongest;
    if (Math.hypot(east, north) < LEAST_SHARE) return [];
    const [dx, dy] = toPixels({ ...camera, scale: LENGTH_PX }, east, north);
    return [{ x: px, y: py, dx, dy }];
  });
}
