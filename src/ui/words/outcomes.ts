import type { GoalCheck, Outcome, Run, RunEvent } from '@/core/plan';
import { MEETS_BRIDGE_M } from '@/core/policy';
import { DEGREES_PER_RADIAN } from '@/core/units';
import type { ManoeuvreFile } from '@/document';
import { outcomeWord } from './outcome-heads';
import { stepName } from './steps';
import { boatSpeed, clock, distance, type Units } from './units';

/** A run without its trace. */
type EndedRun = Pick<Run, 'outcome' | 'duration' | 'goal' | 'margins' | 'events'>;
type Of = Pick<ManoeuvreFile, 'goal' | 'plan'>;

/** What stands behind a way of ending in a run that ended so. */
type Why = (run: EndedRun, of: Of, units: Units) => string;

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
      return `${distance(-check.found, units)} of the boat’s way through still to go`;
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

function goalWords(run: EndedRun, { goal }: Of, units: Units): string {
  const found = distance(run.goal[0]?.found ?? 0, units);
  if (goal.is === 'clear') return `${found} clear of everything at the end`;
  if (goal.is === 'through') return `past the ${goal.by} gates of ${goal.lock}, ${found}`;
  return `${goal.point} ${found} from ${goal.mark}, ${boatSpeed(run.margins.finalSpeed, units)} on`;
}

/** The first event of a run that tells one of some things of a line, a lock or somebody. */
function told<K extends 'line' | 'lock' | 'crew'>(
  { events }: EndedRun,
  is: K,
  ...what: readonly string[]
): Extract<RunEvent, { is: K }> | undefined {
  return events.find(
    (event): event is Extract<RunEvent, { is: K }> =>
      event.is === is && what.includes((event as { what: string }).what),
  );
}

/** How a boat hung in a lock, and what is done once the paddles are down. */
const HUNG: Readonly<Record<string, readonly [string, string]>> = {
  'on the cill': ['on the cill', 'fill again'],
  'hangs wedged': ['wedged between the sides', 'the level back to where the boat floated'],
  'caught on a gate': ['an end on the gate', 'the level back to where the boat floated'],
  'caught under the coping': ['under the coping', 'the level back and the side off the wall'],
};

/** Who was in danger, from a propeller, from a line in a falling chamber, or from a lock that ran over. */
function unsafe(run: EndedRun, { plan }: Of): string {
  const danger = told(run, 'crew', 'in danger');
  if (danger) {
    const who = plan.crew[danger.who]?.name ?? 'somebody';
    return `${who} stepped at ${clock(danger.time)} with a propeller turning near; neutral first`;
  }
  const line = told(run, 'line', 'hangs her', 'parted') ?? told(run, 'line', 'fast too long');
  if (line) {
    const name = plan.lines[line.line]?.name ?? 'a line';
    const came =
      line.what === 'parted'
        ? `${name} parted`
        : line.what === 'hangs her'
          ? `the boat hung on ${name}`
          : `${name} was left`;
    return `${came} at ${clock(line.time)}, fast in a falling chamber: a line there is held on a turn, never made fast`;
  }
  const over = told(run, 'lock', 'over the coping');
  return over
    ? `the chamber ran over its coping at ${clock(over.time)}: it was full; empty it before the one above`
    : `somebody stepped at ${clock(0)} with a propeller turning near; neutral first`;
}

const WHYS: Readonly<Record<Outcome, Why>> = {
  reached: goalWords,
  missed: ({ goal }, _, units) =>
    goal
      .filter(({ met }) => !met)
      .map((check) => missedBy(check, units))
      .join('; '),
  'hard touch': ({ margins: { touch } }) => {
    return touch ? `${touch.part} on ${touch.name} at ${clock(touch.time)}` : '';
  },
  unsafe: unsafe,
  fouled: (run, { plan }) => {
    const event = told(run, 'line', 'in the propeller');
    const which = event && plan.lines[event.line]?.name;
    return `${which ?? 'a line'} at ${clock(event?.time ?? 0)}: neutral until it is aboard`;
  },
  struck: ({ events }, _, units) => {
    const event = events.find((e) => e.is === 'struck');
    if (event?.is !== 'struck') return '';
    return `${event.name}, at ${clock(event.time)} with ${boatSpeed(event.speed, units)} on`;
  },
  aground: ({ margins: { underKeel } }, _, units) => {
    if (!underKeel) return '';
    return `${distance(-underKeel.depth, units)} too little water at ${clock(underKeel.time)}, ${underKeel.part}`;
  },
  'hung up': (run) => {
    const event = told(run, 'lock', ...Object.keys(HUNG));
    const [how, then] = HUNG[event?.what ?? 'on the cill']!;
    return `${how} at ${clock(event?.time ?? 0)}: paddles down at once, nobody moves about, then ${then}`;
  },
  'caught overhead': ({ margins: { overhead } }, _, units) => {
    if (!overhead) return '';
    return overhead.room > -MEETS_BRIDGE_M
      ? `the boat’s highest point met ${overhead.name} at ${clock(overhead.time)}`
      : `${distance(-overhead.room, units)} too high for ${overhead.name} at ${clock(overhead.time)}`;
  },
  'broke off': () => 'the way out was taken',
  'cue never came': ({ events }, { plan }) => {
    const event = events.findLast((e) => e.is === 'cue never came');
    return `the cue for ${event ? stepName(plan, event.step) : 'a step'} never came`;
  },
  'out of time': ({ duration }) => `after ${clock(duration)}`,
};

/** The outcome in a few words, and what stands behind it. */
export const outcomeWords = (run: EndedRun, of: Of, units: Units): [string, string] => [
  outcomeWord(run.outcome),
  WHYS[run.outcome](run, of, units),
];
