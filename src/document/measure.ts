import { nearestOnPolygon } from '@/core/math';
import { toObstacles, type Place } from './place';

export interface Room {
  /** Distance to the nearest thing she could touch, m; null with nothing on the place. */
  readonly clear: number | null;
  readonly nearest: string | null;
  /** The narrowest way across there, m, and which way it lies, degrees; null in open water. */
  readonly width: { readonly metres: number; readonly bearing_deg: number } | null;
}

const STEP_DEG = 5;
const FAR_M = 150;

/**
 * The room about a place on the water: how far the nearest thing is, and the narrowest width through there, measured
 * in every fifth degree.
 */
export function roomAbout(place: Place, [x, y]: readonly [number, number]): Room {
  const obstacles = toObstacles(place);
  const found = { distance: 0, x: 0, y: 0 };
  const distance = (px: number, py: number) =>
    obstacles.map(({ name, outline, radius, x: ox, y: oy }) => {
      if (outline) nearestOnPolygon(found, outline, px, py);
      else found.distance = Math.hypot(px - ox, py - oy) - radius;
      return { name, far: found.distance };
    });
  const least = (px: number, py: number) => Math.min(...distance(px, py).map(({ far }) => far));
  const here = distance(x, y).sort((a, b) => a.far - b.far)[0];
  if (!here) return { clear: null, nearest: null, width: null };
  if (here.far <= 0) return { clear: here.far, nearest: here.name, width: null };
  // How far a line runs before it meets something: by steps as long as there is room.
  const run = (bearing: number): number => {
    const [s, c] = [Math.sin(bearing), Math.cos(bearing)];
    for (let far = 0; far < FAR_M;) {
      const room = least(x + far * s, y + far * c);
      if (room < 0.01) return far;
      far += Math.max(0.01, room);
    }
    return Infinity;
  };
  let width: Room['width'] = null;
  for (let deg = 0; deg < 180; deg += STEP_DEG) {
    const rad = (deg * Math.PI) / 180;
    const metres = run(rad) + run(rad + Math.PI);
    if (metres < (width?.metres ?? Infinity)) width = { metres, bearing_deg: deg };
  }
  return { clear: here.far, nearest: here.name, width };
}
