import { CUES, type CueName } from '@/core/plan';
import type { CueDocument, SimpleCue } from '@/document';
import type { Units } from '../../words/units';
import {
  freshValues,
  fromValues,
  toValues,
  type FirstNames,
  type PartValues,
} from '../part-values';
import type { CueView } from '../part-view';
import { abeam } from './abeam';
import { after } from './after';
import { crew } from './crew';
import { done } from './done';
import { heading } from './heading';
import { levelWith } from './level-with';
import { line } from './line';
import { lock } from './lock';
import { room } from './room';
import { speed } from './speed';
import { start } from './start';
import { sternway } from './sternway';
import { stopped } from './stopped';
import { turned } from './turned';
import { within } from './within';

/** How every cue looks, in the order they are listed. */
export const CUE_VIEWS: { readonly [I in CueName]: CueView<I> } = {
  start,
  after,
  heading,
  turned,
  speed,
  abeam,
  levelWith,
  within,
  room,
  done,
  stopped,
  sternway,
  line,
  crew,
  lock,
};

/** The view of a cue whose kind is not known beforehand. */
export const viewOfCue = (name: CueName): CueView<CueName> =>
  CUE_VIEWS[name] as unknown as CueView<CueName>;

/** A cue as a row of fields. */
export interface CueRow {
  is: CueName;
  values: PartValues;
}

/** A cue as rows, and how they are joined. */
export interface CueForm {
  join: 'only' | 'any' | 'all';
  cues: CueRow[];
}

export const freshCue = (first: FirstNames, is: CueName = 'after'): CueRow => ({
  is,
  values: freshValues(CUES[is].parameters, viewOfCue(is), first),
});

const cueRow = (cue: SimpleCue, units: Units): CueRow => ({
  is: cue.is,
  values: toValues(CUES[cue.is].parameters, cue, viewOfCue(cue.is), units),
});

const cueOf = ({ is, values }: CueRow, units: Units): SimpleCue =>
  ({
    is,
    ...fromValues(CUES[is].parameters, values, viewOfCue(is), units),
  }) as unknown as SimpleCue;

export const cueToForm = (cue: CueDocument, units: Units): CueForm =>
  cue.is === 'any' || cue.is === 'all'
    ? { join: cue.is, cues: cue.of.map((part) => cueRow(part, units)) }
    : { join: 'only', cues: [cueRow(cue, units)] };

/** The cue the fields describe, not yet checked. */
export function cueFromForm({ join, cues }: CueForm, units: Units): CueDocument {
  const parts = cues.map((row) => cueOf(row, units));
  return join === 'only' ? parts[0]! : { is: join, of: parts };
}

export const simpleCueText = (cue: SimpleCue, units: Units): string =>
  viewOfCue(cue.is).text(cue, units);
