import { PROPULSOR_KINDS, type PropulsorKind } from '../propulsors';

/** Kinds of boat whose class defaults the estimate knows. */
export const BOAT_CLASSES = [
  'sailing yacht',
  'sailing catamaran',
  'motor yacht',
  'displacement motor boat',
  'open boat',
  'canal boat',
  'barge',
  'tug',
  'ship',
] as const;
export type BoatClass = (typeof BOAT_CLASSES)[number];

export const DRIVE_CHOICES = [...PROPULSOR_KINDS, 'none'] as const;
type DriveChoice = PropulsorKind | 'none';

export const BLADE_KINDS = [
  '3 fixed',
  '4 fixed',
  '2 fixed',
  '2 folding',
  '3 folding',
  'feathering',
] as const;
export type BladeKind = (typeof BLADE_KINDS)[number];

export const KEEL_KINDS = ['none', 'fin', 'long', 'twin', 'lifting', 'skeg'] as const;
export type KeelKind = (typeof KEEL_KINDS)[number];

/** What an owner knows of a boat, SI. */
export interface OwnerFigures {
  readonly class: BoatClass;
  readonly length: number;
  readonly beam: number;
  readonly draught: number;
  /** kg */
  readonly displacement: number;
  readonly waterlineLength: number | null;
  readonly drive: DriveChoice;
  readonly engines: number;
  /** Of each engine, W. */
  readonly power: number;
  readonly hand: 1 | -1;
  readonly blades: BladeKind;
  readonly keel: KeelKind;
  readonly rudders: number;
  readonly control: 'wheel' | 'tiller';
  /** Heights of the deck edge, of superstructure over it, of the mast over water, m. */
  readonly freeboard: number;
  readonly superstructure: number;
  readonly mast: number;
  /** Speed in gear at idle with every engine ahead, m/s; null to take the class's. */
  readonly idleSpeed: number | null;
  /** How far to starboard of the middle a single screw stands, m. */
  readonly screwOffset: number;
  /** Electrical power of tunnel thrusters, W; 0 for none. */
  readonly bowThruster: number;
  readonly sternThruster: number;
  readonly joystick: boolean;
}

export type HowKnown = 'given' | 'formula' | 'class default' | 'assumption';

/** How one figure was come by, and its likely error as a share of it. */
export interface Basis {
  /** Path of the figure in a boat's record, such as hull.wettedArea_m2. */
  readonly figure: string;
  readonly how: HowKnown;
  readonly spread: number;
  readonly note: string;
}
