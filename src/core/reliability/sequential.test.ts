import { Random } from '../math';
import { SequentialTest } from './';

/** How often it is said to hold, and after how many tries on average, for a share that is known. */
function saidOf(share: number, seed: number) {
  const random = new Random(seed);
  let held = 0;
  let tries = 0;
  const times = 2000;
  for (let i = 0; i < times; i++) {
    const test = new SequentialTest(0.9, 0.7, 0.05);
    for (let answer = null as ReturnType<typeof test.add>; answer === null;) {
      answer = test.add(random.uniform() < share);
      tries += 1;
      if (answer === 'holds') held += 1;
    }
  }
  return { held: held / times, tries: tries / times };
}

describe('a sequential test', () => {
  it('is wrong no oftener than it may be, at the shares it tells apart', () => {
    expect(saidOf(0.9, 1).held).toBeGreaterThan(0.95);
    expect(saidOf(0.7, 2).held).toBeLessThan(0.05);
  });

  it('takes few tries where there is little doubt, and more in between', () => {
    expect(saidOf(1, 3)).toEqual({ held: 1, tries: 12 });
    expect(saidOf(0, 4)).toEqual({ held: 0, tries: 3 });
    // Wald's own figure for the mean at the share where both answers are as likely.
    const between = saidOf(0.81, 5);
    expect(between.tries).toBeGreaterThan(saidOf(0.97, 6).tries);
    expect(between.held).toBeGreaterThan(0.3);
    expect(between.held).toBeLessThan(0.7);
  });

  it('gives the mean number of tries Wald gives', () => {
    const bound = Math.log(0.95 / 0.05);
    const drift = 0.9 * Math.log(0.9 / 0.7) + 0.1 * Math.log(0.1 / 0.3);
    const mean = (0.95 * bound - 0.05 * bound) / drift;
    // The last try goes past the bound: a little more than that.
    const { tries } = saidOf(0.9, 7);
    expect(tries).toBeGreaterThan(mean);
    expect(tries).toBeLessThan(1.25 * mean);
  });
});
