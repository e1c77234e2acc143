import { DEGREES_PER_RADIAN, GRAVITY_MPS2, M_PER_FOOT, MPS_PER_KNOT } from '@/core/units';
import { wrapTurn } from '@/core/math';
import type { ForceUnit, LengthUnit, SpeedUnit, Units } from '../state/preferences';

// Turns the core's SI figures into what a user reads. No figure shows more than it has.
export type { Units };

const NEWTONS: Readonly<Record<ForceUnit, number>> = {
  N: 1,
  kgf: GRAVITY_MPS2,
  // A pound of 0.45359237 kg.
  lbf: 0.45359237 * GRAVITY_MPS2,
};

const speedFactor = (unit: SpeedUnit) => (unit === 'kn' ? MPS_PER_KNOT : 1);
const lengthFactor = (unit: LengthUnit) => (unit === 'ft' ? M_PER_FOOT : 1);

export function speedIn(mps: number, unit: SpeedUnit): number {
  return mps / speedFactor(unit);
}

export function speedFrom(value: number, unit: SpeedUnit): number {
  return value * speedFactor(unit);
}

export function lengthIn(metres: number, unit: LengthUnit): number {
  return metres / lengthFactor(unit);
}

export function lengthFrom(value: number, unit: LengthUnit): number {
  return value * lengthFactor(unit);
}

/** "1.8 kn", "0.93 m/s": boat speeds. */
export function boatSpeed(mps: number, { speed }: Units): string {
  const text = speedIn(mps, speed).toFixed(speed === 'kn' ? 1 : 2);
  // What rounds to nought is neither ahead nor astern.
  return `${Number(text) === 0 ? text.replace('-', '') : text} ${speed}`;
}

/** Speeds of a touch are given in m/s to the hundredth, whatever the rest is in: that is how fenders are judged. */
export function touchSpeed(mps: number): string {
  return `${mps.toFixed(2)} m/s`;
}

/** "11 kn", "5.7 m/s": wind. Current keeps a decimal. */
export function windSpeed(mps: number, { speed }: Units): string {
  return `${speedIn(mps, speed).toFixed(speed === 'kn' ? 0 : 1)} ${speed}`;
}

export function distance(
  metres: number,
  { length }: Units,
  digits = length === 'm' || lengthIn(metres, length) < 10 ? 1 : 0,
): string {
  return `${lengthIn(metres, length).toFixed(digits)} ${length}`;
}

/** "007°", three figures as a heading is spoken. */
export function heading(radians: number): string {
  const whole = Math.round(wrapTurn(radians) * DEGREES_PER_RADIAN) % 360;
  return `${String(whole).padStart(3, '0')}°`;
}

/** "1:07" from seconds; tenths are dropped, not rounded up into a moment that has not come. */
export function clock(seconds: number): string {
  const whole = Math.floor(seconds + 1e-6);
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

const POINTS = ['N', 'NE', 'E', 'SE', 'S', 'SW', 'W', 'NW'] as const;

/** The nearest of eight compass points to a direction in degrees. */
export function compassPoint(degrees: number): string {
  return POINTS[Math.round((((degrees % 360) + 360) % 360) / 45) % 8]!;
}

/** Rounds to a number of decimals without trailing noise, for numbers put into fields. */
export function tidy(value: number, decimals = 2): number {
  return Number(value.toFixed(decimals));
}

export function forceFrom(value: number, unit: ForceUnit): number {
  return value * NEWTONS[unit];
}

/** "210 N", "21 kgf", to two figures: forces carry a fifth. */
export function force(newtons: number, { force: unit }: Units): string {
  const value = Math.abs(newtons) / NEWTONS[unit];
  const step = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, value))) - 1);
  const round = Math.round(value / step) * step;
  return unit === 'N' && Math.abs(newtons) >= 10000 ? `${round / 1000} kN` : `${round} ${unit}`;
}
