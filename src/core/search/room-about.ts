import type { Obstacle } from '../holding';
import { cos, nearestOnPolygon, sin, type FlatPoints } from '../math';

/** The room there is about a place on the water. */
export interface RoomAbout {
  /** Distance to the nearest thing the boat could touch, m, negative on it; null with nothing on the place. */
  readonly clear: number | null;
  readonly nearest: string | null;
  /** The narrowest way across there, m, and which way it lies, rad; null in open water. */
  readonly width: { readonly metres: number; readonly bearing: number } | null;
}

/** Directions looked along lie so far apart: 36 to half a turn. */
const DIRECTIONS = 36;
/** Looked no further than this, m, and to this fineness. */
const FAR_M = 150;
const FINE_M = 0.01;

/**
 * The room about a place (m): how far the nearest thing is, and the narrowest width through there, measured in every
 * fifth degree to about a centimetre.
 */
export function roomAbout(obstacles: readonly Obstacle[], x: number, y: number): RoomAbout {
  const found = { distance: 0, x: 0, y: 0 };
  const off = ({ outline, radius, x: ox, y: oy }: Obstacle, px: number, py: number) => {
    if (!outline) return Math.sqrt((px - ox) * (px - ox) + (py - oy) * (py - oy)) - radius;
    nearestOnPolygon(found, outline, px, py);
    return found.distance;
  };
  let clear = Infinity;
  let nearest: string | null = null;
  for (const one of obstacles) {
    const far = off(one, x, y);
    if (far >= clear) continue;
    clear = far;
    nearest = one.name;
  }
  if (nearest === null) return { clear: null, nearest, width: null };
  if (clear <= 0) return { clear, nearest, width: null };
  // How far a line runs before it meets something: by steps as long as there is room.
  const run = (bearing: number): number => {
    const [s, c] = [sin(bearing), cos(bearing)];
    for (let far = 0; far < FAR_M;) {
      let room = Infinity;
      for (const one of obstacles) room = Math.min(room, off(one, x + far * s, y + far * c));
      if (room < FINE_M) return far;
      far += room;
    }
    return Infinity;
  };
  let width: RoomAbout['width'] = null;
  for (let i = 0; i < DIRECTIONS; i++) {
    const bearing = (i * Math.PI) / DIRECTIONS;
    const metres = run(bearing) + run(bearing + Math.PI);
    if (metres < (width?.metres ?? Infinity)) width = { metres, bearing };
  }
  return { clear, nearest, width };
}

/** Diameter of the circle the boat's deck sweeps where it turns on the spot about its middle, m: less no turn can do with. */
export function sweptAcross(deck: FlatPoints): number {
  let most = 0;
  for (let i = 0; i < deck.length; i += 2)
    most = Math.max(most, deck[i]! * deck[i]! + deck[i + 1]! * deck[i + 1]!);
  return 2 * Math.sqrt(most);
}
