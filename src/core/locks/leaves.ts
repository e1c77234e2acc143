import { cos, sin } from '../math';
import {
  gatesOf,
  LEAF,
  leafLength,
  leafSides,
  MITRE,
  type End,
  type Gates,
  type LockState,
  type LockSide,
} from './lock';
import { outOfLock, type SitedLock } from './sited';

/** What of a lock comes and goes in the boat's way: a leaf of its gates, or its upper cill once that stands out of the water. */
export interface Leaf {
  readonly lock: number;
  readonly end: End;
  readonly side: LockSide | 'cill';
  readonly name: string;
}

const THICK_M = 0.3;

/** Every leaf of some locks. */
export function leavesOf(locks: readonly SitedLock[]): readonly Leaf[] {
  return locks.flatMap(({ name, lock: of }, lock): Leaf[] => [
    ...(['upper', 'lower'] as const).flatMap((end) => {
      // Those hang in the lock above it.
      if (end === 'upper' && of.fed) return [];
      const sides = leafSides(of, end);
      return sides.map((side) => {
        const which = sides.length > 1 ? `${side} leaf of the ${end} gates` : `${end} gate`;
        return { lock, end, side, name: `${which}, ${name}` };
      });
    }),
    { lock, end: 'upper', side: 'cill', name: `cill of ${name}` },
  ]);
}

/** What is not in the way is put so far off, m. */
const AWAY_M = 1e5;

/** A gate raised all the way, and a cill under the water, are in nobody's way. */
function isAway(kind: Gates['kind'], { side }: Pick<Leaf, 'side'>, open: number, out: number) {
  return side === 'cill' ? out === 0 : kind === 'guillotine' && open >= 1;
}

/**
 * The outline of a leaf, corners x, y, into `out` (8): it swings up-stream about its hinge in the wall until it lies along it; a
 * guillotine stands across until it is all the way up; the cill is a block across the chamber.
 */
export function leafOutline(
  out: Float64Array,
  sited: SitedLock,
  { end, side }: Pick<Leaf, 'end' | 'side'>,
  state: LockState,
): void {
  const { lock } = sited;
  const open = side === 'cill' ? 0 : state.leaves[LEAF[end][side]]!;
  const { kind } = gatesOf(lock, end);
  if (isAway(kind, { side }, open, state.cillOut)) {
    for (const [i, [u, v]] of CORNERS.entries()) {
      // Round the same way as where it stands: an outline turned inside out would hold all the rest.
      out[2 * i] = AWAY_M + (side === 'cill' ? v : u);
      out[2 * i + 1] = AWAY_M + (side === 'cill' ? u : v);
    }
    return;
  }
  if (side === 'cill') return cillOutline(out, sited);
  const hand = side === 'left' ? 1 : -1;
  const hingeS = end === 'upper' ? 0 : lock.length;
  const hingeT = (hand * lock.width) / 2;
  const mitre = kind === 'mitre' ? MITRE : 0;
  const angle = kind === 'guillotine' ? 0 : mitre + open * (Math.PI / 2 - mitre);
  const length = kind === 'mitre' ? leafLength(lock.width) : lock.width;
  const [s, c] = [sin(angle), cos(angle)];
  // Along the leaf from its hinge, and across it to the up-stream side.
  const along = [-s, -hand * c] as const;
  const across = [-c, hand * s] as const;
  for (const [i, [u, v]] of CORNERS.entries()) {
    const { x, y } = outOfLock(
      sited,
      hingeS + u * length * along[0] + v * THICK_M * across[0],
      hingeT + u * length * along[1] + v * THICK_M * across[1],
    );
    out[2 * i] = x;
    out[2 * i + 1] = y;
  }
}

function cillOutline(out: Float64Array, sited: SitedLock): void {
  const { lock } = sited;
  const reach = Math.max(THICK_M, lock.cillReach);
  for (const [i, [u, v]] of CORNERS.entries()) {
    const { x, y } = outOfLock(sited, u * reach, (v - 0.5) * lock.width);
    out[2 * i] = x;
    out[2 * i + 1] = y;
  }
}

const CORNERS = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
] as const;
