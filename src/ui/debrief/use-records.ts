'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { z } from 'zod';
import { assembleCraft } from '@/core/boat';
import { measureClearance, measuredTrace, type MeasuredMargins } from '@/core/monitors';
import { obstacleSetOf } from '@/core/holding';
import type { Trace } from '@/core/simulation';
import {
  recordSchema,
  toBoatSpec,
  toFixes,
  toObstacles,
  type Boat,
  type Place,
  type RecordDocument,
} from '@/document';

const listSchema = z.array(z.object({ id: z.string(), name: z.string(), begins: z.string() }));
export type ListedRecord = z.infer<typeof listSchema>[number];

/** A record looked over: the boat's track on the place as a run has it, and what it shows. */
export interface OpenRecord {
  readonly record: RecordDocument;
  readonly trace: Trace;
  readonly byCourse: boolean;
  readonly margins: MeasuredMargins;
}

export function lookOver(
  record: RecordDocument,
  boat: Boat,
  place: Place,
  berth: readonly string[],
): OpenRecord {
  const { trace, byCourse } = measuredTrace(toFixes(record), {
    x: record.aerial.x_m,
    y: record.aerial.y_m,
  });
  const shore = obstacleSetOf(toObstacles(place));
  const skip = new Set(shore.obstacles.flatMap(({ id }, i) => (berth.includes(id) ? [i] : [])));
  const margins = measureClearance(trace, assembleCraft(toBoatSpec(boat)), shore, skip);
  return { record, trace, byCourse, margins };
}

async function get<T>(path: string, schema: z.ZodType<T>): Promise<T | null> {
  try {
    const answer = await fetch(path);
    return answer.ok ? schema.parse(await answer.json()) : null;
  } catch {
    return null;
  }
}

/** Instrument records of a manoeuvre, and those of them that are open. */
export function useRecords(
  manoeuvreId: string,
  wanted: readonly string[],
  { boat, place, berth }: { boat: Boat; place: Place; berth: readonly string[] },
) {
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
  const open = useMemo(
    () =>
      wanted.flatMap((id) => {
        const record = known.get(id);
        return record ? [lookOver(record, boat, place, berth)] : [];
      }),
    [wanted, known, boat, place, berth],
  );
  return { listed, open, reload };
}
