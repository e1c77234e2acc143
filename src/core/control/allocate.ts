/** What one thing can push with: its effect on surge, sway and yaw per newton, and its limits, N. */
export interface Effector {
  readonly surge: number;
  readonly sway: number;
  /** N·m per N. */
  readonly yaw: number;
  readonly least: number;
  readonly most: number;
}

/** Three equations, symmetric, solved in place by elimination with the largest pivot. */
function solve3(m: Float64Array, b: Float64Array): void {
  for (let k = 0; k < 3; k++) {
    let pivot = k;
    for (let i = k + 1; i < 3; i++)
      if (Math.abs(m[3 * i + k]!) > Math.abs(m[3 * pivot + k]!)) pivot = i;
    for (let j = 0; j < 3; j++) {
      const swap = m[3 * k + j]!;
      m[3 * k + j] = m[3 * pivot + j]!;
      m[3 * pivot + j] = swap;
    }
    const swap = b[k]!;
    b[k] = b[pivot]!;
    b[pivot] = swap;
    for (let i = k + 1; i < 3; i++) {
      const f = m[3 * i + k]! / m[3 * k + k]!;
      for (let j = k; j < 3; j++) m[3 * i + j]! -= f * m[3 * k + j]!;
      b[i]! -= f * b[k]!;
    }
  }
  for (let k = 2; k >= 0; k--) {
    for (let j = k + 1; j < 3; j++) b[k]! -= m[3 * k + j]! * b[j]!;
    b[k]! /= m[3 * k + k]!;
  }
}

/** Tells exact solutions from unreachable ones; small beside any thrust that matters. */
const REGULARISATION = 1e-9;
/** Effects weaker than this are none. */
const LEAST_SCALE = 1e-12;
const MOST_ROUNDS = 40;

/**
 * Shares a wanted surge (N), sway (N) and yaw (N·m) over what the boat has: the bounded least-squares
 * solution of least effort. Within the bounds it is exact with Σu² least; beyond them the miss
 * in force and in moment over `lever` (m, weighs yaw against sway) is least. Active set: the free
 * ones are solved together, the worst offender is put on its bound, and let go again when that helps.
 *
 * @returns newtons of each effector, in order
 */
export function allocate(
  effectors: readonly Effector[],
  surge: number,
  sway: number,
  yaw: number,
  lever: number,
): Float64Array {
  const n = effectors.length;
  const wanted = [surge, sway, yaw / lever];
  const rows = effectors.map((e) => [e.surge, e.sway, e.yaw / lever]);
  const out = new Float64Array(n);
  const bound = new Int8Array(n);
  const m = new Float64Array(9);
  const rest = new Float64Array(3);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let scale = 0;
    m.fill(0);
    rest.set(wanted);
    for (let i = 0; i < n; i++) {
      const row = rows[i]!;
      for (let a = 0; a < 3; a++) {
        if (bound[i] !== 0) rest[a]! -= row[a]! * out[i]!;
        else for (let b = 0; b < 3; b++) m[3 * a + b]! += row[a]! * row[b]!;
      }
    }
    for (let a = 0; a < 3; a++) scale = Math.max(scale, m[4 * a]!);
    for (let a = 0; a < 3; a++) m[4 * a]! += REGULARISATION * (scale > LEAST_SCALE ? scale : 1);
    solve3(m, rest);
    let worst = -1;
    let excess = 1e-9;
    for (let i = 0; i < n; i++) {
      if (bound[i] !== 0) continue;
      const row = rows[i]!;
      out[i] = row[0]! * rest[0]! + row[1]! * rest[1]! + row[2]! * rest[2]!;
      const over = Math.max(out[i]! - effectors[i]!.most, effectors[i]!.least - out[i]!);
      if (over > excess) {
        excess = over;
        worst = i;
      }
    }
    if (worst >= 0) {
      bound[worst] = out[worst]! > effectors[worst]!.most ? 1 : -1;
      out[worst] = bound[worst] === 1 ? effectors[worst]!.most : effectors[worst]!.least;
      continue;
    }
    if (!release(rows, out, bound, wanted)) return out;
  }
  // Sets that let go what they have just bound can go round for ever: from there one by one.
  oneByOne(rows, out, effectors, wanted);
  return out;
}

const MOST_PASSES = 400;
/** Newtons moved in a pass under which nothing moves any more. */
const STILL_N = 1e-4;

/** Moves each in turn to where it misses least inside its bounds, until none moves: slow, and sure to get there. */
function oneByOne(
  rows: readonly number[][],
  out: Float64Array,
  effectors: readonly Effector[],
  wanted: readonly number[],
): void {
  const miss = [0, 1, 2].map((a) =>
    rows.reduce((sum, row, i) => sum + row[a]! * out[i]!, -wanted[a]!),
  );
  for (let pass = 0; pass < MOST_PASSES; pass++) {
    let moved = 0;
    rows.forEach((row, i) => {
      const square = row[0]! * row[0]! + row[1]! * row[1]! + row[2]! * row[2]!;
      if (square < LEAST_SCALE) return;
      const slope = row[0]! * miss[0]! + row[1]! * miss[1]! + row[2]! * miss[2]!;
      const { least, most } = effectors[i]!;
      const next = Math.max(least, Math.min(most, out[i]! - slope / square));
      const by = next - out[i]!;
      out[i] = next;
      for (let a = 0; a < 3; a++) miss[a]! += by * row[a]!;
      moved = Math.max(moved, Math.abs(by));
    });
    if (moved < STILL_N) return;
  }
}

/** Frees the bounded one whose move back inside would lessen the miss most; false when none would. */
function release(
  rows: readonly number[][],
  out: Float64Array,
  bound: Int8Array,
  wanted: readonly number[],
): boolean {
  const miss = [0, 1, 2].map((a) =>
    rows.reduce((sum, row, i) => sum + row[a]! * out[i]!, -wanted[a]!),
  );
  let best = -1;
  let gain = 1e-6 * (1 + Math.abs(wanted[0]!) + Math.abs(wanted[1]!) + Math.abs(wanted[2]!));
  rows.forEach((row, i) => {
    if (bound[i] === 0) return;
    const slope = row[0]! * miss[0]! + row[1]! * miss[1]! + row[2]! * miss[2]!;
    const helps = slope * bound[i]!;
    if (helps > gain) {
      gain = helps;
      best = i;
    }
  });
  if (best < 0) return false;
  bound[best] = 0;
  return true;
}
