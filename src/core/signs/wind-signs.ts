import { MPS_PER_KNOT } from '../units';
import { pooled, type Reading } from './pooled';

/** What wind is read off. */
export type WindSignKind = 'flag' | 'water' | 'smoke';

/** How something looks in a wind of that mean at 10 m, kn, with half the width of what it stands for. */
export interface WindSign {
  readonly is: WindSignKind;
  readonly id: string;
  readonly knots: number;
  readonly half: number;
}

/**
 * How flags, sheltered water and smoke look by wind, after the wording of the Beaufort scale for land and sea (recalled, not looked
 * up) and judgement for what is half-way. Water in a harbour has no room to build a sea: its ripples, not its waves, are meant; with
 * less than about 200 m of open water to windward it looks a step calmer.
 */
export const WIND_SIGNS: readonly WindSign[] = [
  { is: 'flag', id: 'hangs', knots: 1, half: 1 },
  { is: 'flag', id: 'stirs', knots: 4, half: 2 },
  { is: 'flag', id: 'lifts', knots: 8, half: 2.5 },
  { is: 'flag', id: 'currents', knots: 13, half: 3 },
  { is: 'flag', id: 'cracks', knots: 20, half: 4 },
  { is: 'water', id: 'glass', knots: 0.5, half: 0.7 },
  { is: 'water', id: 'cats-paws', knots: 3, half: 1.5 },
  { is: 'water', id: 'rippled', knots: 6, half: 2 },
  { is: 'water', id: 'wavelets', knots: 10, half: 2.5 },
  { is: 'water', id: 'white', knots: 15, half: 3 },
  { is: 'water', id: 'streaked', knots: 24, half: 5 },
  { is: 'smoke', id: 'straight', knots: 0.7, half: 0.8 },
  { is: 'smoke', id: 'leans', knots: 3, half: 1.5 },
  { is: 'smoke', id: 'bends', knots: 7, half: 2.5 },
  { is: 'smoke', id: 'flat', knots: 14, half: 5 },
];

/**
 * Wind at 10 m by what is seen, m/s: each sign stands for a range taken as even, so its spread is half the range over √3; signs by
 * id, those not known passed over. Null for none.
 */
export function windBySigns(seen: readonly string[]): Reading | null {
  const readings = WIND_SIGNS.flatMap(({ id, knots, half }) =>
    seen.includes(id)
      ? [{ value: knots * MPS_PER_KNOT, spread: (half * MPS_PER_KNOT) / Math.sqrt(3) }]
      : [],
  );
  return pooled(readings);
}
