import fc from 'fast-check';

const PARTS = 1e6;

/**
 * A number between two ends, even over the range and now and then at an end. fast-check's own doubles are
 * even over bit patterns, so that nearly all of them are next to nought.
 */
export function between(least: number, most: number): fc.Arbitrary<number> {
  return fc
    .integer({ min: 0, max: PARTS })
    .map((k) => (k === PARTS ? most : least + ((most - least) * k) / PARTS));
}

/** A number between two ends above nought, even in its logarithm. */
export function betweenPowers(least: number, most: number): fc.Arbitrary<number> {
  return between(Math.log(least), Math.log(most)).map((power) =>
    Math.min(most, Math.max(least, Math.exp(power))),
  );
}
