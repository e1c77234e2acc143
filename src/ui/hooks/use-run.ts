'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { HeldBack, Run } from '@/core/plan';
import type { ManoeuvreFile, Problem, VariationDocument } from '@/document';
import { RunClient } from '@/workers';

/** The newest run that could be run, the file it was run from, and why the newest file could not be, if so. */
export interface RunState {
  readonly run: Run | null;
  readonly file: ManoeuvreFile;
  readonly problems: readonly Problem[];
}

/** How the boat goes on while a step of the plan is held back; null if that cannot be told. */
export type AskHeldBack = (step: number) => Promise<HeldBack | null>;

/** Plays `file`, varied, in a worker whenever it changes; while dragging, only the newest waits. */
export function useRun(
  file: ManoeuvreFile,
  variation: VariationDocument,
): RunState & { readonly holdBack: AskHeldBack } {
  const [state, setState] = useState<RunState>({ run: null, file, problems: [] });
  const client = useRef<RunClient | null>(null);

  useEffect(() => {
    const made = new RunClient((result, played) => {
      setState((last) =>
        result.ok
          ? { run: result.value, file: played, problems: [] }
          : { ...last, problems: result.problems },
      );
    });
    client.current = made;
    return () => {
      client.current = null;
      made.close();
    };
  }, []);

  const newest = useRef({ file, variation });
  useEffect(() => {
    newest.current = { file, variation };
    client.current?.request(file, variation);
  }, [file, variation]);

  const holdBack = useCallback(async (step: number) => {
    const { file: of, variation: varied } = newest.current;
    return (await client.current?.holdBack(of, varied, step)) ?? null;
  }, []);

  // The same while nothing came of it, so that what shows it is left alone.
  return useMemo(() => ({ ...state, holdBack }), [state, holdBack]);
}
