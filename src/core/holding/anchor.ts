/** Bottoms an anchor may lie on. */
export const BOTTOMS = ['sand', 'clay', 'mud', 'weed', 'rock'] as const;
export type Bottom = (typeof BOTTOMS)[number];

/**
 * What a modern small-craft anchor holds dug in and pulled level, over its own weight. Recalled makers' and club trials;
 * from a half to twice that, less when it does not set at all.
 */
const HOLDS: Readonly<Record<Bottom, number>> = { sand: 25, clay: 20, mud: 10, weed: 5, rock: 3 };

const GRAVITY = 9.81;
const STEEL_IN_WATER = 0.87;

/** Chain and anchor as the step reads them: SI. */
export interface AnchorFigures {
  /** Weight of the chain in water, N/m; stiffness EA, N; load it parts at, N. */
  readonly weight: number;
  readonly stiffness: number;
  readonly breaks: number;
  /** What the anchor holds at its best, N. */
  readonly anchor: number;
}

/**
 * Short-link chain of a link diameter d, mm: 0.0218 d² kg/m in air, breaking at 0.4 d² kN, and as stiff as 0.06 d² MN
 * (recalled chain tables, ± a tenth; the stiffness ± a third).
 *
 * @param diameter of the link's wire, mm
 * @param kept share of its strength when new
 * @param mass of the anchor, kg
 */
export function anchorFigures(
  diameter: number,
  kept: number,
  mass: number,
  bottom: Bottom,
): AnchorFigures {
  const square = diameter * diameter;
  return {
    weight: 0.0218 * square * STEEL_IN_WATER * GRAVITY,
    stiffness: 60000 * square,
    breaks: 400 * kept * square,
    anchor: HOLDS[bottom] * mass * GRAVITY,
  };
}

/**
 * A usual anchor for a boat, kg: 5 kg and 1.4 a tonne, and its chain, mm (recalled makers' tables, a size either way).
 *
 * @param mass of the boat, kg
 */
export function usualAnchor(mass: number): { readonly mass: number; readonly chain: number } {
  const tonnes = mass / 1000;
  const chain = [6, 8, 10, 12, 14, 16, 20, 26, 34, 44, 58, 76].find(
    (d) =>
      400 * d * d > 1.5 * (5000 + 4000 * Math.min(tonnes, 40) + 600 * Math.max(0, tonnes - 40)),
  );
  return { mass: Math.round(5 + 1.4 * tonnes), chain: chain ?? 90 };
}
