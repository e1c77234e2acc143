import type { Foil } from './foil';
import type { ShaftSpec } from './spec';

/** Hull strips: place and ½ C_d T dx of each, m and m². */
export interface Strips {
  readonly x: Float64Array;
  readonly halfDragArea: Float64Array;
}

export interface Shaft extends ShaftSpec {
  readonly discArea: number;
  /** Thrust/ρ = squared·n|n| − crossed·|n|Va − trailing·Va|Va|, with n in 1/s. */
  readonly aheadSquared: number;
  readonly asternSquared: number;
  readonly crossed: number;
  readonly trailing: number;
}

export interface Rudder {
  readonly foil: Foil;
  readonly limit: number;
  readonly race: RaceOnRudder | null;
}

export interface RaceOnRudder {
  readonly shaft: number;
  /** Share of full race growth at the blade with the race running aft, and with it running forward. */
  readonly growthAft: number;
  readonly growthForward: number;
  readonly span: number;
  readonly propellerRadius: number;
  readonly effect: number;
}
