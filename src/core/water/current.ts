import { exp, nearestOnPolygon, power, seriesAt, type FlatPoints, type Series } from '../math';

/** How the current differs from place to place and time to time. Everything is optional. */
export interface CurrentPattern {
  /** Growth per metre to the right of the set, seen along it, as a share of the current at the origin. */
  readonly shear: number;
  readonly originX: number;
  readonly originY: number;
  /** Banks it runs weaker along, and the width of that belt, m. */
  readonly banks: readonly FlatPoints[];
  readonly bankWidth: number;
  /** Structures with slack and back-flow behind them. */
  readonly structures: readonly FlatPoints[];
  /** Strength over time, as a share; null when steady. */
  readonly strength: Series | null;
  /** Part of the place the field is worked out for, m. */
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

const FINEST_CELL_M = 2;
const MOST_NODES = 3000;
const BANK_POWER = 1 / 3;

/**
 * A current worked out on a grid and read off bilinearly: steady pattern times strength over time.
 * Outside the grid its edge value holds.
 */
export interface CurrentField {
  readonly x0: number;
  readonly y0: number;
  readonly cell: number;
  readonly nx: number;
  readonly ny: number;
  readonly east: Float64Array;
  readonly north: Float64Array;
  readonly strength: Series | null;
}

/**
 * The field of a current (east, north; m/s at the origin):
 *
 *   shear   U (1 + k·s), s metres to the right of the set; held to 0…2 U
 *   bank    (d/w)^(1/3) within w of a bank, d the distance to it: a rough wall's profile
 *   eddy    behind a structure of width W: 1 − 1.3 e^(−a/3W) e^(−(c/0.6W)²), a metres downstream, c across:
 *           slack with a weak back-flow, gone after about ten widths
 *
 * Simple shapes, not a flow solution: water is not conserved where they meet. ±40 % near structures.
 */
export function currentField(east: number, north: number, pattern: CurrentPattern): CurrentField {
  const width = Math.max(1, pattern.maxX - pattern.minX);
  const height = Math.max(1, pattern.maxY - pattern.minY);
  const cell = Math.max(FINEST_CELL_M, Math.sqrt((width * height) / MOST_NODES));
  const nx = Math.ceil(width / cell) + 1;
  const ny = Math.ceil(height / cell) + 1;
  const field: CurrentField = {
    x0: pattern.minX,
    y0: pattern.minY,
    cell,
    nx,
    ny,
    east: new Float64Array(nx * ny),
    north: new Float64Array(nx * ny),
    strength: pattern.strength,
  };
  const speed = Math.sqrt(east * east + north * north);
  if (speed === 0) return field;
  const wakes = pattern.structures.map((outline) => wakeOf(outline, east / speed, north / speed));
  for (let j = 0; j < ny; j++) {
    for (let i = 0; i < nx; i++) {
      const x = pattern.minX + i * cell;
      const y = pattern.minY + j * cell;
      const right = ((x - pattern.originX) * north - (y - pattern.originY) * east) / speed;
      let share = Math.max(0, Math.min(2, 1 + pattern.shear * right));
      share *= bankShare(pattern, x, y);
      for (const wake of wakes) share *= wakeShare(wake, x, y, east / speed, north / speed);
      field.east[j * nx + i] = east * share;
      field.north[j * nx + i] = north * share;
    }
  }
  return field;
}

function bankShare({ banks, bankWidth }: CurrentPattern, x: number, y: number): number {
  const near = { x: 0, y: 0, distance: 0 };
  let least = Infinity;
  for (const bank of banks) {
    nearestOnPolygon(near, bank, x, y);
    least = Math.min(least, near.distance);
  }
  if (least >= bankWidth) return 1;
  return least <= 0 ? 0 : power(least / bankWidth, BANK_POWER);
}

interface Wake {
  readonly outline: FlatPoints;
  readonly lee: number;
  readonly middle: number;
  readonly width: number;
}

function wakeOf(outline: FlatPoints, east: number, north: number): Wake {
  let lee = -Infinity;
  let low = Infinity;
  let high = -Infinity;
  for (let i = 0; i < outline.length; i += 2) {
    const x = outline[i]!;
    const y = outline[i + 1]!;
    lee = Math.max(lee, x * east + y * north);
    low = Math.min(low, x * north - y * east);
    high = Math.max(high, x * north - y * east);
  }
  return { outline, lee, middle: (low + high) / 2, width: Math.max(0.5, high - low) };
}

function wakeShare(wake: Wake, x: number, y: number, east: number, north: number): number {
  const near = { x: 0, y: 0, distance: 0 };
  nearestOnPolygon(near, wake.outline, x, y);
  if (near.distance <= 0) return 0;
  const down = x * east + y * north - wake.lee;
  if (down < 0) return 1;
  const c = (x * north - y * east - wake.middle) / (0.6 * wake.width);
  return 1 - 1.3 * exp(-down / (3 * wake.width)) * exp(-Math.min(50, c * c));
}

/**
 * Reading a field off as a row: the current, m/s; the place asked for, m; how strong it is at the moment, as a share.
 * Numbers passed to a function that is not inlined would be boxed.
 */
export const CURRENT = { EAST: 0, NORTH: 1, X: 2, Y: 3, STRENGTH: 4 } as const;
export const CURRENT_COLUMNS = 5;

/** Share of its strength a field has at a moment, into the row. */
export function setStrength(row: Float64Array, field: CurrentField, time: number): void {
  row[CURRENT.STRENGTH] = field.strength ? seriesAt(field.strength, time) : 1;
}

/** Current at the row's place and strength, into the row. */
export function currentAt(out: Float64Array, field: CurrentField): void {
  const { nx, ny, east, north } = field;
  let gx = (out[CURRENT.X]! - field.x0) / field.cell;
  let gy = (out[CURRENT.Y]! - field.y0) / field.cell;
  gx = gx < 0 ? 0 : gx > nx - 1 ? nx - 1 : gx;
  gy = gy < 0 ? 0 : gy > ny - 1 ? ny - 1 : gy;
  const i = Math.min(nx - 2, Math.floor(gx));
  const j = Math.min(ny - 2, Math.floor(gy));
  const a = gx - i;
  const b = gy - j;
  const k = j * nx + i;
  const strength = out[CURRENT.STRENGTH]!;
  const w00 = (1 - a) * (1 - b) * strength;
  const w10 = a * (1 - b) * strength;
  const w01 = (1 - a) * b * strength;
  const w11 = a * b * strength;
  out[CURRENT.EAST] =
    w00 * east[k]! + w10 * east[k + 1]! + w01 * east[k + nx]! + w11 * east[k + nx + 1]!;
  out[CURRENT.NORTH] =
    w00 * north[k]! + w10 * north[k + 1]! + w01 * north[k + nx]! + w11 * north[k + nx + 1]!;
}
