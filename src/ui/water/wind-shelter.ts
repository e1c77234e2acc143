import { shelterShare, type Windbreak } from '@/core/air';
import { cos, sin } from '@/core/math';
import { toPixels, type Camera, type View } from './camera';
import { groundGrid } from './ground-grid';

/** A stroke down the wind from (x, y), px, where something keeps it off; `share` of the wind's speed is left there. */
export interface Sheltered {
  readonly x: number;
  readonly y: number;
  readonly dx: number;
  readonly dy: number;
  readonly share: number;
}

/** Where more is left nothing is drawn: nobody would feel it. */
const MOST_SHARE = 0.9;
const APART_PX = 26;
const LENGTH_PX = 22;
/** Shorter than this a stroke is a dot. */
const LEAST_PX = 3;

/**
 * Where buildings and moored boats take wind away, at places fixed to the ground: strokes as long as what is left.
 *
 * @param from where the wind comes from, radians
 * @param height at which a boat feels it, m
 */
export function windShelter(
  breaks: readonly Windbreak[],
  from: number,
  height: number,
  camera: Camera,
  view: View,
): Sheltered[] {
  const east = -sin(from);
  const north = -cos(from);
  return groundGrid(camera, view, APART_PX).flatMap(({ x, y, px, py }) => {
    const share = shelterShare(breaks, x, y, east, north, height);
    if (share > MOST_SHARE) return [];
    const length = Math.max(LEAST_PX, share * LENGTH_PX);
    const [dx, dy] = toPixels({ ...camera, scale: length }, east, north);
    return [{ x: px, y: py, dx, dy, share }];
  });
}
