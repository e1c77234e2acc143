'use client';
import { createContext, useContext, useEffect, useMemo, type ReactNode } from 'react';
import { useStore } from 'zustand';
import type { ManoeuvreFile } from '@/document';
import { appSteers } from './helm-by';
import { Live } from './live';
import type { LiveState } from './live-state';

const Context = createContext<Live | null>(null);

/** Begins a drive of a manoeuvre when it is shown, and ends it when it is not. */
export function LiveProvider({
  file,
  manoeuvreId,
  children,
}: {
  file: ManoeuvreFile;
  manoeuvreId: string;
  children: ReactNode;
}) {
  const live = useMemo(() => new Live(file, manoeuvreId), [file, manoeuvreId]);
  useEffect(() => {
    live.start();
    return () => live.close();
  }, [live]);
  return <Context value={live}>{children}</Context>;
}

export function useLive(): Live {
  const live = useContext(Context);
  if (!live) throw new Error('nothing is driven here');
  return live;
}

export function useLiveState<T>(select: (state: LiveState) => T): T {
  return useStore(useLive().store, select);
}

/** Does the app steer at the step the drive is at? */
export const useIsSteered = (): boolean =>
  useLiveState(({ now, helmBy }) => now !== null && appSteers(helmBy, now.step));
