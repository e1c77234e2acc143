import type { Range } from '@/core/uncertainty';

/** Told where both ends come to the same, to the digits shown. */
const SAME = 'hardly differs';

/** A number and what it is in, "2.1" and " kn". */
const NUMBER_UNIT = /^([\d.,]+)(\D*)$/;

/**
 * "2.1–2.6 kn": where a figure lies in 90 of 100, written as the figure itself is. An end that is never come to is told by
 * `never`, or as "and more" where that is null. Of figures with a sign both ends are written by their size, where they lie on one side.
 */
export function rangeText(
  { least, most }: Range,
  text: (value: number) => string,
  never: string | null = 'never',
): string {
  const say = (value: number) => (Number.isFinite(value) ? text(value) : (never ?? text(value)));
  const ends = most <= 0 ? [most, least] : [least, most];
  const [from, to] = ends.map(say) as [string, string];
  if (from === to) return /\d/.test(from) && Number.isFinite(least) ? SAME : '';
  if (!Number.isFinite(most)) return never === null ? `${from} and more` : `${from} or ${never}`;
  if (most > 0 && least < 0) return `${from} one way to ${to} the other`;
  const [number, unit] = NUMBER_UNIT.exec(from)?.slice(1) ?? [];
  return number !== undefined && NUMBER_UNIT.exec(to)?.[2] === unit
    ? `${number}–${to}`
    : `${from} to ${to}`;
}
