import type { Share } from '@/core/reliability';
import type { Outcome } from '@/core/plan';
import { OPENED_LAST, SHOWN_FROM_MPS } from '@/core/policy';
import type { Job } from '@/document';

/** A manoeuvre as it stands on the start page. */
export interface StartEntry {
  readonly id: string;
  readonly title: string;
  readonly note: string;
  readonly boat: string;
  readonly place: string;
  readonly openedAt: number | null;
  /** How hard it blows, m/s; null where it cannot be read. */
  readonly wind: number | null;
  /** Null where it cannot be read. */
  readonly job: Job | null;
  /** What it came to when it was last worked out; null where that is not known. */
  readonly last: {
    readonly outcome: Outcome;
    /** How many of its tries held; null where none were made. */
    readonly share: Share | null;
    /** It, its boat or its place was changed since. */
    readonly older: boolean;
  } | null;
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

/** The groups a list is shown in: those opened last, then by what they are for; what cannot be read comes first of all. */
export function grouped<T extends StartEntry>(
  entries: readonly T[],
  jobs: readonly Job[],
): readonly { readonly of: Job | 'unreadable' | 'opened'; readonly entries: readonly T[] }[] {
  const opened = entries
    .filter(({ openedAt, job }) => openedAt !== null && job)
    .slice(0, OPENED_LAST);
  return [
    { of: 'unreadable' as const, entries: entries.filter(({ job }) => job === null) },
    { of: 'opened' as const, entries: opened },
    ...jobs.map((of) => ({ of, entries: entries.filter(({ job }) => job === of) })),
  ].filter((group) => group.entries.length > 0);
}

/** Which to show to somebody who has never been here: of those in a wind that can be felt the one that holds most surely, and of these the first. */
export function firstToSee<T extends StartEntry>(entries: readonly T[]): T | null {
  const sure = ({ last }: T) => (last && !last.older ? (last.share?.least ?? 0) : 0);
  const [first] = entries
    .filter(({ job, wind }) => job === 'arrive' && (wind ?? 0) >= SHOWN_FROM_MPS)
    .toSorted((a, b) => sure(b) - sure(a));
  return first ?? null;
}
