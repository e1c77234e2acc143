'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { z } from 'zod';
import type { LeftDraft } from '../state/drafts';
import { useDrafts } from './use-drafts';

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
  /** What a draft left in the browser must be. */
  readonly schema: z.ZodType<T>;
}

/** Has what is typed into a field and not taken yet taken, as if the field were left; it keeps the focus. */
function takeTyped(): void {
  const { activeElement } = window.document;
  if (activeElement instanceof HTMLInputElement || activeElement instanceof HTMLTextAreaElement)
    flushSync(() => activeElement.dispatchEvent(new FocusEvent('focusout', { bubbles: true })));
}

const savedSchema = z.object({ revision: z.number(), updatedAt: z.number() });
const refusedSchema = z.object({
  problems: z.array(z.object({ path: z.string(), message: z.string() })),
});

const PAUSE_MS = 400;
const RETRY_MS = 4000;
/** A save that was not answered by then is sent again: a connection that stalls would hold it up for good. */
const ANSWER_MS = 15_000;

export interface Autosave<T, Theirs> {
  readonly state: SaveState<Theirs>;
  /** The revision a document is saved as; null if what is saved is another. */
  savedAs(document: unknown): number | null;
  /** Edits that were left in this browser because the server did not get them; null for none. */
  readonly left: LeftDraft<T> | null;
  /** They were taken up by the caller, or thrown away. */
  settleLeft(): void;
  /** Saves over what another tab saved. */
  keepMine(): void;
  /** Takes what another tab saved; the caller shows it. */
  takeTheirs(): void;
}

/**
 * Saves a document a moment after it last changed, over the revision it came from; until that is acknowledged it is
 * kept in the browser. If another tab has saved meanwhile nothing is overwritten: the user chooses.
 */
export function useAutosave<T, Theirs>(
  document: T,
  opened: { readonly revision: number; readonly updatedAt: number },
  wire: Wire<T, Theirs>,
): Autosave<T, Theirs> {
  const drafts = useDrafts(wire.address(document), wire.schema, document);
  const { keep, acknowledged } = drafts;
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
        if (latest.current === sent) acknowledged();
        else await save();
      }
    },
    [wire, acknowledged],
  );

  useEffect(() => {
    latest.current = document;
    if (document !== saved.current) keep(document, revision.current);
    const timer = setTimeout(() => void save(), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [document, save, keep]);

  useEffect(() => {
    if (state.is !== 'waiting') return;
    const timer = setTimeout(() => void save(), RETRY_MS);
    return () => clearTimeout(timer);
  }, [state, save]);

  useEffect(() => {
    const leave = () => void save(true);
    const hide = () => {
      takeTyped();
      leave();
    };
    const warn = (event: BeforeUnloadEvent) => {
      takeTyped();
      if (latest.current !== saved.current) event.preventDefault();
    };
    window.addEventListener('pagehide', hide);
    window.addEventListener('beforeunload', warn);
    window.document.addEventListener('visibilitychange', hide);
    return () => {
      window.removeEventListener('pagehide', hide);
      window.removeEventListener('beforeunload', warn);
      window.document.removeEventListener('visibilitychange', hide);
      leave();
    };
  }, [save]);

  const savedAs = useCallback(
    (asked: unknown) => (asked === saved.current ? revision.current : null),
    [],
  );

  const settle = useCallback(
    (mine: boolean) => {
      if (state.is !== 'conflict') return;
      blocked.current = false;
      revision.current = state.revision;
      if (mine) {
        void save();
      } else {
        saved.current = wire.documentOf(state.theirs);
        acknowledged();
        setState({ is: 'saved', at: Date.now() });
      }
    },
    [state, save, wire, acknowledged],
  );

  return {
    state,
    savedAs,
    left: drafts.offered,
    settleLeft: drafts.settle,
    keepMine: () => settle(true),
    takeTheirs: () => settle(false),
  };
}

/** Bytes a browser sends on after its page has gone; of more it sends nothing. */
const MOST_KEPT_ALIVE = 60_000;
const size = (text: string) => new Blob([text]).size;

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
    const text = JSON.stringify(wire.body(document, revision));
    const response = await fetch(wire.address(document), {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: text,
      // Only small bodies go with it: of a larger one the draft is left.
      keepalive: leaving && size(text) <= MOST_KEPT_ALIVE,
      signal: AbortSignal.timeout(ANSWER_MS),
    });
    const body: unknown = await response.json();
    if (response.status === 409) {
      return { state: { is: 'conflict', ...wire.theirs(body) }, revision: null };
    }
    if (!response.ok) {
      const refused = refusedSchema.safeParse(body);
      const first = refused.success ? refused.data.problems[0] : undefined;
      return waiting(first ? reason(first) : `the server said ${response.status}`);
    }
    const done = savedSchema.parse(body);
    return { state: { is: 'saved', at: done.updatedAt }, revision: done.revision };
  } catch (error) {
    const late = error instanceof DOMException && error.name === 'TimeoutError';
    return waiting(late ? 'the server does not answer' : 'the server cannot be reached');
  }
}

/** A refusal in words: what the server says of itself needs no path. */
const reason = ({ path, message }: { path: string; message: string }) =>
  path === '(server)' || path === '(request)' ? message : `${path}: ${message}`;
