'use client';
import { createContext, useContext, type ReactNode } from 'react';
import { useStore } from 'zustand';
import type { WorkspaceState, WorkspaceStore } from './workspace';

const Context = createContext<WorkspaceStore | null>(null);

export function WorkspaceProvider({
  store,
  children,
}: {
  store: WorkspaceStore;
  children: ReactNode;
}) {
  return <Context value={store}>{children}</Context>;
}

/** The workspace's store itself, for gestures and undo. */
export function useWorkspaceStore(): WorkspaceStore {
  const store = useContext(Context);
  if (!store) throw new Error('outside a workspace');
  return store;
}

export function useWorkspace<T>(select: (state: WorkspaceState) => T): T {
  return useStore(useWorkspaceStore(), select);
}
