/** Where a figure lies in 90 of 100: infinite at an end where it is never come to. */
export interface Range {
  readonly least: number;
  readonly most: number;
}

/** Share of draws that lie below a range, and above it. */
const OUTSIDE = 0.05;

/**
 * Draws a range is made of on screens: of 39 the second and the last but one hold 36 of 40 to come, so no place between two draws has
 * to be guessed.
 */
export const RANGE_DRAWS = 39;

/**
 * The range that holds nine of ten more draws of the same kind, as order statistics of n draws at p (n + 1), whatever they are spread
 * like (Wilks 1941). What is never come to (null) lies beyond everything; null where nothing is.
 */
export function rangeOf(values: readonly (number | null)[]): Range | null {
  if (values.length === 0 || values.every((value) => value === null)) return null;
  const sorted = values.map((value) => value ?? Infinity).sort((a, b) => a - b);
  const at = (share: number): number => {
    const place = Math.max(0, Math.min(sorted.length - 1, share * (sorted.length + 1) - 1));
    const below = Math.floor(place);
    const low = sorted[below]!;
    const high = sorted[Math.min(sorted.length - 1, below + 1)]!;
    return place === below || low === high ? low : low + (place - below) * (high - low);
  };
  return { least: at(OUTSIDE), most: at(1 - OUTSIDE) };
}

/** Ranges of many figures at once, from the same figures of every draw; those that no draw has are left out. */
export function rangesOf<K extends string>(
  draws: readonly Readonly<Partial<Record<K, number | null>>>[],
): Partial<Record<K, Range>> {
  const names = [...new Set(draws.flatMap((draw) => Object.keys(draw)))] as K[];
  return Object.fromEntries(
    names.flatMap((name) => {
      const range = rangeOf(draws.flatMap((draw) => (name in draw ? [draw[name]!] : [])));
      return range ? [[name, range]] : [];
    }),
  ) as Partial<Record<K, Range>>;
}
