import { LEAST_OVER_M, LEAST_UNDER_M, NO_ROOM_M } from '@/core/policy';
import type { GoalCheck, Run, RunEvent } from '@/core/plan';
import { DEGREES_PER_RADIAN } from '@/core/units';
import type { ManoeuvreFile, PlanDocument } from '@/document';
import { lastWayOut, WORKING_LOAD, type Moment, type WindLimit } from '@/core/search';
import { expectationText } from '../plan/expectations';
import { crewTrouble, lineTrouble, the } from './lines';
import { lockTrouble } from './locks';
import { boatSpeed, clock, distance, force, heading, touchSpeed, type Units } from './units';
import { limitWords, wayOutText } from './way-out';

/** "step 3", or "the end". */
/** How she hung, and what is done once the paddles are down. */
const HUNG = {
  'on the cill': ['on the cill', 'fill again'],
  'hangs wedged': ['wedged between the sides', 'the level back to where she floated'],
  'caught on a gate': ['an end on the gate', 'the level back to where she floated'],
  'caught under the coping': ['under the coping', 'the level back and her side off the wall'],
} as const;

export function stepName(plan: PlanDocument, step: number): string {
  return step >= plan.steps.length ? 'the end' : `step ${step + 1}`;
}

/** Two lengths that differ, in as many figures as it takes to see it. */
function apart({ found, limit }: GoalCheck, units: Units, how: string): string {
  const shown = (digits?: number) =>
    [found, limit].map((metres) => distance(metres, units, digits)) as [string, string];
  const [is, asked] = [shown(), shown(2), shown(3)].find(([a, b]) => a !== b) ?? shown();
  return `${is} ${how}, ${asked} asked for`;
}

function missedBy(check: GoalCheck, units: Units): string {
  switch (check.what) {
    case 'clearance':
      return apart(check, units, 'clear');
    case 'lines':
      return check.found === 1 ? 'a line still on' : `${check.found} lines still on`;
    case 'past':
      return `${distance(-check.found, units)} of her way through still to go`;
    case 'distance':
      return apart(check, units, 'off');
    case 'heading': {
      const found = Math.round(check.found * DEGREES_PER_RADIAN);
      const limit = Math.round(check.limit * DEGREES_PER_RADIAN);
      return `${found}° off the heading, ${limit}° allowed`;
    }
    case 'speed':
      return `still moving at ${boatSpeed(check.found, units)}`;
  }
}

const OUTCOME_WORDS: Readonly<Record<Run['outcome'], string>> = {
  reached: 'Done',
  missed: 'Not there',
  'hard touch': 'Hard touch',
  unsafe: 'Not safe',
  fouled: 'Line in the propeller',
  struck: 'Ran into somebody',
  aground: 'Aground',
  'hung up': 'Hung up',
  'caught overhead': 'Caught overhead',
  'broke off': 'Broken off',
  'cue never came': 'Waiting still',
  'out of time': 'Out of time',
};

/** How a run ended, in a word or two. */
export const outcomeWord = (outcome: Run['outcome']): string => OUTCOME_WORDS[outcome];

/** A run without its trace. */
type Ending = Pick<Run, 'outcome' | 'duration' | 'goal' | 'margins' | 'events'>;

/** Who rises to a bridge is caught as she meets it: nothing yet that could be called too high, m. */
const MEETS_M = 0.05;

/** The outcome in a few words, and what stands behind it. */
export function outcomeWords(
  run: Ending,
  file: Pick<ManoeuvreFile, 'goal' | 'plan'>,
  units: Units,
): [string, string] {
  return [outcomeWord(run.outcome), outcomeReason(run, file, units)];
}

function outcomeReason(
  run: Ending,
  file: Pick<ManoeuvreFile, 'goal' | 'plan'>,
  units: Units,
): string {
  const failed = run.goal.filter((check) => !check.met);
  switch (run.outcome) {
    case 'reached':
      return goalWords(run, file, units);
    case 'missed':
      return failed.map((check) => missedBy(check, units)).join('; ');
    case 'hard touch': {
      const touch = run.margins.touch;
      if (!touch) return '';
      return `${touch.part} on ${touch.name} at ${clock(touch.time)}`;
    }
    case 'hung up': {
      const event = run.events.find((e) => e.is === 'lock' && e.what in HUNG);
      const what =
        event?.is === 'lock' ? HUNG[event.what as keyof typeof HUNG] : HUNG['on the cill'];
      return `${what[0]} at ${clock(event?.time ?? 0)}: paddles down at once, nobody moves about, then ${what[1]}`;
    }
    case 'unsafe': {
      const line =
        run.events.find(
          (e) => e.is === 'line' && (e.what === 'hangs her' || e.what === 'parted'),
        ) ?? run.events.find((e) => e.is === 'line' && e.what === 'fast too long');
      if (
        line?.is === 'line' &&
        !run.events.some((e) => e.is === 'crew' && e.what === 'in danger')
      ) {
        const name = file.plan.lines[line.line]?.name ?? 'a line';
        const what = { parted: `${name} parted`, 'hangs her': `she hung on ${name}` };
        const came = what[line.what as keyof typeof what] ?? `${name} was left`;
        return `${came} at ${clock(line.time)}, fast in a falling chamber: a line there is held on a turn, never made fast`;
      }
      const event = run.events.find((e) => e.is === 'crew' && e.what === 'in danger');
      const over = run.events.find((e) => e.is === 'lock' && e.what === 'over the coping');
      if (over && !event)
        return `the chamber ran over its coping at ${clock(over.time)}: it was full; empty it before the one above`;
      const who = event?.is === 'crew' ? file.plan.crew[event.who]?.name : undefined;
      return `${who ?? 'somebody'} stepped at ${clock(event?.time ?? 0)} with a propeller turning near; neutral first`;
    }
    case 'fouled': {
      const event = run.events.find((e) => e.is === 'line' && e.what === 'in the propeller');
      const which = event?.is === 'line' ? file.plan.lines[event.line]?.name : undefined;
      return `${which ?? 'a line'} at ${clock(event?.time ?? 0)}: neutral until it is aboard`;
    }
    case 'struck': {
      const event = run.events.find((e) => e.is === 'struck');
      if (event?.is !== 'struck') return '';
      return `${event.name}, at ${clock(event.time)} with ${boatSpeed(event.speed, units)} on`;
    }
    case 'aground': {
      const { underKeel } = run.margins;
      if (!underKeel) return '';
      return `${distance(-underKeel.depth, units)} too little water at ${clock(underKeel.time)}, ${underKeel.part}`;
    }
    case 'caught overhead': {
      const { overhead } = run.margins;
      if (!overhead) return '';
      return overhead.room > -MEETS_M
        ? `her highest point met ${overhead.name} at ${clock(overhead.time)}`
        : `${distance(-overhead.room, units)} too high for ${overhead.name} at ${clock(overhead.time)}`;
    }
    case 'broke off':
      return 'the way out was taken';
    case 'cue never came': {
      const event = run.events.findLast((e) => e.is === 'cue never came');
      const which = event ? stepName(file.plan, event.step) : 'a step';
      return `the cue for ${which} never came`;
    }
    case 'out of time':
      return `after ${clock(run.duration)}`;
  }
}

function goalWords(run: Ending, file: Pick<ManoeuvreFile, 'goal'>, units: Units): string {
  const { goal } = file;
  const first = run.goal[0];
  if (goal.is === 'clear') {
    return `${distance(first?.found ?? 0, units)} clear of everything at the end`;
  }
  if (goal.is === 'through')
    return `past the ${goal.by} gates of ${goal.lock}, ${distance(first?.found ?? 0, units)}`;
  return `${goal.point} ${distance(first?.found ?? 0, units)} from ${goal.mark}, ${boatSpeed(run.margins.finalSpeed, units)} on`;
}

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
}

/** Water under her that goes without saying, and what hurts, under or over, m. Judgement. */
const DEEP_ENOUGH_M = 10;
/** Overhang that is worth telling, m. */
const SEEN_OVER_M = 0.15;

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
  if (overhang && overhang.distance < -SEEN_OVER_M)
    list.push({
      figure: distance(-overhang.distance, units),
      meaning: `her deck over ${overhang.name}`,
      where: `${overhang.part}, ${moment(overhang.time)}: nobody stands under it`,
      hurts: false,
      time: overhang.time,
    });
  const { underKeel, overhead } = run.margins;
  if (underKeel && underKeel.depth < DEEP_ENOUGH_M)
    list.push({
      figure: distance(Math.max(0, underKeel.depth), units),
      meaning: underKeel.depth < 0 ? 'on the bottom' : 'water under her',
      where: `${underKeel.part}, ${moment(underKeel.time)}; squat counted, waves not`,
      hurts: underKeel.depth < LEAST_UNDER_M,
      time: underKeel.time,
    });
  if (overhead)
    list.push({
      figure: distance(Math.max(0, overhead.room), units),
      meaning: overhead.room < 0 ? `too high for ${overhead.name}` : `room under ${overhead.name}`,
      where: `over her highest point, ${moment(overhead.time)}; waves not counted`,
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
    case 'near':
      return distance(event.found, units);
    case 'line':
      return `${force(event.found, units)} in it`;
  }
}
