import { log } from '../math';

/**
 * Whether a share of successes is at least one figure or at most another, told as soon as the tries say so: the sequential
 * probability ratio test (Wald 1945). Between the two either answer may come.
 */
export class SequentialTest {
  private readonly success: number;
  private readonly failure: number;
  private readonly bound: number;
  private sum = 0;

  /**
   * @param holds share from which on it is to be said to hold
   * @param fails lesser share down from which it is to be said to fail
   * @param risk of being wrong either way, in (0, ½)
   */
  constructor(holds: number, fails: number, risk: number) {
    this.success = log(holds / fails);
    this.failure = log((1 - holds) / (1 - fails));
    this.bound = log((1 - risk) / risk);
  }

  /** One more try; the answer once there is one, null before. */
  add(success: boolean): 'holds' | 'fails' | null {
    this.sum += success ? this.success : this.failure;
    if (this.sum >= this.bound) return 'holds';
    return this.sum <= -this.bound ? 'fails' : null;
  }
}
