/** z of a 95 % interval. */
const Z = 1.959963984540054;

/** A share of tries, with the interval that holds the true one in 95 of 100. */
export interface Share {
  readonly share: number;
  readonly least: number;
  readonly most: number;
  readonly runs: number;
}

/** Share of successes with its interval by the score (Wilson 1927): sound for few tries, and near nought and one. */
export function shareOf(successes: number, runs: number): Share {
  if (runs === 0) return { share: 0, least: 0, most: 1, runs };
  const p = successes / runs;
  const z2 = Z * Z;
  const middle = (p + z2 / (2 * runs)) / (1 + z2 / runs);
  const half = (Z * Math.sqrt((p * (1 - p)) / runs + z2 / (4 * runs * runs))) / (1 + z2 / runs);
  return {
    share: p,
    least: successes === 0 ? 0 : Math.max(0, middle - half),
    most: successes === runs ? 1 : Math.min(1, middle + half),
    runs,
  };
}

/** Quantiles of some figures, by straight lines between them; null of none. */
export function quantilesOf(figures: readonly number[], shares: readonly number[]) {
  if (figures.length === 0) return null;
  const sorted = Float64Array.from(figures).sort();
  return shares.map((share) => {
    const at = share * (sorted.length - 1);
    const low = Math.floor(at);
    const high = Math.min(sorted.length - 1, low + 1);
    return sorted[low]! + (at - low) * (sorted[high]! - sorted[low]!);
  });
}
