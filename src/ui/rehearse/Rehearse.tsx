'use client';
import { useEffect } from 'react';
import type { Take } from '@/core/score';
import type { ManoeuvreFile } from '@/document';
import { Helm } from './Helm';
import { sendLeftTakes } from './keep';
import { RehearsePanel } from './RehearsePanel';
import { RehearseWater } from './RehearseWater';
import { useGamepad } from './use-gamepad';
import { useHelmKeys } from './use-helm-keys';
import { LiveProvider } from './use-live';

/** The manoeuvre driven by hand on the same water: the helm where the score was. */
export function Rehearse({ file, scored }: { file: ManoeuvreFile; scored: Take | null }) {
  useEffect(() => {
    void sendLeftTakes();
  }, []);
  return (
    <LiveProvider file={file} manoeuvreId={file.id}>
      <Hands />
      <RehearseWater scored={scored} />
      <div className="col-start-2 row-span-2 row-start-2 min-h-0 max-md:order-3">
        <RehearsePanel scored={scored} />
      </div>
      <div className="min-h-0 min-w-0 border-t border-ink max-md:order-2">
        <Helm />
      </div>
    </LiveProvider>
  );
}

/** Keys and gamepad at the helm. */
function Hands() {
  useHelmKeys();
  useGamepad();
  return null;
}
