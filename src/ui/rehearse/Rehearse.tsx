'use client';
import { useEffect, type ReactNode } from 'react';
import type { Run } from '@/core/plan';
import type { ManoeuvreFile } from '@/document';
import { Helm } from './Helm';
import { sendLeftRuns } from './keep';
import { RehearsePanel } from './RehearsePanel';
import { RehearseWater } from './RehearseWater';
import { useGamepad } from './use-gamepad';
import { useHelmKeys } from './use-helm-keys';
import { LockBeside } from '../locks/LockBeside';
import { LiveProvider, useLiveState } from './use-live';

/** The manoeuvre driven by hand on the same water: the helm where the plan was. */
export function Rehearse({ file, planned }: { file: ManoeuvreFile; planned: Run | null }) {
  useEffect(() => {
    void sendLeftRuns();
  }, []);
  return (
    <LiveProvider file={file} manoeuvreId={file.id}>
      <HelmInputs />
      <LiveLock>
        <RehearseWater planned={planned} />
      </LiveLock>
      <div className="col-start-2 row-span-2 row-start-2 min-h-0 max-md:order-3">
        <RehearsePanel planned={planned} />
      </div>
      <div className="min-h-0 min-w-0 border-t border-ink max-md:order-2">
        <Helm />
      </div>
    </LiveProvider>
  );
}

/** With the section of the lock, as it stands by now. */
function LiveLock({ children }: { children: ReactNode }) {
  const recent = useLiveState((s) => s.soFar ?? s.recent);
  return <LockBeside run={recent}>{children}</LockBeside>;
}

/** Keys and gamepad at the helm. */
function HelmInputs() {
  useHelmKeys();
  useGamepad();
  return null;
}
