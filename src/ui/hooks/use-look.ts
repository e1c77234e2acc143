'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Brief } from '@/core/brief';
import type { Finding } from '@/core/checks';
import type { GridCell, Moment, WindLimit } from '@/core/search';
import type { Day, ManoeuvreFile, VariationDocument, Winds } from '@/document';
import type { DayRun } from '@/planner';
import {
  AnalysisClient,
  type AnalysisName,
  type Given,
  type SurveyPart,
  type Told,
} from '@/workers';

/** A drag that rests this long is looked into, ms. */
const REST_MS = 50;

/**
 * Keeps a look at `file` going: begun anew, once it rests, whenever the file changes. What was found of the last file
 * stays until the first of the new one is there.
 */
function useLook<K extends AnalysisName, T>(
  name: K,
  file: ManoeuvreFile | null,
  empty: T,
  givenFor: (file: ManoeuvreFile) => Given<K>,
  join: (so: T, part: Told<K>) => T,
  /** Looked into anew when this changes too. */
  also: unknown = null,
): { readonly found: T; readonly busy: boolean } {
  const [state, setState] = useState({ found: empty, turn: 0, ended: 0 });
  const client = useRef<AnalysisClient<K> | null>(null);
  const work = useRef({ givenFor, join, empty });
  useEffect(() => {
    work.current = { givenFor, join, empty };
  });

  useEffect(() => {
    const made = new AnalysisClient(name, {
      found: (part, turn) =>
        setState((last) => {
          const { join: joined, empty: nothing } = work.current;
          const so = last.turn === turn ? last.found : nothing;
          return { ...last, found: joined(so, part), turn };
        }),
      // What failed has found nothing: what was found of another file does not stand for it.
      ended: (result, turn) =>
        setState((last) =>
          result.ok ? { ...last, ended: turn } : { found: work.current.empty, turn, ended: turn },
        ),
    });
    client.current = made;
    return () => {
      client.current = null;
      made.close();
    };
  }, [name]);

  useEffect(() => {
    client.current?.stop();
    if (!file) return;
    const timer = setTimeout(() => {
      client.current?.run(work.current.givenFor(file));
    }, REST_MS);
    return () => clearTimeout(timer);
  }, [file, also]);

  // What is told last may come after the end.
  const { found } = state;
  const busy = state.turn !== state.ended;
  // The same while nothing new was found, so that what shows it is left alone.
  return useMemo(() => ({ found, busy }), [found, busy]);
}

/** What stands open all over the run: moments known so far in the order of time, and the wind it fails in. */
export interface Survey {
  readonly moments: readonly Moment[];
  readonly of: number;
  readonly limit: WindLimit | null;
  readonly checks: readonly Finding[];
}

export const NO_SURVEY: Survey = { moments: [], of: 0, limit: null, checks: [] };

function joinSurvey(before: Survey, { surveyed, limit, checks }: SurveyPart): Survey {
  const so = { ...before, limit: limit ?? before.limit, checks: checks ?? before.checks };
  if (surveyed.length === 0) return so;
  // A moment comes again when more of it is known.
  const at = new Map(
    [...so.moments, ...surveyed.map(({ moment }) => moment)].map((m) => [m.time, m]),
  );
  const moments = [...at.values()].sort((a, b) => a.time - b.time);
  return { ...so, moments, of: surveyed[0]!.of };
}

/** Nothing is looked into while `file` is null. */
export function useSurvey(file: ManoeuvreFile | null, variation: VariationDocument) {
  return useLook(
    'survey',
    file,
    NO_SURVEY,
    (of) => ({ file: of, variation }),
    joinSurvey,
    variation,
  );
}

export function useBrief(file: ManoeuvreFile | null) {
  return useLook<'brief', Brief | null>(
    'brief',
    file,
    null,
    (of) => ({ file: of }),
    (_so, brief) => brief,
  );
}

/** What comes piece by piece, one after the other. */
const joined = <T>(so: readonly T[], more: readonly T[]): readonly T[] => [...so, ...more];

const NO_RUNS: readonly DayRun[] = [];

/** A manoeuvre played at moments of a day, growing; given up while `file` is null. */
export function useDayRuns(file: ManoeuvreFile | null, day: Day, moments: readonly number[]) {
  return useLook('day', file, NO_RUNS, (of) => ({ file: of, day, moments }), joined, day).found;
}

const NO_CELLS: readonly GridCell[] = [];

/** A sheet of runs over a grid of winds, growing; given up while `file` is null. */
export function useGrid(file: ManoeuvreFile | null, variation: VariationDocument, winds: Winds) {
  const given = (of: ManoeuvreFile) => ({ file: of, variation, winds });
  return useLook('grid', file, NO_CELLS, given, joined, variation).found;
}
