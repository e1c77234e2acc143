import type { LineState, LockCue } from '@/core/plan';
import type { CueDocument, SimpleCue } from '@/document';
import { lengthFrom, lengthIn, speedFrom, speedIn, tidy, type Units } from '../words/units';
import { sided } from './sided';

/** The choice of a boat that is none of the others. */
export const HERSELF = 'she';

/** One cue as a row of fields: every kind's fields side by side, in the user's units. */
export interface CueRow {
  is: SimpleCue['is'];
  seconds: number;
  heading: number;
  turned: number;
  side: 'port' | 'starboard';
  speed: number;
  over: 'water' | 'ground';
  compare: 'below' | 'above';
  point: string;
  mark: string;
  distance: number;
  line: string;
  state: LineState;
  lock: string;
  lockState: LockCue;
  /** Which of the other boats; HERSELF for none of them. */
  boat: string;
  who: string;
  where: 'ashore' | 'aboard';
}

/** A cue as rows, and how they are joined. */
export interface CueForm {
  join: 'only' | 'any' | 'all';
  cues: CueRow[];
}

export function freshCue(point: string, mark: string, line = '', lock = '', who = ''): CueRow {
  return {
    is: 'after',
    seconds: 5,
    heading: 0,
    turned: 30,
    side: 'starboard',
    speed: 1,
    over: 'water',
    compare: 'below',
    point,
    mark,
    distance: 10,
    line,
    state: 'fast',
    lock,
    lockState: 'open below',
    boat: HERSELF,
    who,
    where: 'aboard',
  };
}

function cueRow(cue: SimpleCue, fresh: CueRow, units: Units): CueRow {
  const row = { ...fresh, is: cue.is };
  switch (cue.is) {
    case 'after':
      return { ...row, seconds: cue.time_s };
    case 'heading':
      return { ...row, heading: cue.heading_deg };
    case 'turned':
      return { ...row, turned: Math.abs(cue.by_deg), side: cue.by_deg < 0 ? 'port' : 'starboard' };
    case 'speed':
      return {
        ...row,
        over: cue.over,
        compare: cue.compare,
        speed: tidy(speedIn(cue.speed_mps, units.speed)),
      };
    case 'abeam':
      return { ...row, point: cue.point, mark: cue.mark };
    case 'within':
      return {
        ...row,
        point: cue.point,
        mark: cue.mark,
        distance: tidy(lengthIn(cue.distance_m, units.length)),
      };
    case 'line':
      return { ...row, line: cue.line, state: cue.state };
    case 'stopped':
      return { ...row, boat: cue.boat ?? HERSELF };
    case 'crew':
      return { ...row, who: cue.who, where: cue.where };
    case 'lock':
      return { ...row, lock: cue.lock, lockState: cue.state };
    default:
      return row;
  }
}

function cueFrom(row: CueRow, units: Units): SimpleCue {
  switch (row.is) {
    case 'after':
      return { is: 'after', time_s: row.seconds };
    case 'heading':
      return { is: 'heading', heading_deg: row.heading };
    case 'turned':
      return { is: 'turned', by_deg: sided(row.turned, row.side) };
    case 'speed':
      return {
        is: 'speed',
        over: row.over,
        compare: row.compare,
        speed_mps: speedFrom(row.speed, units.speed),
      };
    case 'abeam':
      return { is: 'abeam', point: row.point, mark: row.mark };
    case 'within':
      return {
        is: 'within',
        point: row.point,
        mark: row.mark,
        distance_m: lengthFrom(row.distance, units.length),
      };
    case 'line':
      return { is: 'line', line: row.line, state: row.state };
    case 'stopped':
      return row.boat === HERSELF ? { is: 'stopped' } : { is: 'stopped', boat: row.boat };
    case 'crew':
      return { is: 'crew', who: row.who, where: row.where };
    case 'lock':
      return { is: 'lock', lock: row.lock, state: row.lockState };
    default:
      return { is: row.is };
  }
}

export function cueToForm(cue: CueDocument, fresh: CueRow, units: Units): CueForm {
  if (cue.is === 'any' || cue.is === 'all') {
    return { join: cue.is, cues: cue.of.map((part) => cueRow(part, fresh, units)) };
  }
  return { join: 'only', cues: [cueRow(cue, fresh, units)] };
}

export function cueFromForm({ join, cues }: CueForm, units: Units) {
  const parts = cues.map((row) => cueFrom(row, units));
  return join === 'only' ? parts[0] : { is: join, of: parts };
}
