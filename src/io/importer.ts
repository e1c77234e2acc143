import type { Result } from '@/document';

/** What a file is read with: what it was called, and whatever the kind of importer asks for besides. */
export interface FileAbout {
  /** As the user's computer calls it. */
  readonly name: string;
}

/**
 * A format that can be read. `read` gives a whole thing or what is wrong with the file, never half of one; `sniff` tells from a
 * glance whether a text is of this format.
 */
export interface Importer<T, A extends FileAbout = FileAbout> {
  readonly id: string;
  /** Endings of file names and media types. */
  readonly accept: readonly string[];
  /** Largest file read, characters. */
  readonly most: number;
  sniff(text: string): boolean;
  read(text: string, about: A): Result<T>;
}

/** What a file dialogue offers for some importers. */
export const acceptOf = (importers: readonly Pick<Importer<never>, 'accept'>[]): string =>
  [...new Set(importers.flatMap(({ accept }) => accept))].join(',');

export const mostOf = (importers: readonly Pick<Importer<never>, 'most'>[]): number =>
  Math.max(...importers.map(({ most }) => most));

/** Reads a text by the first importer whose format it looks like; by the last, which says what it wanted, where it is none's. */
export function readWith<T, A extends FileAbout>(
  importers: readonly Importer<T, A>[],
  text: string,
  about: A,
): Result<T> {
  const importer = importers.find(({ sniff }) => sniff(text)) ?? importers.at(-1)!;
  return importer.read(text, about);
}

/** A format that can be written. */
export interface Exporter<T, A = void> {
  /** Media type of the file, and how its name ends. */
  readonly type: string;
  readonly ending: string;
  write(thing: T, about: A): Result<string>;
}
