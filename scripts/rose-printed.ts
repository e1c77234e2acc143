import type { RoseRange } from '@/core/reliability';
import { degrees } from '@/document';

/** A wind rose as scripts print it: from where, degrees, and the least and most mean wind, m/s; null where it holds in none. */
export const roseIn = (ranges: readonly RoseRange[], rounded: (value: number) => number) =>
  ranges
    .toSorted((a, b) => a.from - b.from)
    .map(({ from, least, most }) => ({
      from_deg: rounded(degrees(from)),
      least_mps: least && rounded(least),
      most_mps: most && rounded(most),
    }));
