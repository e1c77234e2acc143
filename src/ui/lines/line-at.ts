import { MADE } from '@/core/holding';
import type { Take } from '@/core/score';
import { MOST_LINES, type MoreColumn } from '@/core/sim';
import type { ScoreDocument } from '@/document';
import { readAt, sampleBefore } from '../water/sample';

/** What is made of a line at a moment of a take. */
export interface LineAt {
  readonly name: string;
  /** Its place among the lines. */
  readonly index: number;
  readonly state: 'on' | 'fast' | 'trailing' | 'passing';
  /** Where its end is, m on the place; null while it is not on. */
  readonly end: { readonly x: number; readonly y: number } | null;
  /** N, and metres without load. */
  readonly tension: number;
  readonly length: number;
}

const STATES: Readonly<Record<number, LineAt['state']>> = {
  [MADE.PASSING]: 'passing',
  [MADE.HELD]: 'on',
  [MADE.TURNED]: 'on',
  [MADE.FAST]: 'fast',
  [MADE.TRAILING]: 'trailing',
};

/** Lines that are out at a moment of a take. */
export function linesAt(
  take: Pick<Take, 'trace' | 'events'>,
  lines: ScoreDocument['lines'],
  time: number,
): readonly LineAt[] {
  const sample = sampleBefore(take.trace, time);
  return lines.slice(0, MOST_LINES).flatMap(({ name }, index): LineAt[] => {
    const made = take.trace[`made${index + 1}` as MoreColumn]?.[sample];
    const state = made === undefined ? undefined : STATES[made];
    if (!state) return [];
    const on = state === 'on' || state === 'fast';
    return [
      {
        name,
        index,
        state,
        end: on
          ? {
              x: readAt(take, `endX${index + 1}` as MoreColumn, time),
              y: readAt(take, `endY${index + 1}` as MoreColumn, time),
            }
          : null,
        tension: readAt(take, `tension${index + 1}` as MoreColumn, time),
        length: readAt(take, `length${index + 1}` as MoreColumn, time),
      },
    ];
  });
}

/** Where everybody is at a moment: aboard in body axes, else on the place, m. */
export interface PersonAt {
  readonly name: string;
  readonly aboard: boolean;
  readonly x: number;
  readonly y: number;
}

export function peopleAt(
  take: Pick<Take, 'trace' | 'events'>,
  crew: ScoreDocument['crew'],
  time: number,
): readonly PersonAt[] {
  return crew.flatMap(({ name }, who): PersonAt[] => {
    const event = take.events.findLast(
      (e) => e.is === 'crew' && e.who === who && e.time <= time + 1e-6,
    );
    if (event?.is !== 'crew') return [];
    return [{ name, aboard: event.aboard, x: event.x, y: event.y }];
  });
}
