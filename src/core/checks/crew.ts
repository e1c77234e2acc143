import { HELM_MAY_LEAVE_MPS } from '../policy';
import type { CrewEvent, LineEvent, Run } from '../plan';
import { sampleBefore } from '../simulation';
import { stepAt, type Finding, type Rule } from './check';

const CREW: ReadonlySet<CrewEvent> = new Set([
  'not there',
  'could not step',
  'too high to step',
  'no way across',
  'helm left',
]);
const LINES: ReadonlySet<LineEvent> = new Set(['not passed', 'not let go', 'left']);

/** Out of gear and as good as still, nobody has to stand at the helm. */
function atRest({ trace }: Run, time: number): boolean {
  if (trace.time.length === 0) return false;
  const i = sampleBefore(trace, time);
  const inGear = trace.engines.some(({ gear }) => gear[i] !== 0);
  return !inGear && trace.groundSpeed[i]! < HELM_MAY_LEAVE_MPS;
}

/** An order to hands that came to nothing, since nobody was where it wanted them, or that left the helm alone. */
export const handsNotThere: Rule = (input, run) =>
  run.events.flatMap((event): Finding[] => {
    const crew = event.is === 'crew' && CREW.has(event.what);
    const line = event.is === 'line' && LINES.has(event.what);
    if (!crew && !line) return [];
    if (event.is === 'crew' && event.what === 'helm left' && atRest(run, event.time)) return [];
    const { rigging } = input;
    const which =
      event.is === 'crew'
        ? (rigging?.crew[event.who]?.name ?? null)
        : event.is === 'line'
          ? (rigging?.lines[event.line]?.name ?? null)
          : null;
    return [
      {
        rule: 'crew not there',
        step: stepAt(run, event.time),
        time: event.time,
        figure: event.is === 'crew' ? (CREW_KINDS[event.what] ?? 0) : NOT_THERE.LINE,
        limit: 0,
        which,
      },
    ];
  });

/** What it was, as the figure of a finding. */
export const NOT_THERE = { WALKS: 0, STEPS: 1, HELM: 2, LINE: 3, ACROSS: 4, HIGH: 5 } as const;

const CREW_KINDS: Partial<Record<CrewEvent, number>> = {
  'not there': NOT_THERE.WALKS,
  'could not step': NOT_THERE.STEPS,
  'too high to step': NOT_THERE.HIGH,
  'no way across': NOT_THERE.ACROSS,
  'helm left': NOT_THERE.HELM,
};
