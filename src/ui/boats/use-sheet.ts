'use client';
import { useEffect, useState } from 'react';
import type { Sheet } from '@/core/trials';
import type { Boat, Problem } from '@/document';
import { computeSheetFor } from '@/workers';

export interface SheetState {
  readonly sheet: Sheet | null;
  /** Share done, 0 … 1, while it is being computed. */
  readonly share: number;
  readonly running: boolean;
  readonly problems: readonly Problem[];
  stop(): void;
  again(): void;
}

const nothing: Omit<SheetState, 'stop' | 'again'> = {
  sheet: null,
  share: 0,
  running: true,
  problems: [],
};

/** Computes a boat's sheet in a worker whenever it changes; it can be stopped and begun again. */
export function useSheet(boat: Boat): SheetState {
  const [state, setState] = useState(nothing);
  const [turn, setTurn] = useState(0);
  const [stopped, setStopped] = useState(false);

  useEffect(() => {
    if (stopped) return;
    return computeSheetFor(boat, {
      progress: (share) => setState((s) => ({ ...s, share, running: true })),
      done: (result) =>
        setState(
          result.ok
            ? { sheet: result.value, share: 1, running: false, problems: [] }
            : { sheet: null, share: 0, running: false, problems: result.problems },
        ),
    });
  }, [boat, turn, stopped]);

  return {
    ...state,
    running: state.running && !stopped,
    stop: () => setStopped(true),
    again: () => {
      setStopped(false);
      setState(nothing);
      setTurn((t) => t + 1);
    },
  };
}
