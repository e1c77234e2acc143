/** A manoeuvre as it stands on the start page. */
export interface StartEntry {
  readonly id: string;
  readonly title: string;
  readonly note: string;
  readonly boat: string;
  readonly place: string;
  readonly openedAt: number | null;
  /** It is kept, but cannot be read. */
  readonly unreadable: boolean;
}

/** Letters without case or marks, so that nobody has to find them on a keyboard. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** Those that have every word sought in their title, boat, place or story; all of them when nothing is sought. */
export function matching<T extends StartEntry>(
  entries: readonly T[],
  sought: string,
): readonly T[] {
  const words = plain(sought).split(/\s+/).filter(Boolean);
  return entries.filter(({ title, note, boat, place }) => {
    const text = plain(`${title} ${note} ${boat} ${place}`);
    return words.every((word) => text.includes(word));
  });
}
