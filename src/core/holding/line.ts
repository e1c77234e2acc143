import { exp, log } from '../math';
import { GROUND } from './ground';

/**
 * Lines made fast between boat and shore, as flat arrays so that the step reads them fast.
 * Boat ends in body axes, shore ends in place coordinates, heights over the water, m.
 */
export interface Lines {
  readonly count: number;
  readonly boatX: Float64Array;
  readonly boatY: Float64Array;
  readonly shoreX: Float64Array;
  readonly shoreY: Float64Array;
  /** Height of the shore end over the boat end, m. */
  readonly rise: Float64Array;
  /** Length without load, m, stiffness EA, N, and damping, N s/m. */
  readonly length: Float64Array;
  readonly stiffness: Float64Array;
  readonly damping: Float64Array;
}

export interface LineSpec {
  readonly boatX: number;
  readonly boatY: number;
  readonly shoreX: number;
  readonly shoreY: number;
  readonly rise: number;
  readonly length: number;
  readonly stiffness: number;
  readonly damping: number;
}

export function linesOf(specs: readonly LineSpec[]): Lines {
  const column = (pick: (spec: LineSpec) => number) => Float64Array.from(specs, pick);
  return {
    count: specs.length,
    boatX: column((l) => l.boatX),
    boatY: column((l) => l.boatY),
    shoreX: column((l) => l.shoreX),
    shoreY: column((l) => l.shoreY),
    rise: column((l) => l.rise),
    length: column((l) => l.length),
    stiffness: column((l) => l.stiffness),
    damping: column((l) => l.damping),
  };
}

export const NO_LINES: Lines = linesOf([]);

/**
 * Tension of a line, N: T = max(0, EA·ε + c·ℓ̇), ε = (ℓ − ℓ₀)/ℓ₀; nothing while slack, never a push.
 *
 * @param stretched its length now, and how fast that grows, m and m/s
 */
export function lineTension(
  stiffness: number,
  length: number,
  damping: number,
  stretched: number,
  growing: number,
): number {
  if (stretched <= length) return 0;
  const tension = (stiffness * (stretched - length)) / length + damping * growing;
  return tension > 0 ? tension : 0;
}

/** Adds every line's pull (N, N, N·m, body axes), and leaves the tensions in `tension`. */
export function addLines(
  force: Float64Array,
  tension: Float64Array,
  lines: Lines,
  boat: Float64Array,
): void {
  for (let i = 0; i < lines.count; i++) {
    const bx = lines.boatX[i]!;
    const by = lines.boatY[i]!;
    const east = lines.shoreX[i]! - boat[GROUND.X]!;
    const north = lines.shoreY[i]! - boat[GROUND.Y]!;
    const ax = east * boat[GROUND.SIN]! + north * boat[GROUND.COS]! - bx;
    const ay = east * boat[GROUND.COS]! - north * boat[GROUND.SIN]! - by;
    const rise = lines.rise[i]!;
    const stretched2 = ax * ax + ay * ay + rise * rise;
    const length = lines.length[i]!;
    if (stretched2 <= length * length) {
      tension[i] = 0;
      continue;
    }
    const stretched = Math.sqrt(stretched2);
    const over = 1 / stretched;
    const vx = boat[GROUND.SURGE]! - boat[GROUND.YAW]! * by;
    const vy = boat[GROUND.SWAY]! + boat[GROUND.YAW]! * bx;
    const growing = -(ax * vx + ay * vy) * over;
    const pull = lineTension(lines.stiffness[i]!, length, lines.damping[i]!, stretched, growing);
    tension[i] = pull;
    const fx = pull * over * ax;
    const fy = pull * over * ay;
    force[0]! += fx;
    force[1]! += fy;
    force[2]! += bx * fy - by * fx;
  }
}

/** Load a hand must hold behind n turns round a post, N: load·e^(−μ2πn) (capstan equation, Euler–Eytelwein). */
export function capstanHold(load: number, friction: number, turns: number): number {
  return load * exp(-friction * 2 * Math.PI * turns);
}

/**
 * Anchor chain from the bow to the first link on the bottom, without the chain lying there, m:
 * s = √(d² + 2dH/w) long, spanning H/w·arcosh(1 + wd/H). H horizontal pull, N; w weight in water, N/m.
 */
export function catenary(
  pull: number,
  weight: number,
  depth: number,
): { readonly length: number; readonly span: number } {
  const a = pull / weight;
  const c = 1 + depth / a;
  return {
    length: Math.sqrt(depth * depth + 2 * depth * a),
    span: a * log(c + Math.sqrt(c * c - 1)),
  };
}
