import { isDoneBy, type Run } from '@/core/plan';
import { CALLED_AT_ONCE_S } from '@/core/policy';
import type { PlanDocument } from '@/document';
import { crewTrouble, LINE_EVENT_WORDS, lineTrouble } from '../words/lines';
import { lockEventText } from '../words/locks';
import type { CalledOut } from './Staves';

/** What is called out in a run. */
export function callsOf(run: Run): readonly CalledOut[] {
  return run.events.flatMap((event) =>
    event.is === 'order' && event.order.do === 'call'
      ? [{ time: event.time, text: event.order.text }]
      : [],
  );
}

/** What hands have done with lines, and where people went, as it happened; several at once on one line. */
export function crewDoings(run: Run, { lines, crew }: PlanDocument): readonly CalledOut[] {
  const said: { time: number; text: string }[] = [];
  const add = (time: number, text: string) => {
    const last = said.at(-1);
    if (last && time - last.time < CALLED_AT_ONCE_S) last.text += `, ${text}`;
    else said.push({ time, text });
  };
  for (const event of run.events) {
    if (event.is === 'line' && event.time > 0) {
      const name = lines[event.line]?.name ?? 'line';
      add(event.time, lineTrouble(event, name) ?? `${name} ${LINE_EVENT_WORDS[event.what]}`);
    }
    if (event.is === 'lock') add(event.time, lockEventText(event.what, event.seconds));
    if (event.is === 'crew' && event.time > 0 && event.what !== 'at') {
      const name = crew[event.who]?.name ?? 'somebody';
      add(event.time, crewTrouble(event, name) ?? `${name} ${event.what}`);
    }
  }
  return said;
}

/** Does anybody do anything by hand in it? */
export const hasCrewDoings = (run: Run): boolean =>
  run.events.some(
    (event) => event.is === 'line' || (event.is === 'order' && isDoneBy(event.order, 'crew')),
  );
