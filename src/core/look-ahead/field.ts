import type { Craft } from '../boat';
import type { ObstacleSet } from '../holding';
import { cos, nearestOnPolygon, sin } from '../math';

/** Distance of every place of a stretch of water from what stands there, m; negative inside it. Bilinear between the places it was measured at. */
export interface Field {
  readonly west: number;
  readonly south: number;
  readonly cell: number;
  readonly columns: number;
  readonly rows: number;
  readonly distance: Float32Array;
}

export interface Box {
  readonly west: number;
  readonly south: number;
  readonly east: number;
  readonly north: number;
}

/** Beyond this nothing is near, m. */
export const FAR_M = 30;

export function fieldOf(
  { obstacles }: ObstacleSet,
  { west, south, east, north }: Box,
  cell: number,
): Field {
  const columns = Math.max(2, Math.ceil((east - west) / cell) + 1);
  const rows = Math.max(2, Math.ceil((north - south) / cell) + 1);
  const distance = new Float32Array(columns * rows).fill(FAR_M);
  const near = { x: 0, y: 0, distance: 0 };
  for (const one of obstacles) {
    const i0 = Math.max(0, Math.floor((one.minX - FAR_M - west) / cell));
    const i1 = Math.min(columns - 1, Math.ceil((one.maxX + FAR_M - west) / cell));
    const j0 = Math.max(0, Math.floor((one.minY - FAR_M - south) / cell));
    const j1 = Math.min(rows - 1, Math.ceil((one.maxY + FAR_M - south) / cell));
    for (let j = j0; j <= j1; j++)
      for (let i = i0; i <= i1; i++) {
        const x = west + i * cell;
        const y = south + j * cell;
        // No nearer than its box.
        const bx = Math.max(one.minX - x, 0, x - one.maxX);
        const by = Math.max(one.minY - y, 0, y - one.maxY);
        const at = j * columns + i;
        const least = distance[at]!;
        if (bx * bx + by * by >= least * least && least > 0) continue;
        let d: number;
        if (one.outline) {
          nearestOnPolygon(near, one.outline, x, y);
          d = near.distance;
        } else d = Math.sqrt((x - one.x) * (x - one.x) + (y - one.y) * (y - one.y)) - one.radius;
        if (d < least) distance[at] = d;
      }
  }
  return { west, south, cell, columns, rows, distance };
}

export function distanceAt(
  { west, south, cell, columns, rows, distance }: Field,
  x: number,
  y: number,
): number {
  const fx = (x - west) / cell;
  const fy = (y - south) / cell;
  const i = fx < 0 ? 0 : fx >= columns - 1 ? columns - 2 : Math.floor(fx);
  const j = fy < 0 ? 0 : fy >= rows - 1 ? rows - 2 : Math.floor(fy);
  const a = fx - i < 0 ? 0 : fx - i > 1 ? 1 : fx - i;
  const b = fy - j < 0 ? 0 : fy - j > 1 ? 1 : fy - j;
  const at = j * columns + i;
  const low = distance[at]! * (1 - a) + distance[at + 1]! * a;
  const high = distance[at + columns]! * (1 - a) + distance[at + columns + 1]! * a;
  return low * (1 - b) + high * b;
}

/** Places round the boat's deck, no further than that apart, m: forward and to starboard of midships, one after the other. */
export function roundTheDeck({ spec: { hull } }: Craft, apart: number): Float64Array {
  const { deck } = hull;
  const found: number[] = [];
  const n = deck.length;
  for (let i = 0, j = n - 2; i < n; j = i, i += 2) {
    const dx = deck[i]! - deck[j]!;
    const dy = deck[i + 1]! - deck[j + 1]!;
    const parts = Math.max(1, Math.ceil(Math.sqrt(dx * dx + dy * dy) / apart));
    for (let k = 0; k < parts; k++)
      found.push(deck[j]! + (dx * k) / parts, deck[j + 1]! + (dy * k) / parts);
  }
  return Float64Array.from(found);
}

/** Room of each place round the deck at a pose, m, put into `rooms`. @returns the least */
export function roomsInto(
  rooms: Float64Array,
  field: Field,
  deck: Float64Array,
  x: number,
  y: number,
  heading: number,
): number {
  const s = sin(heading);
  const c = cos(heading);
  let least = FAR_M;
  for (let i = 0; i < deck.length; i += 2) {
    const d = distanceAt(
      field,
      x + deck[i]! * s + deck[i + 1]! * c,
      y + deck[i]! * c - deck[i + 1]! * s,
    );
    rooms[i >> 1] = d;
    if (d < least) least = d;
  }
  return least;
}

const passing = new Float64Array(4096);

/** Room about the boat at a pose, m. */
export const roomOf = (
  field: Field,
  deck: Float64Array,
  x: number,
  y: number,
  heading: number,
): number => roomsInto(passing, field, deck, x, y, heading);
