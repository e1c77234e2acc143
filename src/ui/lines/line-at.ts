import { MADE } from '@/core/holding';
import type { Run } from '@/core/plan';
import type { PlanDocument } from '@/document';
import { readAt, sampleBefore } from '../water/sample';

/** What is made of a line at a moment of a run. */
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

/** Lines that are out at a moment of a run. */
export function linesAt(
  run: Pick<Run, 'trace' | 'events'>,
  lines: PlanDocument['lines'],
  time: number,
): readonly LineAt[] {
  const sample = sampleBefore(run.trace, time);
  return lines.flatMap(({ name }, index): LineAt[] => {
    const columns = run.trace.lines[index];
    const state = columns && STATES[columns.made[sample] ?? NaN];
    if (!state) return [];
    const { tension, length, endX, endY } = columns;
    const on = state === 'on' || state === 'fast';
    return [
      {
        name,
        index,
        state,
        end: on ? { x: readAt(run, endX, time), y: readAt(run, endY, time) } : null,
        tension: readAt(run, tension, time),
        length: readAt(run, length, time),
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
  run: Pick<Run, 'trace' | 'events'>,
  crew: PlanDocument['crew'],
  time: number,
): readonly PersonAt[] {
  return crew.flatMap(({ name }, who): PersonAt[] => {
    const event = run.events.findLast(
      (e) => e.is === 'crew' && e.who === who && e.time <= time + 1e-6,
    );
    if (event?.is !== 'crew') return [];
    return [{ name, aboard: event.aboard, x: event.x, y: event.y }];
  });
}
