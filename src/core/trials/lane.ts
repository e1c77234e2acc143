import type { Craft } from '../boat';
import { cos, sin } from '../math';

/** Breadth, across the heading a turning boat has at first, of the water its outline covers. */
export class Lane {
  private least = Infinity;
  private most = -Infinity;
  private readonly sin: number;
  private readonly cos: number;

  /** @param heading the boat first, rad */
  constructor(
    private readonly craft: Craft,
    heading: number,
  ) {
    this.sin = sin(heading);
    this.cos = cos(heading);
  }

  add(x: number, y: number, heading: number): void {
    const { deck } = this.craft.spec.hull;
    const s = sin(heading);
    const c = cos(heading);
    for (let k = 0; k < deck.length; k += 2) {
      const east = x + deck[k]! * s + deck[k + 1]! * c;
      const north = y + deck[k]! * c - deck[k + 1]! * s;
      const across = east * this.cos - north * this.sin;
      if (across < this.least) this.least = across;
      if (across > this.most) this.most = across;
    }
  }

  /** m */
  get breadth(): number {
    return this.most - this.least;
  }
}

/** Way on at which a handler shifts in a back-and-fill turn, m/s: about a knot in ten metres of boat. */
export function shiftingWay(craft: Craft): number {
  return 0.05 * Math.sqrt(9.81 * craft.spec.hull.length);
}
