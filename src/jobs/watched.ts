import type { Progress } from '@/document';

/** Work that a page watches, and may stop, while the request that asked for it waits for its end. */

type Doing = Progress['doing'];

interface Watched {
  progress: Progress;
  readonly stopper: AbortController;
}

/** What work is given to tell of itself, and to see that it is to stop. */
export interface Watch {
  readonly signal: AbortSignal;
  /** Begins a part of the work; what is returned tells how far that is. */
  doing(what: Doing): (share: number) => void;
}

// A route's script may be loaded more than once.
const WORKS = Symbol.for('yawtrope.works');
type Keeper = typeof globalThis & { [WORKS]?: Map<string, Watched> };
const works = () => ((globalThis as Keeper)[WORKS] ??= new Map<string, Watched>());

/**
 * Does work that can be watched under an id its asker made up; without one nobody watches.
 *
 * @param gone aborted when the asker goes away
 */
export async function watched<T>(
  id: string | undefined,
  gone: AbortSignal,
  work: (watch: Watch) => Promise<T>,
): Promise<T> {
  const entry: Watched = {
    progress: { doing: 'receiving', share: null },
    stopper: new AbortController(),
  };
  const watch: Watch = {
    signal: AbortSignal.any([gone, entry.stopper.signal]),
    doing: (what) => {
      entry.progress = { doing: what, share: null };
      return (share) => (entry.progress = { doing: what, share });
    },
  };
  if (id !== undefined) works().set(id, entry);
  try {
    return await work(watch);
  } finally {
    if (id !== undefined && works().get(id) === entry) works().delete(id);
  }
}

/** How far work has come; null when there is none under that id (any more). */
export const progressOf = (id: string): Progress | null => works().get(id)?.progress ?? null;

/** Asks work to stop; says whether there was any. */
export function stopWork(id: string): boolean {
  const entry = works().get(id);
  entry?.stopper.abort();
  return entry !== undefined;
}
