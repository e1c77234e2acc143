import type { DriveNow } from '@/core/drive';
import { CALLED_FROM_M } from '@/core/policy';
import type { PlanDocument } from '@/document';
import { crewTrouble, LINE_EVENT_WORDS, the } from '../words/lines';
import { lockEventText, lockTrouble } from '../words/locks';
import { distance, touchSpeed, type Units } from '../words/units';

/** Something called out aboard. */
export interface Call {
  readonly time: number;
  readonly text: string;
  /** Wants to be heard at once. */
  readonly urgent: boolean;
}

/** Distances called out as the boat comes up to its berth, m: a falling number. */
const CALLED_M = [20, 15, 10, 8, 6, 5, 4, 3, 2, 1, 0.5] as const;
const LINES_TOLD: ReadonlySet<string> = new Set([
  'on',
  'fast',
  'fast as it falls',
  'fast too long',
  'loads up',
  'hangs her',
  'missed',
  'let go',
  'home',
  'parted',
  'anchor down',
  'anchor up',
  'drags',
  'in the propeller',
  'not passed',
  'not let go',
]);

const STEPS_TOLD: ReadonlySet<string> = new Set(['on a ladder', 'ashore', 'aboard']);

/** The smallest distance of the list the boat has come under, or null. */
function under(metres: number): number | null {
  return CALLED_M.findLast((one) => metres <= one) ?? null;
}

/** What is called between two looks at the boat. */
export function callsBetween(
  before: DriveNow | null,
  now: DriveNow,
  { lines, crew }: Pick<PlanDocument, 'lines' | 'crew'>,
  units: Units,
): Call[] {
  const call = (text: string, urgent = false): Call => ({ time: now.time, text, urgent });
  const calls: Call[] = [];
  // What stands as it begins is no news.
  if (!before) return calls;
  for (const event of now.events) {
    if (event.is === 'line' && LINES_TOLD.has(event.what)) {
      const name = the(lines[event.line]?.name ?? 'line');
      const bad = [
        'missed',
        'parted',
        'in the propeller',
        'drags',
        'fast as it falls',
        'fast too long',
        'loads up',
        'hangs her',
      ].includes(event.what);
      calls.push(call(`${name} ${LINE_EVENT_WORDS[event.what]}`, bad));
    }
    if (event.is === 'lock')
      calls.push(
        call(
          lockEventText(event.what, event.seconds),
          lockTrouble(event.what, event.seconds) !== null,
        ),
      );
    if (event.is === 'crew') {
      const name = crew[event.who]?.name ?? 'somebody';
      const trouble = crewTrouble(event, name);
      if (trouble) calls.push(call(trouble, true));
      else if (STEPS_TOLD.has(event.what)) calls.push(call(`${name} ${event.what}`));
    }
  }
  for (const touch of now.touches)
    calls.push(
      call(
        `${touch.grade} touch on ${touch.name}, ${touchSpeed(touch.speed)}`,
        touch.grade !== 'soft',
      ),
    );
  if (now.astern) {
    const { room, name } = now.astern;
    calls.push(
      name === null
        ? call('clear astern')
        : call(`${distance(room, units)} astern to ${name}`, true),
    );
  }
  if (now.met && now.met.gap < CALLED_FROM_M && (before.met?.gap ?? Infinity) >= CALLED_FROM_M)
    calls.push(call(`${now.met.name} ${distance(now.met.gap, units)} off`, true));
  if (now.berth && before.berth) {
    const mark = under(now.berth.distance);
    const was = under(before.berth.distance);
    // Only while it falls: the boat may drift off again.
    if (mark !== null && (was === null || mark < was))
      calls.push(call(mark === 0.5 ? 'half a metre' : `${distance(mark, units)} off`));
  }
  return calls;
}
