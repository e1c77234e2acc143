/** Angles of the tide, degrees: hour angle of the mean sun, longitudes of moon, sun, perigee, node and perihelion. */
export interface Angles {
  readonly t: number;
  readonly s: number;
  readonly h: number;
  readonly p: number;
  readonly n: number;
  readonly p1: number;
}

export const CONSTITUENT_NAMES = [
  'M2',
  'S2',
  'N2',
  'K2',
  'K1',
  'O1',
  'P1',
  'Q1',
  'M4',
  'MS4',
] as const;
export type ConstituentName = (typeof CONSTITUENT_NAMES)[number];

/** How the moon's node changes a constituent: f = (mean + f cos N)^times, u = times · u sin N. */
interface Node {
  readonly mean: number;
  readonly f: number;
  readonly u_deg: number;
  readonly times: number;
}

interface Constituent {
  /** Multiples of t, s, h, p and p1. */
  readonly doodson: readonly [number, number, number, number, number];
  readonly shift_deg: number;
  readonly node: Node;
}

const NONE: Node = { mean: 1, f: 0, u_deg: 0, times: 1 };
const M2: Node = { mean: 1, f: -0.037, u_deg: -2.1, times: 1 };

/**
 * The ten that make most of a coastal tide. Arguments as Doodson and Schureman have them, first-order nodal terms (recalled, not
 * looked up; ±1 % and ±1° of a full nodal correction).
 */
export const CONSTITUENTS: Readonly<Record<ConstituentName, Constituent>> = {
  M2: { doodson: [2, -2, 2, 0, 0], shift_deg: 0, node: M2 },
  S2: { doodson: [2, 0, 0, 0, 0], shift_deg: 0, node: NONE },
  N2: { doodson: [2, -3, 2, 1, 0], shift_deg: 0, node: M2 },
  K2: {
    doodson: [2, 0, 2, 0, 0],
    shift_deg: 0,
    node: { mean: 1.024, f: 0.286, u_deg: -17.7, times: 1 },
  },
  K1: {
    doodson: [1, 0, 1, 0, 0],
    shift_deg: -90,
    node: { mean: 1.006, f: 0.115, u_deg: -8.9, times: 1 },
  },
  O1: {
    doodson: [1, -2, 1, 0, 0],
    shift_deg: 90,
    node: { mean: 1.009, f: 0.187, u_deg: 10.8, times: 1 },
  },
  P1: { doodson: [1, 0, -1, 0, 0], shift_deg: 90, node: NONE },
  Q1: {
    doodson: [1, -3, 1, 1, 0],
    shift_deg: 90,
    node: { mean: 1.009, f: 0.187, u_deg: 10.8, times: 1 },
  },
  M4: { doodson: [4, -4, 4, 0, 0], shift_deg: 0, node: { ...M2, times: 2 } },
  MS4: { doodson: [4, -2, 2, 0, 0], shift_deg: 0, node: M2 },
};
