'use client';
import dynamic from 'next/dynamic';

/** The workspace draws on canvas and runs workers, so it is made in the browser only. */
export const WorkspaceLoader = dynamic(
  () => import('./Workspace').then(({ Workspace }) => Workspace),
  { ssr: false, loading: () => <p className="p-6 text-quiet">Opening …</p> },
);
