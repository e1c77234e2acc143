import type { LineState, RunEvent } from '@/core/plan';
import { tidy } from './units';

/** "4.5 m" of line: always in metres in the plan's own words, as the length ordered is. */
export const metres = (length: number) => `${tidy(length, 1)} m`;

export const LINE_STATE_WORDS: Readonly<Record<LineState, string>> = {
  on: 'on',
  fast: 'fast',
  taut: 'taut',
  off: 'off and aboard',
};

/** A line by its name in a sentence: "the bow line", but "Wicket's bow line". */
export const the = (line: string) => (/\w[’']s /.test(line) ? line : `the ${line}`);

type LineEventOf = Extract<RunEvent, { is: 'line' }>;
type CrewEventOf = Extract<RunEvent, { is: 'crew' }>;

/** What went wrong with a line, or null where it went as it should. */
export function lineTrouble({ what }: LineEventOf, name: string): string | null {
  switch (what) {
    case 'missed':
      return `${name} missed, hauled in to be passed again`;
    case 'not passed':
      return `${name} could not be passed`;
    case 'not let go':
      return `${name} could not be let go`;
    case 'left':
      return `${name} was left by whoever held it`;
    case 'brought up':
      return `${name} ran out to its end`;
    case 'parted':
      return `${name} parted`;
    case 'drags':
      return `${name} drags`;
    case 'fast as it falls':
      return `${name} is fast and the chamber begins to fall: on to a turn with it, tail in hand`;
    case 'fast too long':
      return `${name} was still fast as the chamber fell`;
    case 'loads up':
      return `${name} is fast and loads up as the chamber falls: let it run`;
    case 'hangs her':
      return `the boat hangs on ${name}, made fast in a falling chamber`;
    case 'in the propeller':
      return `${name} got into the propeller`;
    default:
      return null;
  }
}

export function crewTrouble({ what }: CrewEventOf, name: string): string | null {
  switch (what) {
    case 'could not step':
      return `${name} could not step: too far off or too fast`;
    case 'too high to step':
      return `${name} could not step: it stands too high over the deck there, and no ladder is within a step`;
    case 'no way across':
      return `${name} could not get there: no gates stand shut to walk across by, and no bridge leads over`;
    case 'not there':
      return `${name} was not where the order wanted them`;
    case 'in danger':
      return `${name} stepped with a propeller turning near`;
    case 'helm left':
      return `nobody at the helm: ${name} left it`;
    default:
      return null;
  }
}

/** What became of a line, in a word or two. */
export const LINE_EVENT_WORDS: Readonly<Record<LineEventOf['what'], string>> = {
  passing: 'being passed',
  missed: 'missed',
  'not passed': 'not passed',
  on: 'on',
  'on a turn': 'on a turn',
  'kept snug': 'kept snug',
  fast: 'fast',
  hauled: 'hauled in',
  eased: 'eased',
  'let go': 'let go',
  home: 'aboard',
  'not let go': 'not let go',
  left: 'left',
  'brought up': 'run out',
  parted: 'parted',
  'picked up': 'picked up',
  'anchor down': 'down',
  'anchor up': 'up',
  drags: 'drags',
  'in the propeller': 'in the propeller',
  'fast as it falls': 'fast, and the chamber falls',
  'fast too long': 'still fast as the chamber falls',
  'loads up': 'loads up',
  'hangs her': 'hangs the boat',
};
