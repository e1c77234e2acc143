'use client';
import { useEffect, useRef } from 'react';
import { lastResultOf, NO_VARIATION, type ManoeuvreFile } from '@/document';
import { useWorkspace } from '../state/context';
import type { RunState } from './use-run';

/** What has rested so long is sent, ms. */
const REST_MS = 1500;

/**
 * Keeps what the manoeuvre comes to with nothing varied, once it and the manoeuvre it was worked out from are saved: for lists, and for
 * the next time it is opened. Nothing hangs on whether that can be written.
 * @param file what is shown now; a run of another is not kept
 * @param revision what it is saved as; null while it is not
 */
export function useLastResult(state: RunState, file: ManoeuvreFile, revision: number | null): void {
  const sent = useRef('');
  const { run, problems } = state;
  const variation = useWorkspace((s) => s.variation);
  const tried = useWorkspace((s) => s.tried);
  const tries = tried?.file === file ? tried.tries : null;
  const fresh = run && problems.length === 0 && state.file === file && variation === NO_VARIATION;
  useEffect(() => {
    if (!fresh || revision === null) return;
    const timer = setTimeout(() => {
      const body = JSON.stringify({ revision, result: lastResultOf(run, tries) });
      if (body === sent.current) return;
      sent.current = body;
      void fetch(`/api/manoeuvres/${file.id}/result`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body,
      }).catch(() => undefined);
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [fresh, run, tries, file, revision]);
}
