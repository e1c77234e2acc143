/** Half-breadths of a moored boat as shares of length and beam, from the bow. */
const HALF: readonly (readonly [ahead: number, aside: number])[] = [
  [0.5, 0.06],
  [0.3, 0.36],
  [0.05, 0.5],
  [-0.3, 0.47],
  [-0.5, 0.36],
];

/** A centimetre: nobody paces out finer. */
export const toCentimetres = (metres: number) => Math.round(metres * 100) / 100 + 0;

/** Outline of a moored boat of a size, m, about its middle, with its bow so, degrees. */
export function mooredOutline(
  [x, y]: readonly [number, number],
  length: number,
  beam: number,
  heading_deg: number,
): [number, number][] {
  const rad = (heading_deg * Math.PI) / 180;
  const [s, c] = [Math.sin(rad), Math.cos(rad)];
  const ring = [...HALF, ...HALF.toReversed().map(([a, b]) => [a, -b] as const)];
  return ring.map(([a, b]) => [
    toCentimetres(x + a * length * s + b * beam * c),
    toCentimetres(y + a * length * c - b * beam * s),
  ]);
}
