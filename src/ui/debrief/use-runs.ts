'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { z } from 'zod';
import type { Differences } from '@/core/debrief';
import {
  drivenFileSchema,
  runSummarySchema,
  type DrivenFile,
  type RunNote,
  type RunSummary,
} from '@/document';
import { DriveClient, type Reviewed } from '@/workers';
import { sendLeftRuns } from '../rehearse/keep';

const pageSchema = z.object({
  runs: z.array(
    z.object({ id: z.string(), startedAt: z.number(), summary: runSummarySchema.nullable() }),
  ),
  before: z.string().nullable(),
  earlier: z.number(),
});
const summariesSchema = z.record(z.string(), runSummarySchema.nullable());
/** So many runs are played again in one go; the list fills as they come. */
const SUMMED_AT_ONCE = 10;

export interface ListedRun {
  readonly id: string;
  /** Which of all runs of the manoeuvre it is, from 1. */
  readonly number: number;
  readonly startedAt: number;
  /** Null for one that cannot be played any more; undefined until that is known. */
  readonly summary: RunSummary | null | undefined;
}

/** Takes as far as they were fetched, in the order they were driven. */
interface RunLists {
  readonly runs: readonly ListedRun[];
  /** Where the page before ends; null where there is none. */
  readonly before: string | null;
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

const openKept = (id: string) => get(`/api/runs/${id}`, openedSchema);

/** A kept run, whole; null where it cannot be fetched. */
export const openFile = async (id: string) => (await openKept(id))?.file ?? null;

async function summariesOf(ids: readonly string[]) {
  try {
    const answer = await fetch('/api/runs/summaries', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ids }),
    });
    return answer.ok ? summariesSchema.parse(await answer.json()) : null;
  } catch {
    return null;
  }
}

const listed = ({ runs, earlier }: z.infer<typeof pageSchema>): ListedRun[] =>
  runs.map(({ id, startedAt, summary }, i) => ({
    id,
    number: earlier + i + 1,
    startedAt,
    summary: summary ?? undefined,
  }));

/** Takes of a manoeuvre, the newest page and those asked for; null until they are known. */
export function useRuns(manoeuvreId: string): {
  readonly runs: readonly ListedRun[] | null;
  readonly reload: () => void;
  /** Fetches the page before; null where all are there. */
  readonly more: (() => void) | null;
} {
  const [list, setList] = useState<RunLists | null>(null);
  const fetchPage = useCallback(
    (before: string | null) =>
      get(
        `/api/runs?manoeuvre=${manoeuvreId}${before === null ? '' : `&before=${before}`}`,
        pageSchema,
      ),
    [manoeuvreId],
  );
  const reload = useCallback(() => {
    void (async () => {
      await sendLeftRuns();
      const page = await fetchPage(null);
      setList({ runs: page ? listed(page) : [], before: page?.before ?? null });
    })();
  }, [fetchPage]);
  useEffect(reload, [reload]);
  const before = list?.before ?? null;
  const more = () => {
    void fetchPage(before).then((page) => {
      if (!page) return;
      setList((now) => now && { before: page.before, runs: [...listed(page), ...now.runs] });
    });
  };

  const runs = list?.runs ?? null;
  useEffect(() => {
    // The newest first: they are what is looked at.
    const ids = (runs ?? [])
      .filter(({ summary }) => summary === undefined)
      .slice(-SUMMED_AT_ONCE)
      .map(({ id }) => id);
    if (ids.length === 0) return;
    let over = false;
    void summariesOf(ids).then((found) => {
      if (over) return;
      setList(
        (now) =>
          now && {
            ...now,
            runs: now.runs.map((run) =>
              ids.includes(run.id) ? { ...run, summary: found?.[run.id] ?? null } : run,
            ),
          },
      );
    });
    return () => {
      over = true;
    };
  }, [runs]);
  return { runs, reload, more: before === null ? null : more };
}

export interface OpenReview {
  readonly id: string;
  readonly startedAt: number;
  readonly file: DrivenFile;
  readonly reviewed: Reviewed;
}

/** A run looked over in a worker, and others laid over it. */
export function useReview(
  id: string | null,
  overlays: readonly string[],
): {
  readonly open: OpenReview | null;
  readonly problem: string | null;
  readonly laidOver: ReadonlyMap<string, OpenReview>;
  readonly compare: (reference: string) => Promise<Differences | string>;
  readonly setNotes: (notes: readonly RunNote[]) => Promise<boolean>;
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
              : 'the run could not be fetched',
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
    if (!held || !open || !client.current) return 'the run could not be fetched';
    const found = await client.current.differences(held, open.file);
    return found.ok ? found.value : found.problems.map(({ message }) => message).join('; ');
  };
  const setNotes = async (notes: readonly RunNote[]): Promise<boolean> => {
    if (!open) return false;
    const answer = await fetch(`/api/runs/${open.id}`, {
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
