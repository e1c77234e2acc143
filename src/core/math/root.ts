/** How a root is sought: most rounds, how near its ends may come, and how near to one of them a guess may lie. */
export interface Seeking {
  readonly rounds: number;
  readonly close: number;
  readonly instant: number;
}

/**
 * Where a function that is under nought at `a` and at nought or over at `b` comes to nought: the upper end of what is
 * left of the span. Regula falsi that halves the value of the end it is stuck at (Illinois; Dowell and Jarratt 1971).
 *
 * @param fa its values at the two ends, and `fb`
 */
export function rootBetween(
  f: (x: number) => number,
  a: number,
  fa: number,
  b: number,
  fb: number,
  { rounds, close, instant }: Seeking,
): number {
  // Which end was brought in last: 1 the later, −1 the earlier.
  let last = 0;
  for (let i = 0; i < rounds && fb > 1e-12 && b - a > close; i++) {
    const guess = b - (fb * (b - a)) / (fb - fa);
    // A guess that is as good as an end is put an instant inside it: else the other end would never be brought in.
    const at =
      guess > a && guess < b
        ? Math.min(Math.max(guess, a + instant), b - instant / 2)
        : (a + b) / 2;
    const now = f(at);
    if (now >= 0) {
      b = at;
      fb = now;
      if (last > 0) fa /= 2;
      last = 1;
    } else {
      a = at;
      fa = now;
      if (last < 0) fb /= 2;
      last = -1;
    }
  }
  return b;
}

/**
 * What is left of a span after it was halved so many times: the ends between which a question turns from yes to no.
 *
 * @param below yes at `low` and up to somewhere, no from there to `high`; neither end is asked
 */
export function bisect(
  below: (x: number) => boolean,
  low: number,
  high: number,
  rounds: number,
): { readonly low: number; readonly high: number } {
  for (let i = 0; i < rounds; i++) {
    const middle = (low + high) / 2;
    if (below(middle)) low = middle;
    else high = middle;
  }
  return { low, high };
}

/** The middle of what is left: the place itself where the halving goes on as long as numbers are apart. */
export function bisected(
  below: (x: number) => boolean,
  low: number,
  high: number,
  rounds: number,
): number {
  const left = bisect(below, low, high, rounds);
  return (left.low + left.high) / 2;
}
