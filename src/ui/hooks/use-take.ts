'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { HeldBack, Take } from '@/core/score';
import type { ManoeuvreFile, Problem, VariationDocument } from '@/document';
import { TakeClient } from '@/workers';

/** The newest take that could be run, the file it was run from, and why the newest file could not be, if so. */
export interface TakeState {
  readonly take: Take | null;
  readonly file: ManoeuvreFile;
  readonly problems: readonly Problem[];
}

/** How she goes on while a beat of the score is held back; null if that cannot be told. */
export type AskHeldBack = (beat: number) => Promise<HeldBack | null>;

/** Plays `file`, varied, in a worker whenever it changes; while dragging, only the newest waits. */
export function useTake(
  file: ManoeuvreFile,
  variation: VariationDocument,
): TakeState & { readonly holdBack: AskHeldBack } {
  const [state, setState] = useState<TakeState>({ take: null, file, problems: [] });
  const client = useRef<TakeClient | null>(null);

  useEffect(() => {
    const made = new TakeClient((result, played) => {
      setState((last) =>
        result.ok
          ? { take: result.value, file: played, problems: [] }
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

  const holdBack = useCallback(async (beat: number) => {
    const { file: of, variation: varied } = newest.current;
    return (await client.current?.holdBack(of, varied, beat)) ?? null;
  }, []);

  // The same while nothing came of it, so that what shows it is left alone.
  return useMemo(() => ({ ...state, holdBack }), [state, holdBack]);
}
