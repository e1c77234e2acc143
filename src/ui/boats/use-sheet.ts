'use client';
import { useEffect, useState } from 'react';
import type { Sheet, SheetRanges } from '@/core/trials';
import type { Boat, Problem } from '@/document';
import { computeSheetFor } from '@/workers';

export interface SheetState {
  readonly sheet: Sheet | null;
  /** Share done, 0 … 1, while it is being computed. */
  readonly share: number;
  readonly running: boolean;
  readonly problems: readonly Problem[];
  /** Where its figures lie; null while that is being worked out, `rangesShare` of it done. */
  readonly ranges: SheetRanges | null;
  readonly rangesShare: number;
  stop(): void;
  again(): void;
}

const nothing: Omit<SheetState, 'stop' | 'again'> = {
  sheet: null,
  share: 0,
  running: true,
  problems: [],
  ranges: null,
  rangesShare: 0,
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
            ? { ...nothing, sheet: result.value, share: 1, running: false }
            : { ...nothing, running: false, problems: result.problems },
        ),
      rangesProgress: (rangesShare) => setState((s) => ({ ...s, rangesShare })),
      ranges: (ranges) => setState((s) => ({ ...s, ranges, rangesShare: 1 })),
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
