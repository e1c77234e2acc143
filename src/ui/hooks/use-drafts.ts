'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { z } from 'zod';
import { draftKey, dropDraft, keepDraft, leftDrafts, type LeftDraft } from '../state/drafts';

/** While something is dragged a draft is written this often, ms. */
const WRITE_EVERY_MS = 150;

export interface Drafts<T> {
  /** What an earlier opening left and nobody has decided upon; null for nothing. */
  readonly offered: LeftDraft<T> | null;
  /** Keeps what is not acknowledged yet. */
  keep(document: T, revision: number): void;
  /** The server has everything. */
  acknowledged(): void;
  /** The offered one was taken up, or thrown away. */
  settle(): void;
}

/** Keeps edits in the browser until the server has them, and finds what was left of earlier ones. */
export function useDrafts<T>(address: string, schema: z.ZodType<T>, opened: T): Drafts<T> {
  const [offered, setOffered] = useState<readonly LeftDraft<T>[]>([]);
  const [key] = useState(() => draftKey(address));
  const newest = useRef<{ document: T; revision: number } | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);

  const [first] = useState(opened);
  useEffect(() => {
    let over = false;
    const here = JSON.stringify(first);
    void leftDrafts(address, schema).then((left) => {
      if (over) return;
      const different = left.filter(({ document }) => JSON.stringify(document) !== here);
      // What is saved by now need not be asked about.
      for (const one of left) if (!different.includes(one)) void dropDraft(one.key);
      setOffered(different);
    });
    return () => {
      over = true;
    };
  }, [address, schema, first]);

  const write = useCallback(() => {
    timer.current = null;
    if (newest.current) void keepDraft(key, { ...newest.current, at: Date.now() });
  }, [key]);

  const keep = useCallback(
    (document: T, revision: number) => {
      newest.current = { document, revision };
      if (timer.current !== null) return;
      write();
      timer.current = setTimeout(write, WRITE_EVERY_MS);
    },
    [write],
  );
  const acknowledged = useCallback(() => {
    if (timer.current !== null) clearTimeout(timer.current);
    timer.current = null;
    newest.current = null;
    void dropDraft(key);
  }, [key]);
  const settle = useCallback(() => {
    setOffered(([settled, ...rest]) => {
      if (settled) void dropDraft(settled.key);
      return rest;
    });
  }, []);
  return { offered: offered[0] ?? null, keep, acknowledged, settle };
}
