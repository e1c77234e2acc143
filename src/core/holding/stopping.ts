import { bisected } from '../math';
import { lineTension } from './line';
import type { RopeFigures } from './rope';

/** A line that takes a boat's way off by stretching. */
export interface StoppedBy {
  /** Length to make it fast at, without load, m. */
  readonly length: number;
  /** What it stretches by until the boat is still, m, and its load then, N. */
  readonly stretch: number;
  readonly load: number;
}

const HALVINGS = 60;

/** Energy in a line stretched by a share of its length, J for each metre: ½·EA·ε² + ⅓·EA₂·ε³, its law integrated. */
function energyPerMetre({ stiffness, stiffening }: RopeFigures, strain: number): number {
  return strain * strain * (stiffness / 2 + (stiffening * strain) / 3);
}

/** The stretch, as a share, at which a line of that length holds that energy: it grows with stretch, so by halving. */
function strainFor(rope: RopeFigures, length: number, energy: number): number {
  const holdsLess = (strain: number) => length * energyPerMetre(rope, strain) < energy;
  let high = 1e-3;
  while (holdsLess(high)) high *= 2;
  return bisected(holdsLess, 0, high, HALVINGS);
}

/**
 * How long to make a spring so that it is stretched to `span` as the boat comes to rest: all its way goes into the line,
 * nothing into the water, the engine or a fender, so it carries less in truth and it stops a little short.
 *
 * @param mass with the water that moves with it, kg
 * @param speed along the line as it comes taut, m/s
 * @param span between its ends where it is to stop, m
 * @returns null where no length does: the line would stretch by more than half of the span
 */
export function stoppedBy(
  rope: RopeFigures,
  mass: number,
  speed: number,
  span: number,
): StoppedBy | null {
  const energy = 0.5 * mass * speed * speed;
  // A longer line stretches more in all, so what it is stretched to grows with its length: by halving again.
  const ends = (length: number) => length * (1 + strainFor(rope, length, energy));
  if (ends(span / 2) > span) return null;
  const length = bisected((one) => ends(one) < span, span / 2, span, HALVINGS);
  const { stiffness, stiffening } = rope;
  const load = lineTension(stiffness, length, 0, span, 0, stiffening);
  return { length, stretch: span - length, load };
}
