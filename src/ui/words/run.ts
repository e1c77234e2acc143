import {
  LEAST_OVER_M,
  LEAST_UNDER_M,
  NO_ROOM_M,
  WORKING_LOAD,
  DEEP_ENOUGH_M,
  OVERHANG_TOLD_M,
} from '@/core/policy';
import type { Run, RunEvent } from '@/core/plan';
import { DEGREES_PER_RADIAN } from '@/core/units';
import type { ManoeuvreFile, PlanDocument } from '@/document';
import { lastWayOut, type Moment, type WindLimit } from '@/core/search';
import { expectationText } from '../plan/expectations';
import { crewTrouble, lineTrouble, the } from './lines';
import { lockTrouble } from './locks';
import { boatSpeed, clock, distance, force, heading, touchSpeed, type Units } from './units';
import { limitWords, wayOutText } from './way-out';
import { stepName } from './steps';

/** Which step was running at a moment. */
export function stepAt(run: Run, time: number): number {
  let current = 0;
  for (const mark of run.steps) if (mark.time <= time + 1e-9) current = mark.step;
  return current;
}

export interface Reading {
  /** The figure, then what it means, then where and when. */
  readonly figure: string;
  readonly meaning: string;
  readonly where: string;
  readonly hurts: boolean;
  readonly time: number | null;
  /** Is it better known by and by, so that it changes while nothing else does? */
  readonly grows?: true;
}

/** Clearance, overhang, touch and line load of a run in words. */
export function readings(
  run: Run,
  { lines }: Pick<PlanDocument, 'lines'>,
  units: Units,
): Reading[] {
  const { clearance, overhang, touch, touchCount, line } = run.margins;
  const moment = (time: number) => `step ${stepAt(run, time) + 1}, at ${clock(time)}`;
  const list: Reading[] = [];
  if (clearance && Number.isFinite(clearance.distance)) {
    const into = clearance.distance <= 0;
    list.push({
      figure: distance(Math.max(0, clearance.distance), units),
      meaning: into ? `ran into ${clearance.name}` : `clear of ${clearance.name}`,
      where: `${clearance.part}, ${moment(clearance.time)}`,
      hurts: clearance.distance < NO_ROOM_M,
      time: clearance.time,
    });
  }
  if (overhang && overhang.distance < -OVERHANG_TOLD_M)
    list.push({
      figure: distance(-overhang.distance, units),
      meaning: `deck over ${overhang.name}`,
      where: `${overhang.part}, ${moment(overhang.time)}: nobody stands under it`,
      hurts: false,
      time: overhang.time,
    });
  const { underKeel, overhead } = run.margins;
  if (underKeel && underKeel.depth < DEEP_ENOUGH_M)
    list.push({
      figure: distance(Math.max(0, underKeel.depth), units),
      meaning: underKeel.depth < 0 ? 'on the bottom' : 'water under the boat',
      where: `${underKeel.part}, ${moment(underKeel.time)}; squat counted, waves not`,
      hurts: underKeel.depth < LEAST_UNDER_M,
      time: underKeel.time,
    });
  if (overhead)
    list.push({
      figure: distance(Math.max(0, overhead.room), units),
      meaning: overhead.room < 0 ? `too high for ${overhead.name}` : `room under ${overhead.name}`,
      where: `over the boat’s highest point, ${moment(overhead.time)}; waves not counted`,
      hurts: overhead.room < LEAST_OVER_M,
      time: overhead.time,
    });
  if (touch) {
    const more = touchCount > 1 ? `, worst of ${touchCount}` : '';
    list.push({
      figure: touchSpeed(touch.speed),
      meaning: `${touch.grade} touch on ${touch.name}${more}`,
      where: `${touch.fender ?? `${touch.part}, bare hull`}, ${Math.round(touch.energy)} J, ${moment(touch.time)}`,
      hurts: touch.grade !== 'soft',
      time: touch.time,
    });
  } else {
    list.push({ figure: '0', meaning: 'touches', where: '', hurts: false, time: null });
  }
  if (line) {
    const share = line.tension / line.breaks;
    list.push({
      figure: `${Math.round(share * 100)} %`,
      meaning: `of what parts ${the(lines[line.line]?.name ?? 'line')}`,
      where: `${force(line.tension, units)} of ${force(line.breaks, units)}, ${moment(line.time)}`,
      hurts: share > WORKING_LOAD,
      time: line.time,
    });
  }
  return list;
}

/** The last way out and the wind it fails in, as far as they are known. */
export function openings(
  { moments, of, limit }: { moments: readonly Moment[]; of: number; limit: WindLimit | null },
  units: Units,
): Reading[] {
  const list: Reading[] = [];
  const last = lastWayOut(moments.map(({ wayOut }) => wayOut));
  if (last)
    list.push({
      figure: clock(last.time),
      meaning: 'last way out',
      where: wayOutText(last, units),
      hurts: false,
      time: last.time,
    });
  else if (of > 0 && moments.length === of) {
    const none = moments.every(({ wayOut }) => wayOut.grade === 'none');
    const luck = moments.some(({ wayOut }) => wayOut.grade === 'luck');
    list.push({
      figure: none ? 'none' : luck ? 'with luck' : 'open',
      meaning: none ? 'no way out from the start' : 'way out, at every moment',
      where: luck ? 'some of it only with luck' : '',
      hurts: none,
      time: null,
    });
  }
  if (limit) {
    const [figure, meaning, where] = limitWords(limit, units);
    list.push({ figure, meaning, where, hurts: false, time: null });
  }
  return list;
}

/** What did not go as expected, one line each. */
export function surprises(
  run: Run,
  file: ManoeuvreFile,
  units: Units,
): { time: number; text: string }[] {
  return run.events.flatMap((event) => {
    const text = surpriseText(event, file, units);
    return text ? [{ time: event.time, text }] : [];
  });
}

function surpriseText(event: RunEvent, file: ManoeuvreFile, units: Units): string | null {
  if (event.is === 'cue never came') {
    return `${stepName(file.plan, event.step)}: cue not come in ${clock(event.waited)}`;
  }
  if (event.is === 'line') return lineTrouble(event, file.plan.lines[event.line]?.name ?? 'a line');
  if (event.is === 'lock') return lockTrouble(event.what, event.seconds);
  if (event.is === 'crew') return crewTrouble(event, file.plan.crew[event.who]?.name ?? 'somebody');
  if (event.is === 'way out') return `step ${event.step + 1}: way out taken`;
  if (event.is === 'again') return `round again, from step ${event.step + 1}`;
  if (event.is !== 'expectation failed') return null;
  const document = file.plan.steps[event.step]?.expect[event.index];
  if (document?.is === 'clear') {
    return `step ${event.step + 1}: did not stay ${distance(document.least_m, units)} clear`;
  }
  const wanted = document ? expectationText(document, units) : event.expectation.is;
  return `step ${event.step + 1}: expected ${wanted}, found ${foundText(event, units)}`;
}

function foundText(event: Extract<RunEvent, { is: 'expectation failed' }>, units: Units): string {
  switch (event.expectation.is) {
    case 'heading':
      return heading(event.found);
    case 'speed':
      return boatSpeed(event.found, units);
    case 'turning': {
      const rate = event.found * DEGREES_PER_RADIAN;
      return `${Math.abs(rate).toFixed(1)}°/s to ${rate < 0 ? 'port' : 'starboard'}`;
    }
    case 'clear':
    case 'onLine':
    case 'near':
      return distance(event.found, units);
    case 'line':
      return `${force(event.found, units)} in it`;
  }
}
