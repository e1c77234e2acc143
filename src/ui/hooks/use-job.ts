'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Problem } from '@/document';
import { AnalysisClient, type AnalysisName, type Given, type AnalysisUpdate } from '@/workers';

/** What is told last may come after the end is told, or before: so long it is waited for, ms. */
const LAST_WORD_MS = 100;

/** Long work that is begun when asked, shown as it goes and can be stopped. `done` gets the last of what it found. */
export function useJob<K extends AnalysisName>(
  name: K,
  done: (found: AnalysisUpdate<K>) => void = NOTHING_MORE,
): {
  readonly found: AnalysisUpdate<K> | null;
  readonly busy: boolean;
  /** Why it was refused. */
  readonly problems: readonly Problem[];
  run(given: Given<K>): void;
  stop(): void;
} {
  const [found, setFound] = useState<AnalysisUpdate<K> | null>(null);
  const [busy, setBusy] = useState(false);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const client = useRef<AnalysisClient<K> | null>(null);
  const work = useRef({ done });
  const newest = useRef<AnalysisUpdate<K> | null>(null);
  useEffect(() => {
    work.current = { done };
  });
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const made = new AnalysisClient(name, {
      found: (told) => {
        newest.current = told;
        setFound(told);
      },
      ended: (result) => {
        if (!result.ok) {
          setProblems(result.problems);
          setBusy(false);
          return;
        }
        timer = setTimeout(() => {
          setBusy(false);
          if (newest.current !== null) work.current.done(newest.current);
        }, LAST_WORD_MS);
      },
    });
    client.current = made;
    return () => {
      clearTimeout(timer);
      client.current = null;
      made.close();
    };
  }, [name]);
  const run = useCallback((given: Given<K>) => {
    if (!client.current) return;
    newest.current = null;
    setFound(null);
    setProblems([]);
    setBusy(true);
    client.current.run(given);
  }, []);
  const stop = useCallback(() => {
    client.current?.stop();
    setBusy(false);
  }, []);
  return { found, busy, problems, run, stop };
}

function NOTHING_MORE(): void {}
