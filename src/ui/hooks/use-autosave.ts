'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { z } from 'zod';
import { boatSchema, manoeuvreSchema, placeSchema, type Boat, type Manoeuvre } from '@/document';

export type SaveState =
  | { readonly is: 'saved'; readonly at: number }
  | { readonly is: 'saving' }
  | { readonly is: 'waiting'; readonly why: string }
  | {
      readonly is: 'conflict';
      readonly theirs: { readonly manoeuvre: Manoeuvre; readonly boat: Boat };
      readonly revision: number;
    };

const savedSchema = z.object({ revision: z.number(), updatedAt: z.number() });
const openedSchema = z.object({
  manoeuvre: manoeuvreSchema,
  boat: boatSchema,
  place: placeSchema,
  revision: z.number(),
  updatedAt: z.number(),
});
const refusedSchema = z.object({
  problems: z.array(z.object({ path: z.string(), message: z.string() })),
});

const PAUSE_MS = 400;
const RETRY_MS = 4000;

export interface Autosave {
  readonly state: SaveState;
  /** Saves over what another tab saved. */
  keepMine(): void;
  /** Takes what another tab saved; the caller shows it. */
  takeTheirs(): void;
}

/**
 * Saves the manoeuvre a moment after it last changed, over the revision it came from. If another tab has
 * saved meanwhile nothing is overwritten: the user chooses.
 */
export function useAutosave(
  manoeuvre: Manoeuvre,
  opened: { readonly revision: number; readonly updatedAt: number },
): Autosave {
  const [state, setState] = useState<SaveState>({ is: 'saved', at: opened.updatedAt });
  const revision = useRef(opened.revision);
  const saved = useRef(manoeuvre);
  const latest = useRef(manoeuvre);
  const busy = useRef(false);
  const blocked = useRef(false);

  const save = useCallback(async (leaving = false): Promise<void> => {
    if (busy.current || blocked.current || latest.current === saved.current) return;
    busy.current = true;
    const sent = latest.current;
    setState({ is: 'saving' });
    const outcome = await send(sent, revision.current, leaving);
    busy.current = false;
    setState(outcome.state);
    if (outcome.state.is === 'conflict') {
      blocked.current = true;
    } else if (outcome.revision !== null) {
      revision.current = outcome.revision;
      saved.current = sent;
      if (latest.current !== sent) await save();
    }
  }, []);

  useEffect(() => {
    latest.current = manoeuvre;
    const timer = setTimeout(() => void save(), PAUSE_MS);
    return () => clearTimeout(timer);
  }, [manoeuvre, save]);

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
    document.addEventListener('visibilitychange', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      window.removeEventListener('beforeunload', warn);
      document.removeEventListener('visibilitychange', leave);
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
        saved.current = state.theirs.manoeuvre;
        setState({ is: 'saved', at: Date.now() });
      }
    },
    [state, save],
  );

  return { state, keepMine: () => settle(true), takeTheirs: () => settle(false) };
}

interface Sent {
  readonly state: SaveState;
  readonly revision: number | null;
}

async function send(manoeuvre: Manoeuvre, revision: number, leaving: boolean): Promise<Sent> {
  const waiting = (why: string): Sent => ({ state: { is: 'waiting', why }, revision: null });
  try {
    const response = await fetch(`/api/manoeuvres/${manoeuvre.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ revision, manoeuvre }),
      keepalive: leaving,
    });
    const body: unknown = await response.json();
    if (response.status === 409) {
      const theirs = openedSchema.parse(body);
      return {
        state: { is: 'conflict', theirs, revision: theirs.revision },
        revision: null,
      };
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
