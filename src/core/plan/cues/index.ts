import type { SimState, World } from '../../simulation';
import { abeam } from './abeam';
import { after } from './after';
import { crew } from './crew';
import type { CueDefinition, CueOf, Trigger, IsAboard } from './definition';
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

export type { Trigger, IsAboard } from './definition';

/** Every plain cue there is, by its name. */
export const CUES = {
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
} as const;

export type Cues = typeof CUES;
export type CueName = keyof Cues;
export type SimpleCue = { [I in CueName]: CueOf<Cues[I]> }[CueName];
/** A cue, or the first or the last of several. */
export type Cue = SimpleCue | CueGroup;
export interface CueGroup {
  readonly is: 'any' | 'all';
  readonly of: readonly SimpleCue[];
}

export const isGroup = (cue: Cue): cue is CueGroup => 'of' in cue;

/** The conditions of a cue: its own, or those of a group. */
export const partsOf = (cue: Cue): readonly SimpleCue[] => (isGroup(cue) ? cue.of : [cue]);

type AnyCue = CueDefinition<string, Record<string, never>>;
export const cueDefinition = (cue: SimpleCue): AnyCue => CUES[cue.is] as unknown as AnyCue;

/** A gate for a cue, armed at the moment the last step began. */
export function armTrigger(cue: Cue, state: SimState, world: World, aboard: IsAboard): Trigger {
  if (!isGroup(cue)) return cueDefinition(cue).arm(cue as never, state, world, aboard);
  const parts = cue.of.map((part) => armTrigger(part, state, world, aboard));
  const pick = cue.is === 'any' ? Math.max : Math.min;
  const none = cue.is === 'any' ? -Infinity : Infinity;
  return { level: (s, w) => parts.reduce((so, part) => pick(so, part.level(s, w)), none) };
}
