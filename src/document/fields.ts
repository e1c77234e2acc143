import { z } from 'zod';

// In a browser nothing is made into code from text: the page's policy forbids it, and Zod would try.
if ('navigator' in globalThis && !('process' in globalThis)) z.config({ jitless: true });

/** A number in a stated range; the message names the range and unit. */
export function within(least: number, most: number, unit = '') {
  const suffix = unit ? ` ${unit}` : '';
  const message = `give a number from ${least} to ${most}${suffix}`;
  return z.number({ error: message }).min(least, { error: message }).max(most, { error: message });
}

/** "'a', 'b' or 'c'" */
export const listed = (values: readonly string[]): string => {
  const quoted = values.map((value) => `'${value}'`);
  return quoted.length < 2
    ? quoted.join()
    : `${quoted.slice(0, -1).join(', ')} or ${quoted.at(-1)}`;
};

/** One of some words; the message says which. */
export const oneOf = <const T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: `say ${listed(values)}` });

export const id = z.string().regex(/^[a-z0-9][a-z0-9-]{0,63}$/, {
  error: 'use 1 to 64 small letters, digits and hyphens, starting with a letter or digit',
});

/** An id made of words: small letters, digits and hyphens, as long as leaves room for a number behind it. */
export function idFrom(words: string, otherwise: string): string {
  const made = words
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 56);
  return made || otherwise;
}

/**
 * A text without what nobody can see and what turns other text about: control characters but for line ends and tabs,
 * and marks that override the direction of reading. Letters of any script stay.
 */
export const plainText = (text: string) =>
  text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f\u202a-\u202e\u2066-\u2069]/g, '');

const oneLine = (text: string) => plainText(text).replace(/[\t\r\n]+/g, ' ');

export const shortText = z
  .string()
  .overwrite(oneLine)
  .trim()
  .min(1, { error: 'give it a name' })
  .max(80, { error: 'keep it to 80 characters' });

export const longText = z
  .string()
  .overwrite(plainText)
  .max(2000, { error: 'keep it to 2,000 characters' });

/** What another program said of it, kept as it came: at most so many characters of JSON. */
const MOST_EXTRA = 4000;
export const extra = z
  .record(z.string(), z.json())
  .refine((value) => JSON.stringify(value).length <= MOST_EXTRA, {
    error: `what is kept of another program's is at most ${MOST_EXTRA} characters`,
  })
  .optional();

/** Compass direction, degrees; 360 is accepted and means 0. */
export const compass = within(0, 360, 'degrees');

/** A point [x, y] in metres. */
export const pointOnPlace = z.tuple([within(-20000, 20000, 'm'), within(-20000, 20000, 'm')], {
  error: 'give a point as [east, north] in metres',
});

export const radians = (degrees: number) => (degrees * Math.PI) / 180;
export const degrees = (value: number) => (value * 180) / Math.PI;

/** Sides of a boat. */
export const SIDES = ['port', 'starboard'] as const;
export type Side = (typeof SIDES)[number];
