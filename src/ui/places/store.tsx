'use client';
import { createContext, useContext } from 'react';
import { temporal, type TemporalState } from 'zundo';
import { create, useStore, type StoreApi, type UseBoundStore } from 'zustand';
import type { Area, Feature, Place } from '@/document';
import type { XY } from './snap';

export type SolidKind = Extract<Feature, { outline_m: unknown }>['kind'];
export type SpotKind = Exclude<Feature['kind'], SolidKind>;

/** A boat of the fleet as it looks from above: deck in body axes, x ahead, y to starboard, m. */
export interface FleetOutline {
  readonly id: string;
  readonly name: string;
  readonly deck: readonly (readonly [number, number])[];
  /** m. */
  readonly length: number;
  readonly beam: number;
  readonly draught: number;
  readonly airDraught: number;
}

/** What a press on the plan does. */
export type Tool =
  | { readonly is: 'choose' }
  /** Corners are put one after the other. */
  | { readonly is: 'outline'; readonly kind: Exclude<SolidKind, 'boat'> }
  /** The same, of water. */
  | { readonly is: 'area'; readonly kind: Area['kind'] }
  | { readonly is: 'spot'; readonly kind: SpotKind }
  | {
      readonly is: 'boat';
      readonly length: number;
      readonly beam: number;
      readonly heading: number;
      /** A boat of the fleet, by its own deck; by length and beam alone if not given. */
      readonly boat?: FleetOutline;
    }
  | { readonly is: 'transit' }
  | { readonly is: 'berth' }
  | { readonly is: 'row' }
  | { readonly is: 'measure' };

export interface PlaceState {
  readonly place: Place;
  readonly chosen: string | null;
  readonly tool: Tool;
  /** Points put with the tool so far. */
  readonly points: readonly XY[];
  edit(place: Place): void;
  choose(id: string | null): void;
  setTool(tool: Tool): void;
  setPoints(points: readonly XY[]): void;
}

type Undoable = Pick<PlaceState, 'place'>;
export type PlaceStore = UseBoundStore<StoreApi<PlaceState>> & {
  temporal: StoreApi<TemporalState<Undoable>>;
};

const MOST_UNDO = 300;

export function createPlaceStore(place: Place): PlaceStore {
  return create<PlaceState>()(
    temporal(
      (set) => ({
        place,
        chosen: null,
        tool: { is: 'choose' },
        points: [],
        edit: (next) => set({ place: next }),
        choose: (chosen) => set({ chosen, points: [] }),
        setTool: (tool) => set({ tool, points: [], chosen: null }),
        setPoints: (points) => set({ points }),
      }),
      {
        partialize: ({ place: now }): Undoable => ({ place: now }),
        equality: (a, b) => a.place === b.place,
        limit: MOST_UNDO,
      },
    ),
  );
}

const Context = createContext<PlaceStore | null>(null);
export const PlaceProvider = Context.Provider;

export function usePlaceStore(): PlaceStore {
  const store = useContext(Context);
  if (!store) throw new Error('outside of a place');
  return store;
}

export function usePlace<T>(select: (state: PlaceState) => T): T {
  return useStore(usePlaceStore(), select);
}
