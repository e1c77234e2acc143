import { temporal, type TemporalState } from 'zundo';
import { create, type StoreApi, type UseBoundStore } from 'zustand';
import { immer } from 'zustand/middleware/immer';
import type { Run } from '@/core/plan';
import type { Fan } from '@/core/reliability';
import {
  NO_VARIATION,
  withBoat,
  type Boat,
  type LastResult,
  type Manoeuvre,
  type ManoeuvreFile,
  type Place,
  type VariationDocument,
} from '@/document';

import type { Phase } from './phases';
import type { Subject } from './subjects';

/** What the workspace holds for one manoeuvre. Only the manoeuvre is saved; it is undone together with its boat. */
export interface WorkspaceState {
  readonly manoeuvre: Manoeuvre;
  readonly boat: Boat;
  readonly place: Place;
  /** Step open in the editor, and step pointed at on plan or water; by id. */
  readonly selected: string | null;
  readonly pointed: string | null;
  /** What the workspace is used for; the water stays the same. */
  readonly phase: Phase;
  /** What the side panel shows while no step is open. */
  readonly subject: Subject;
  /** What a what-if makes otherwise than it is written; never saved. */
  readonly variation: VariationDocument;
  /** The run that others are held against, and what it was played from. */
  readonly reference: Reference | null;
  /** A mark is being picked on the water for a field of the plan. */
  readonly picking: Picking | null;
  /** A line is being rigged on the water. */
  readonly rigging: boolean;
  /** The driven run looked back at. */
  readonly runId: string | null;
  /** What tries of the plan look like from above, while it is known; and whether that is drawn. */
  readonly fan: Fan | null;
  /** How many of all the tries of a file held, once they are in. */
  readonly tried: { readonly file: ManoeuvreFile; readonly tries: LastResult['tries'] } | null;
  readonly fanShown: boolean;
  setFan(fan: Fan | null): void;
  setTried(tried: WorkspaceState['tried']): void;
  showFan(shown: boolean): void;
  openRun(id: string | null): void;
  setRigging(rigging: boolean): void;
  setPicking(picking: Picking | null): void;
  setPhase(phase: Phase): void;
  setSubject(subject: Subject): void;
  setVariation(variation: VariationDocument): void;
  setReference(reference: Reference | null): void;
  select(id: string | null): void;
  point(id: string | null): void;
  edit(change: (manoeuvre: Draft) => void): void;
  /** Puts another manoeuvre, and the boat it is for, in its place, as one edit. */
  replace(manoeuvre: Manoeuvre, boat: Boat): void;
  /** Sails the manoeuvre in another boat, as one edit. */
  takeBoat(boat: Boat): void;
}

export interface Picking {
  /** What it is for, in words. */
  readonly what: string;
  choose(name: string): void;
}

export interface Reference {
  /** Held by the user's own word, and so kept when What if is left. */
  readonly kept: boolean;
  readonly run: Run;
  readonly file: ManoeuvreFile;
}

export type Draft = {
  -readonly [K in keyof Manoeuvre]: Manoeuvre[K];
};

type Undoable = Pick<WorkspaceState, 'manoeuvre' | 'boat'>;

export type WorkspaceStore = UseBoundStore<StoreApi<WorkspaceState>> & {
  temporal: StoreApi<TemporalState<Undoable>>;
};

const MOST_UNDO = 200;

export function createWorkspace(start: {
  manoeuvre: Manoeuvre;
  boat: Boat;
  place: Place;
  phase?: Phase;
}): WorkspaceStore {
  return create<WorkspaceState>()(
    temporal(
      immer((set, get) => ({
        phase: 'plan',
        ...start,
        selected: null,
        pointed: null,
        subject: 'plan',
        variation: NO_VARIATION,
        reference: null,
        picking: null,
        rigging: false,
        runId: null,
        fan: null,
        tried: null,
        fanShown: false,
        setFan: (fan) => set({ fan }),
        setTried: (tried) => set({ tried }),
        showFan: (fanShown) => set({ fanShown }),
        openRun: (runId) => set({ runId }),
        setRigging: (rigging) => set({ rigging, picking: null }),
        setPicking: (picking) => set({ picking, rigging: false }),
        // Elsewhere nothing stays varied unseen.
        setPhase: (phase) => {
          if (phase === 'what if') return set({ phase, picking: null, rigging: false });
          const { reference } = get();
          const held = reference?.kept ? reference : null;
          set({ phase, picking: null, rigging: false, variation: NO_VARIATION, reference: held });
        },
        setSubject: (subject) => set({ subject }),
        setVariation: (variation) => set({ variation }),
        // Takes are large and never edited: kept out of the drafts.
        setReference: (reference) => set({ reference }),
        // Whatever was being picked was for the step before.
        select: (id) => set({ selected: id, picking: null, rigging: false }),
        point: (id) => set({ pointed: id }),
        edit: (change) =>
          set((state) => {
            change(state.manoeuvre as Draft);
          }),
        replace: (manoeuvre, boat) => set({ manoeuvre, boat }),
        takeBoat: (boat) => {
          const { manoeuvre, boat: from } = get();
          set({ boat, manoeuvre: withBoat(manoeuvre, from, boat) });
        },
      })),
      {
        partialize: ({ manoeuvre, boat }): Undoable => ({ manoeuvre, boat }),
        equality: (a, b) => a.manoeuvre === b.manoeuvre,
        limit: MOST_UNDO,
      },
    ),
  );
}

/**
 * A gesture that edits many times and is undone as one: the first edit is recorded, the rest are not.
 * `cancel` puts back what was there when it began.
 */
export class Gesture {
  private began = false;
  private readonly before: Manoeuvre;

  constructor(private readonly store: WorkspaceStore) {
    this.before = store.getState().manoeuvre;
  }

  edit(change: (manoeuvre: Draft) => void): void {
    this.store.getState().edit(change);
    if (!this.began && this.store.getState().manoeuvre !== this.before) {
      this.began = true;
      this.store.temporal.getState().pause();
    }
  }

  end(): void {
    this.store.temporal.getState().resume();
  }

  cancel(): void {
    this.end();
    if (this.began) this.store.temporal.getState().undo();
  }
}
