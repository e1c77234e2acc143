'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { z } from 'zod';
import type { Differences } from '@/core/review';
import {
  drivenFileSchema,
  takeSummarySchema,
  type DrivenFile,
  type TakeNote,
  type TakeSummary,
} from '@/document';
import { DriveClient, type Reviewed } from '@/workers';
import { sendLeftTakes } from '../rehearse/keep';

const listSchema = z.array(
  z.object({ id: z.string(), startedAt: z.number(), summary: takeSummarySchema.nullable() }),
);
export interface ListedTake {
  readonly id: string;
  readonly startedAt: number;
  readonly summary: TakeSummary | null;
}
const openedSchema = z.object({ id: z.string(), startedAt: z.number(), file: drivenFileSchema });

async function get<T>(path: string, schema: z.ZodType<T>): Promise<T | null> {
  try {
    const answer = await fetch(path);
    return answer.ok ? schema.parse(await answer.json()) : null;
  } catch {
    return null;
  }
}

const openKept = (id: string) => get(`/api/takes/${id}`, openedSchema);

/** A kept take, whole; null where it cannot be fetched. */
export const openFile = async (id: string) => (await openKept(id))?.file ?? null;

/** Takes of a manoeuvre; null until they are known. */
export function useTakes(manoeuvreId: string): {
  readonly takes: readonly ListedTake[] | null;
  readonly reload: () => void;
} {
  const [takes, setTakes] = useState<readonly ListedTake[] | null>(null);
  const reload = useCallback(() => {
    void (async () => {
      await sendLeftTakes();
      setTakes((await get(`/api/takes?manoeuvre=${manoeuvreId}`, listSchema)) ?? []);
    })();
  }, [manoeuvreId]);
  useEffect(reload, [reload]);
  return { takes, reload };
}

export interface OpenReview {
  readonly id: string;
  readonly startedAt: number;
  readonly file: DrivenFile;
  readonly reviewed: Reviewed;
}

/** A take looked over in a worker, and others laid over it. */
export function useReview(
  id: string | null,
  overlays: readonly string[],
): {
  readonly open: OpenReview | null;
  readonly problem: string | null;
  readonly laidOver: ReadonlyMap<string, OpenReview>;
  readonly compare: (reference: string) => Promise<Differences | string>;
  readonly setNotes: (notes: readonly TakeNote[]) => Promise<boolean>;
} {
  const [known, setKnown] = useState<ReadonlyMap<string, OpenReview>>(new Map());
  const [problem, setProblem] = useState<string | null>(null);
  const client = useRef<DriveClient | null>(null);
  useEffect(() => {
    const made = new DriveClient();
    client.current = made;
    return () => {
      client.current = null;
      made.close();
    };
  }, []);
  const wanted = [...new Set([...(id ? [id] : []), ...overlays])];
  const missing = wanted.filter((one) => !known.has(one)).join(' ');
  useEffect(() => {
    let stopped = false;
    void (async () => {
      for (const one of missing.split(' ').filter(Boolean)) {
        const kept = await openKept(one);
        const file = kept?.file;
        const reviewed = file ? await client.current?.review(file) : null;
        if (stopped) return;
        if (!kept || !file || !reviewed?.ok) {
          setProblem(
            reviewed && !reviewed.ok
              ? reviewed.problems.map(({ path, message }) => `${path}: ${message}`).join('; ')
              : 'the take could not be fetched',
          );
          return;
        }
        setProblem(null);
        const next = { id: one, startedAt: kept.startedAt, file, reviewed: reviewed.value };
        setKnown((all) => new Map(all).set(one, next));
      }
    })();
    return () => {
      stopped = true;
    };
  }, [missing]);

  const open = id ? (known.get(id) ?? null) : null;
  const compare = async (reference: string): Promise<Differences | string> => {
    const held = known.get(reference)?.file ?? (await openFile(reference));
    if (!held || !open || !client.current) return 'the take could not be fetched';
    const found = await client.current.differences(held, open.file);
    return found.ok ? found.value : found.problems.map(({ message }) => message).join('; ');
  };
  const setNotes = async (notes: readonly TakeNote[]): Promise<boolean> => {
    if (!open) return false;
    const answer = await fetch(`/api/takes/${open.id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ notes }),
    }).catch(() => null);
    if (!answer?.ok) return false;
    const next = { ...open, file: { ...open.file, notes: [...notes] } };
    setKnown((all) => new Map(all).set(open.id, next));
    return true;
  };
  return { open, problem, laidOver: known, compare, setNotes };
}
