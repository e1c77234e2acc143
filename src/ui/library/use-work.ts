import { useCallback, useEffect, useRef, useState } from 'react';
import { z } from 'zod';
import { progressSchema, type Progress } from '@/document';

const answerSchema = z.object({ progress: progressSchema.nullable() });

/** The server is asked so often how far it is, ms. */
const ASK_MS = 300;

/** Work the server does for this page. */
export interface Work {
  /** It goes on; what is known of it, or null before anything is. */
  readonly going: boolean;
  readonly progress: Progress | null;
  /** Has work done under an id by which it is watched. */
  run<T>(work: (watch: string) => Promise<T>): Promise<T>;
  stop(): void;
  /** Whether the user stopped what was done last. */
  wasStopped(): boolean;
}

/** Long work of the server: watched while it goes on, and stopped when that is asked for. */
export function useWork(): Work {
  const [watch, setWatch] = useState<string | null>(null);
  const [progress, setProgress] = useState<Progress | null>(null);
  const stopped = useRef(false);
  useEffect(() => {
    if (watch === null) return;
    let over = false;
    const ask = async () => {
      const answer = await fetch(`/api/work/${watch}`).catch(() => null);
      // Not begun yet, or just over: the answer to the work itself says what came of it.
      const read = answer?.ok ? answerSchema.safeParse(await answer.json()) : null;
      if (!over && read?.success && read.data.progress) setProgress(read.data.progress);
    };
    const timer = setInterval(() => void ask(), ASK_MS);
    return () => {
      over = true;
      clearInterval(timer);
    };
  }, [watch]);
  const run = useCallback(async <T>(work: (watch: string) => Promise<T>): Promise<T> => {
    const id = crypto.randomUUID();
    stopped.current = false;
    setProgress(null);
    setWatch(id);
    try {
      return await work(id);
    } finally {
      setWatch((now) => (now === id ? null : now));
    }
  }, []);
  const stop = () => {
    stopped.current = true;
    if (watch !== null) void fetch(`/api/work/${watch}`, { method: 'DELETE' }).catch(() => null);
  };
  return { going: watch !== null, progress, run, stop, wasStopped: () => stopped.current };
}
