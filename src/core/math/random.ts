import { cos, log } from './elementary';

/**
 * Seeded random numbers: 32-bit xorshift-multiply counter (Steele, Lea & Flood 2014, "splitmix"), the
 * same in every engine as it uses integer operations only.
 */
export class Random {
  private state: number;

  constructor(seed: number) {
    this.state = seed | 0;
  }

  /** Uniform in [0, 1). */
  uniform(): number {
    this.state = (this.state + 0x9e3779b9) | 0;
    let z = this.state;
    z = Math.imul(z ^ (z >>> 16), 0x85ebca6b);
    z = Math.imul(z ^ (z >>> 13), 0xc2b2ae35);
    return ((z ^ (z >>> 16)) >>> 0) / 4294967296;
  }

  /** Normal with mean 0 and deviation 1 (Box & Muller 1958). */
  normal(): number {
    const u = 1 - this.uniform();
    return Math.sqrt(-2 * log(u)) * cos(2 * Math.PI * this.uniform());
  }
}
