import type { LockSide as Hand } from '@/core/locks';
import type { Side } from '@/document/fields';
import type { CueDocument, StepDocument } from '@/document/plan';
import type { Setting } from '../../setting';
import type { Entry } from './entry';
import type { LockCrew } from './lock-crew';
import type { PassageLie } from './lie';

/** Where whoever worked the lock from ashore is taken up beyond it. m, radians. */
export interface PickUp {
  /** Who stands ashore, by name. */
  readonly who: readonly string[];
  readonly side: Side;
  /** The side of the lock the landing is on. */
  readonly hand: Hand;
  /** The cleat the boat's line leads from, and they step over; the ring it goes to. */
  readonly cleat: string;
  readonly ring: string;
  /** How far the boat turns to come over to the landing, unless its screw turns it as it is stopped. */
  readonly sheer: number;
  /** The boat's heading along it. */
  readonly heading: number;
  /** How far off the landing's edge the boat passes if it keeps to the lock's middle line. */
  readonly over: number;
  /** How far the boat has come from rest when its cleat is abreast of the ring. */
  readonly way: number;
}

/** A passage: the boat's lie in each chamber it goes through, who works lock and lines, and what is known of others. */
export interface Passage {
  readonly setting: Setting;
  readonly lies: readonly PassageLie[];
  readonly crew: LockCrew;
  /** How another boat comes in by the gates that stand open; null where none does. */
  readonly entry: Entry | null;
  /** Where whoever worked the lock from ashore is taken up; null where nobody is. */
  readonly pickUp: PickUp | null;
}

/** What a phase comes to: its steps, and the cue the next phase begins at. */
export interface Phase {
  readonly steps: readonly StepDocument[];
  readonly then: CueDocument;
}

/** A phase of a passage, begun at a cue: wait, enter, hold, fill, leave, pick up. */
export type PhaseAt = (after: CueDocument) => Phase;

export const START: Phase = { steps: [], then: { is: 'start' } };

/** Phases one after the other. */
export function inTurn(phases: readonly PhaseAt[], from: Phase = START): Phase {
  return phases.reduce((so, phase) => {
    const { steps, then } = phase(so.then);
    return { steps: [...so.steps, ...steps], then };
  }, from);
}

/** The same with the names of its steps told apart from those of the chamber before. */
export const inChamber =
  (number: number, phase: PhaseAt): PhaseAt =>
  (after) => {
    const { steps, then } = phase(after);
    return { steps: steps.map((one) => ({ ...one, id: `${one.id}-in-${number}` })), then };
  };
