/** A figure read off something, with its likely error either way (one standard deviation), in the same unit. */
export interface Reading {
  readonly value: number;
  readonly spread: number;
}

/** Several signs of one thing never err quite apart from each other: what they cannot agree below. */
const SHARED = 0.08;

/**
 * Readings of one thing put together: weighted by 1/σ². Its spread is what that leaves, never less than a share all of them have in
 * common; wider where they contradict each other (by the root of χ² per degree of freedom, Birge 1932, recalled). Null for none.
 */
export function pooled(readings: readonly Reading[]): Reading | null {
  if (readings.length === 0) return null;
  let weights = 0;
  let sum = 0;
  for (const { value, spread } of readings) {
    const weight = 1 / (spread * spread);
    weights += weight;
    sum += weight * value;
  }
  const value = sum / weights;
  let chi2 = 0;
  for (const one of readings)
    chi2 += ((one.value - value) * (one.value - value)) / (one.spread * one.spread);
  const birge = readings.length > 1 ? Math.max(1, Math.sqrt(chi2 / (readings.length - 1))) : 1;
  const spread = Math.sqrt(birge * birge * (1 / weights) + SHARED * SHARED * value * value);
  return { value, spread };
}
