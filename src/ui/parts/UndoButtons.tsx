'use client';
import { Redo2, Undo2 } from 'lucide-react';
import { useStore, type StoreApi } from 'zustand';
import { IconButton } from './IconButton';

interface Steps {
  readonly pastStates: readonly unknown[];
  readonly futureStates: readonly unknown[];
  undo(): void;
  redo(): void;
}

/** One edit back, one forth. */
export function UndoButtons({ temporal }: { temporal: StoreApi<Steps> }) {
  const canUndo = useStore(temporal, (t) => t.pastStates.length > 0);
  const canRedo = useStore(temporal, (t) => t.futureStates.length > 0);
  return (
    <>
      <IconButton
        label="Undo (Ctrl Z)"
        disabled={!canUndo}
        onClick={() => temporal.getState().undo()}
      >
        <Undo2 size={16} />
      </IconButton>
      <IconButton
        label="Redo (Ctrl Shift Z)"
        disabled={!canRedo}
        onClick={() => temporal.getState().redo()}
      >
        <Redo2 size={16} />
      </IconButton>
    </>
  );
}
