/** What mooring lines are made of. */
export const ROPES = ['polyester', 'polyamide', 'hmpe'] as const;
export type Rope = (typeof ROPES)[number];

interface RopeLaw {
  /** Breaking load of a new laid line, N per mm² of diameter squared. */
  readonly strength: number;
  /** Tension as shares of the breaking load: T/B = first·ε + second·ε². */
  readonly first: number;
  readonly second: number;
}

/**
 * From stretch at a fifth of the breaking load and at it: polyester 5 and 15 %, polyamide 12 and 37.5 %, HMPE 3.5 % at
 * break. Breaking load 0.156 d² kN for polyester (d in mm), polyamide a tenth more, HMPE three times that.
 * Recalled rope-maker practice, ± a third; wet, spliced and knotted lines hold a fifth to a half less.
 */
const LAWS: Readonly<Record<Rope, RopeLaw>> = {
  polyester: { strength: 156, first: 2.667, second: 26.67 },
  polyamide: { strength: 172, first: 1.196, second: 3.923 },
  hmpe: { strength: 468, first: 28.57, second: 0 },
};

/** What a line of a rope does: stiffness N, second-order stiffness N, breaking load N, damping N s/m. */
export interface RopeFigures {
  readonly stiffness: number;
  readonly stiffening: number;
  readonly damping: number;
  readonly breaks: number;
}

/** A rope gives its load back late by about this, s: its own hysteresis, as a dashpot on eight metres of it. Judgement. */
const LATE_S = 0.05;
const DAMPED_LENGTH_M = 8;

/**
 * @param diameter mm
 * @param kept share of its strength when new, 0…1, for age and knots
 * @param parts 1, or 2 for a doubled line (a slip rope), which is twice as stiff and strong
 */
export function ropeFigures(
  rope: Rope,
  diameter: number,
  kept: number,
  parts: 1 | 2 = 1,
): RopeFigures {
  const { strength, first, second } = LAWS[rope];
  const breaking = strength * diameter * diameter * parts;
  return {
    stiffness: first * breaking,
    stiffening: second * breaking,
    damping: (LATE_S * first * breaking) / DAMPED_LENGTH_M,
    breaks: kept * breaking,
  };
}

const SIZES_MM = [6, 8, 10, 12, 14, 16, 18, 20, 22, 24, 28, 32, 40, 48, 56, 64, 72, 80] as const;

/**
 * A usual diameter for a boat's mooring lines, mm: one that breaks at 5 kN and a quarter of its weight, a twentieth of
 * what is over 40 t. 10 mm for 3 t, 14 for 8 t, 20 for 20 t (recalled chandlers' tables, a size either way).
 *
 * @param mass kg
 */
export function usualDiameter(mass: number): number {
  const breaking = 5000 + 2.6 * Math.min(mass, 40000) + 0.5 * Math.max(0, mass - 40000);
  const wanted = Math.sqrt(breaking / LAWS.polyester.strength);
  return SIZES_MM.find((size) => size >= Math.max(8, wanted)) ?? SIZES_MM.at(-1)!;
}
