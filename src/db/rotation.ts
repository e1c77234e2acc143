/** A copy of the database, by its file's name. */
export interface Backup {
  readonly name: string;
  /** When it was made, ms since 1970. */
  readonly at: number;
  readonly bytes: number;
  /** Made before something was replaced. */
  readonly before: boolean;
}

export const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** So many stay: of the newest hours, days and weeks there is a copy of, the last one each. */
export const KEPT = { hours: 24, days: 14, weeks: 8 } as const;
/** Copies made before something was replaced are counted apart: the newest so many stay. */
export const KEPT_BEFORE = 12;
/** Copies from a time to come, made while a clock was wrong: they push nothing out, and the newest few stay. */
export const KEPT_AHEAD = 4;

/** The last copy of each of the newest so many periods. */
function lastOfEach(copies: readonly Backup[], period: number, most: number): Backup[] {
  const last = new Map<number, Backup>();
  for (const copy of copies) {
    const of = Math.floor(copy.at / period);
    if (!last.has(of)) last.set(of, copy);
  }
  return [...last.values()].slice(0, most);
}

/** Copies that are not kept any longer. */
export function spent(copies: readonly Backup[], now: number): Backup[] {
  const newestFirst = copies.toSorted((a, b) => b.at - a.at);
  const regular = newestFirst.filter(({ before, at }) => !before && at <= now);
  const kept = new Set([
    ...newestFirst.filter(({ before }) => before).slice(0, KEPT_BEFORE),
    ...newestFirst.filter(({ before, at }) => !before && at > now).slice(0, KEPT_AHEAD),
    ...lastOfEach(regular, HOUR_MS, KEPT.hours),
    ...lastOfEach(regular, DAY_MS, KEPT.days),
    ...lastOfEach(regular, 7 * DAY_MS, KEPT.weeks),
  ]);
  return newestFirst.filter((copy) => !kept.has(copy));
}

/** Whether a copy is due: none was made within the last hour. One from a time to come does not count. */
export function isDue(copies: readonly Backup[], now: number): boolean {
  return !copies.some(({ before, at }) => !before && at <= now && now - at < HOUR_MS);
}
