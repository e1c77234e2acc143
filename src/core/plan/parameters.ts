import type { Gear } from '../simulation';
import type { LineEnd, MarkOnPlace, PointOnBoat } from './references';

/**
 * What a parameter of an order, a cue or an expectation is. Its value in the core (SI, radians), its name and unit in a
 * file, how it is mirrored and how it is fitted follow from its kind. Bounds are in the file's unit, degrees for angles.
 */
export type Parameter =
  | Angle
  | { readonly kind: 'heading'; readonly tune?: Tune; readonly optional?: Absent }
  | Quantity<'speed'>
  /** Between a point of a boat and a mark: grows with the boat. */
  | Distance
  /** Of rope or chain. */
  | Quantity<'length'>
  | Quantity<'time'>
  | Quantity<'turns'>
  | Share
  | Choice<string>
  | { readonly kind: 'gear' }
  | { readonly kind: 'flag'; readonly fallback: boolean }
  | { readonly kind: 'text'; readonly most: number; readonly says: string }
  | Reference;

/** What stands for a parameter that was left out. */
export type Absent = 'null' | 'nothing';

/**
 * A number that may be fitted, in the file's unit: its first step and its bounds, by what it is now and what else is said
 * with it; null where it stays.
 */
export type Tune = (
  value: number,
  of: Readonly<Record<string, unknown>>,
) => {
  readonly step: number;
  readonly least: number;
  readonly most: number;
  readonly decimals: number;
} | null;

export interface Angle {
  readonly kind: 'angle';
  /** To one side of the boat, starboard positive; or neither. */
  readonly lateral: boolean;
  readonly least: number;
  readonly most: number;
  readonly tune?: Tune;
}

export interface Quantity<K extends string> {
  readonly kind: K;
  readonly least: number;
  readonly most: number;
  readonly fallback?: number;
  readonly optional?: Absent;
  readonly tune?: Tune;
}

export interface Distance extends Quantity<'distance'> {
  /** To one side of the boat, starboard positive. */
  readonly lateral?: boolean;
}

export interface Share {
  readonly kind: 'share';
  readonly least: number;
  readonly most: number;
  /** To one side of the boat, starboard positive. */
  readonly lateral?: boolean;
  readonly fallback?: number;
  readonly tune?: Tune;
}

export interface Choice<C extends string> {
  readonly kind: 'choice';
  readonly of: readonly C[];
  readonly fallback?: C;
  /** Port and starboard, or left and right: swapped in the mirror. */
  readonly sides?: boolean;
}

/** What a name in a file leads to. */
export interface Reference {
  readonly kind: keyof Referred;
  readonly optional?: Absent;
}

/** Each kind of reference and what it is in the core: numbers count from nought, other boats from one. */
export interface Referred {
  engine: number | null;
  thruster: number;
  /** A line; one without an anchor, to be passed or let go; one with. */
  line: number;
  rope: number;
  anchor: number;
  person: number;
  /** Who sees to the line of the same order; null for whoever is at hand. */
  hand: number | null;
  /** Who works a lock; null for the keeper. */
  keeper: number | null;
  boat: number;
  lock: number;
  /** Of the lock of the same order. */
  paddle: number;
  mark: MarkOnPlace;
  point: PointOnBoat;
  /** Of this boat or of another. */
  anyPoint: PointOnBoat;
  lineEnd: LineEnd;
}

type Plain<P extends Parameter> =
  P extends Choice<infer C>
    ? C
    : P extends Reference
      ? Referred[P['kind']]
      : P extends { kind: 'gear' }
        ? Gear
        : P extends { kind: 'flag' }
          ? boolean
          : P extends { kind: 'text' }
            ? string
            : number;

/** The value of a parameter in the core. */
export type ValueOf<P extends Parameter> = P extends { readonly optional: 'null' }
  ? Plain<P> | null
  : Plain<P>;

export type Parameters = Readonly<Record<string, Parameter>>;

type Omitted<P extends Parameters> = {
  [K in keyof P]: P[K] extends { readonly optional: 'nothing' } ? K : never;
}[keyof P];

/** The values of all parameters in the core. */
export type Values<P extends Parameters> = {
  readonly [K in Exclude<keyof P, Omitted<P>>]: ValueOf<P[K]>;
} & { readonly [K in Omitted<P>]?: ValueOf<P[K]> | undefined };
