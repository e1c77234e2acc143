import type { Reading } from '@/core/signs';
import { boatSpeed, speedIn, type Units } from './units';

/** What is seen, as a person on the pontoon would say it, by id of the sign. */
export const SIGN_WORDS: Readonly<Record<string, string>> = {
  hangs: 'hangs straight down',
  stirs: 'stirs now and then',
  lifts: 'lifts, half out',
  currents: 'currents out, mostly straight',
  cracks: 'cracks, quite straight',
  glass: 'like glass',
  'cats-paws': 'dull patches that come and go',
  rippled: 'rippled all over',
  wavelets: 'short wavelets, glassy tops',
  white: 'tops turn white here and there',
  streaked: 'white tops all over, spray',
  straight: 'goes straight up',
  leans: 'leans',
  bends: 'bends over low',
  flat: 'lies flat at once',
};

export const KIND_WORDS = {
  flag: 'a light flag',
  water: 'the water',
  smoke: 'smoke or steam',
} as const;

/** "12 ± 3 kn" for wind, to the whole knot; in m/s to the decimal. */
export function windReading({ value, spread }: Reading, { speed }: Units): string {
  const digits = speed === 'kn' ? 0 : 1;
  const [v, s] = [value, spread].map((mps) => speedIn(mps, speed).toFixed(digits));
  return `${v} ± ${Number(s) === 0 ? (digits === 0 ? 1 : 0.1) : s} ${speed}`;
}

/** "0.8 ± 0.2 kn" for current. */
export function currentReading({ value, spread }: Reading, units: Units): string {
  const shown = Math.max(spread, units.speed === 'kn' ? 0.0514 : 0.01);
  return `${boatSpeed(value, units).split(' ')[0]} ± ${boatSpeed(shown, units)}`;
}
