'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { z } from 'zod';

export type SaveState<Theirs = unknown> =
  | { readonly is: 'saved'; readonly at: number }
  | { readonly is: 'saving' }
  | { readonly is: 'waiting'; readonly why: string }
  | { readonly is: 'conflict'; readonly theirs: Theirs; readonly revision: number };

/** How one kind of document goes to the server. */
export interface Wire<T, Theirs> {
  /** Where it is kept. */
  address(document: T): string;
  body(document: T, revision: number): unknown;
  /** What a refusal for a later revision holds. */
  theirs(answer: unknown): { readonly theirs: Theirs; readonly revision: number };
  /** The document of what another window saved. */
  documentOf(theirs: Theirs): T;
}

const savedSchema = z.object({ revision: z.number(), updatedAt: z.number() });
const refusedSchema = z.object({
  problems: z.array(z.object({ path: z.string(), message: z.string() })),
});

const PAUSE_MS = 400;
const RETRY_MS = 4000;

export interface Autosave<Theirs> {
  readonly state: SaveState<Theirs>;
  /** Saves over what another tab saved. */
  keepMine(): void;
  /** Takes what another tab saved; the caller shows it. */
  takeTheirs(): void;
}

/**
 * Saves a document a moment after it last changed, over the revision it came from. If another tab has
 * saved meanwhile nothing is overwritten: the user chooses.
 */
export function useAutosave<T, Theirs>(
  document: T,
  opened: { readonly revision: number; readonly updatedAt: number },
  wire: Wire<T, Theirs>,
): Autosave<Theirs> {
  const [state, setState] = useState<SaveState<Theirs>>({ is: 'saved', at: opened.updatedAt });
  const revision = useRef(opened.revision);
  const saved = useRef(document);
  const latest = useRef(document);
  const busy = useRef(false);
  const blocked = useRef(false);

  const save = useCallback(
    async (leaving = false): Promise<void> => {
      if (busy.current || blocked.current || latest.current === saved.current) return;
      busy.current = true;
      const sent = latest.current;
      setState({ is: 'saving' });
      const outcome = await send(wire, sent, revision.current, leaving);
      busy.current = false;
      setState(outcome.state);
      if (outcome.state.is === 'conflict') {
        blocked.current = true;
      } else if (outcome.revision !== null) {
        revision.current = outcome.revision;
        saved.current = sent;
        if (latest.current !== sent) await save();
      }
    },
    [wire],
  );

  useEffect(() => {
    latest.current = document;
    const timer = setTimeout(() => void save(), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [document, save]);

  useEffect(() => {
    if (state.is !== 'waiting') return;
    const timer = setTimeout(() => void save(), RETRY_MS);
    return () => clearTimeout(timer);
  }, [state, save]);

  useEffect(() => {
    const leave = () => void save(true);
    const warn = (event: BeforeUnloadEvent) => {
      if (latest.current !== saved.current && (blocked.current || busy.current)) {
        event.preventDefault();
      }
    };
    window.addEventListener('pagehide', leave);
    window.addEventListener('beforeunload', warn);
    window.document.addEventListener('visibilitychange', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      window.removeEventListener('beforeunload', warn);
      window.document.removeEventListener('visibilitychange', leave);
      leave();
    };
  }, [save]);

  const settle = useCallback(
    (mine: boolean) => {
      if (state.is !== 'conflict') return;
      blocked.current = false;
      revision.current = state.revision;
      if (mine) {
        void save();
      } else {
        saved.current = wire.documentOf(state.theirs);
        setState({ is: 'saved', at: Date.now() });
      }
    },
    [state, save, wire],
  );

  return { state, keepMine: () => settle(true), takeTheirs: () => settle(false) };
}

interface Sent<Theirs> {
  readonly state: SaveState<Theirs>;
  readonly revision: number | null;
}

async function send<T, Theirs>(
  wire: Wire<T, Theirs>,
  document: T,
  revision: number,
  leaving: boolean,
): Promise<Sent<Theirs>> {
  const waiting = (why: string): Sent<Theirs> => ({
    state: { is: 'waiting', why },
    revision: null,
  });
  try {
    const response = await fetch(wire.address(document), {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(wire.body(document, revision)),
      keepalive: leaving,
    });
    const body: unknown = await response.json();
    if (response.status === 409) {
      return { state: { is: 'conflict', ...wire.theirs(body) }, revision: null };
    }
    if (!response.ok) {
      const refused = refusedSchema.safeParse(body);
      const first = refused.success ? refused.data.problems[0] : undefined;
      return waiting(
        first ? `${first.path}: ${first.message}` : `the server said ${response.status}`,
      );
    }
    const done = savedSchema.parse(body);
    return { state: { is: 'saved', at: done.updatedAt }, revision: done.revision };
  } catch {
    return waiting('the server cannot be reached');
  }
}
