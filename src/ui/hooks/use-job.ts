'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { MooringHold } from '@/core/brief';
import type { Problem } from '@/document';
import type { Comparison, TechniqueId, Tuned, Proposal } from '@/planner';
import { LookClient, type AnalysisUpdate } from '@/workers';

/** What is told last may come after the end is told, or before: so long it is waited for, ms. */
const LAST_WORD_MS = 100;

/**
 * Long work that is begun when asked, shown as it goes and can be stopped. `done` gets the last of what it found.
 *
 * @param pick what of a look belongs to it
 */
function useJob<T>(
  pick: (part: AnalysisUpdate) => T | null,
  done: (found: T) => void,
): {
  readonly found: T | null;
  readonly busy: boolean;
  /** Why it was refused. */
  readonly problems: readonly Problem[];
  run(begin: (client: LookClient) => void): void;
  stop(): void;
} {
  const [found, setFound] = useState<T | null>(null);
  const [busy, setBusy] = useState(false);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const client = useRef<LookClient | null>(null);
  const work = useRef({ pick, done });
  const newest = useRef<T | null>(null);
  useEffect(() => {
    work.current = { pick, done };
  });
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const made = new LookClient({
      found: (part) => {
        const one = work.current.pick(part);
        if (one === null) return;
        newest.current = one;
        setFound(one);
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
  }, []);
  const run = useCallback((begin: (client: LookClient) => void) => {
    if (!client.current) return;
    newest.current = null;
    setFound(null);
    setProblems([]);
    setBusy(true);
    begin(client.current);
  }, []);
  const stop = useCallback(() => {
    client.current?.stop();
    setBusy(false);
  }, []);
  return { found, busy, problems, run, stop };
}

/** Fits the numbers of a plan; what comes of it may be what was there. */
export const useFit = (done: (fitted: Tuned) => void) => useJob(({ fitted }) => fitted, done);

/** Works out what holds her on her lines. */
export const useHolding = () => useJob<MooringHold>(({ held }) => held, NOTHING_MORE);
const NOTHING_MORE = () => undefined;

/** Sets every technique that fits side by side. */
export const useComparison = () =>
  useJob<Comparison<TechniqueId>>(({ compared }) => compared, NOTHING_MORE);

/** Writes a technique down. */
export const useProposal = (done: (proposal: Proposal) => void) =>
  useJob(({ proposed }) => proposed, done);
