'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { z } from 'zod';
import { recordSchema, type RecordDocument } from '@/document';
import type { AboutRecords, LookedOver } from '@/workers';
import { useGrowing } from '../hooks/use-look';

const listSchema = z.array(z.object({ id: z.string(), name: z.string(), begins: z.string() }));
export type ListedRecord = z.infer<typeof listSchema>[number];

async function get<T>(path: string, schema: z.ZodType<T>): Promise<T | null> {
  try {
    const answer = await fetch(path);
    return answer.ok ? schema.parse(await answer.json()) : null;
  } catch {
    return null;
  }
}

/** Instrument records of a manoeuvre, and those of them that are open. */
export function useRecords(manoeuvreId: string, wanted: readonly string[], about: AboutRecords) {
  const [listed, setListed] = useState<readonly ListedRecord[]>([]);
  const [known, setKnown] = useState<ReadonlyMap<string, RecordDocument>>(new Map());
  const reload = useCallback(() => {
    void get(`/api/records?manoeuvre=${manoeuvreId}`, listSchema).then((list) =>
      setListed(list ?? []),
    );
  }, [manoeuvreId]);
  useEffect(reload, [reload]);
  const missing = wanted.filter((id) => !known.has(id)).join(' ');
  useEffect(() => {
    let stopped = false;
    for (const id of missing.split(' ').filter(Boolean))
      void get(`/api/records/${id}`, recordSchema).then((record) => {
        if (!stopped && record) setKnown((all) => new Map(all).set(id, record));
      });
    return () => {
      stopped = true;
    };
  }, [missing]);
  const open = useLookedOver(
    useMemo(() => wanted.flatMap((id) => known.get(id) ?? []), [wanted, known]),
    about,
  );
  return { listed, open, reload };
}

/** Records looked over in a worker, as they come. */
export function useLookedOver(
  records: readonly RecordDocument[],
  about: AboutRecords,
): readonly LookedOver[] {
  const given = useMemo(
    () => (records.length > 0 ? { ...about, records } : null),
    [about, records],
  );
  const found = useGrowing('lookOver', given);
  return given ? found : NONE;
}

const NONE: readonly LookedOver[] = [];
