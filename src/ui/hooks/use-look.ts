'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Finding } from '@/core/checks';
import type { RoseRange } from '@/core/reliability';
import type { Moment, WindLimit } from '@/core/search';
import type { Day, ManoeuvreFile, VariationDocument, Winds } from '@/document';
import {
  AnalysisClient,
  AnalysisCrew,
  howSure,
  joinTries,
  NO_TRIES,
  type AnalysisListener,
  type AnalysisName,
  type AnalysisUpdate,
  type Given,
  type SharedName,
  type SurveyPart,
} from '@/workers';

/** A drag that rests this long is looked into, ms. */
const REST_MS = 50;

const byOne = <K extends AnalysisName>(name: K, listener: AnalysisListener<K>) =>
  new AnalysisClient(name, listener);
/** By every core there is, each a part of it. */
const byAll = <K extends SharedName>(name: K, listener: AnalysisListener<K>) =>
  new AnalysisCrew(name, listener);

/**
 * Keeps a look going at what is given: begun anew, once it rests, whenever that is another object. What was found of the last
 * one stays until the first of the new one is there. Nothing is looked into while it is null.
 */
function useLook<K extends AnalysisName, T>(
  name: K,
  given: Given<K> | null,
  empty: T,
  join: (so: T, part: AnalysisUpdate<K>) => T,
  begin: (
    name: K,
    listener: AnalysisListener<K>,
  ) => Pick<AnalysisClient<K>, 'run' | 'stop' | 'close'> = byOne,
): {
  readonly found: T;
  readonly busy: boolean;
  /** Has the last one ended with nothing found? */
  readonly failed: boolean;
} {
  const [state, setState] = useState({ found: empty, turn: 0, ended: 0 });
  const client = useRef<ReturnType<typeof begin> | null>(null);
  const work = useRef({ join, empty });
  useEffect(() => {
    work.current = { join, empty };
  });

  useEffect(() => {
    const made = begin(name, {
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
  }, [name, begin]);

  useEffect(() => {
    client.current?.stop();
    if (!given) return;
    const timer = setTimeout(() => client.current?.run(given), REST_MS);
    return () => clearTimeout(timer);
  }, [given]);

  // What is told last may come after the end.
  const { found } = state;
  const busy = state.turn !== state.ended;
  // The same while nothing new was found, so that what shows it is left alone.
  const failed = !busy && state.ended > 0 && found === empty;
  return useMemo(() => ({ found, busy, failed }), [found, busy, failed]);
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

export function useSurvey(file: ManoeuvreFile | null, variation: VariationDocument) {
  const given = useMemo(() => file && { file, variation }, [file, variation]);
  return useLook('survey', given, NO_SURVEY, joinSurvey);
}

const newest = <T>(_so: T | null, found: T): T => found;

/** The newest that is found of what is given, and whether it is being worked out. */
export const useNewest = <K extends AnalysisName>(name: K, given: Given<K> | null) =>
  useLook<K, AnalysisUpdate<K> | null>(name, given, null, newest);

/** How sure the plan is; nothing is tried while `file` is null. */
export function useCertificate(file: ManoeuvreFile | null, variation: VariationDocument) {
  const given = useMemo(() => file && { file, variation }, [file, variation]);
  const { found, busy } = useLook('certify', given, NO_TRIES, joinTries, byAll);
  return useMemo(() => ({ found: howSure(found), busy }), [found, busy]);
}

export function useBrief(file: ManoeuvreFile | null) {
  return useNewest(
    'brief',
    useMemo(() => file && { file }, [file]),
  );
}

/** What is told of an analysis in parts, one after the other. */
type PartOf<K extends AnalysisName> = AnalysisUpdate<K> extends readonly (infer T)[] ? T : never;

const joined = (so: readonly never[], more: readonly never[]) => [...so, ...more];
const NOTHING: readonly never[] = [];

/** A list that grows as what is given is looked into. */
export const useGrowing = <K extends AnalysisName>(name: K, given: Given<K> | null) =>
  useLook<K, readonly PartOf<K>[]>(name, given, NOTHING, joined as never).found;

/** The winds a plan holds in, every core some directions; given up while null. */
export function useRose(file: ManoeuvreFile | null, variation: VariationDocument) {
  const given = useMemo(() => file && { file, variation }, [file, variation]);
  return useLook<'rose', readonly RoseRange[]>('rose', given, NOTHING, joinedRanges, byAll).found;
}

const joinedRanges = (so: readonly RoseRange[], more: readonly RoseRange[]) => [
  ...so.filter(({ from }) => !more.some((one) => one.from === from)),
  ...more,
];

/** A manoeuvre played at moments of a day; given up while `file` is null. */
export function useDayRuns(file: ManoeuvreFile | null, day: Day, moments: readonly number[]) {
  const given = useMemo(() => file && { file, day, moments }, [file, day, moments]);
  return useGrowing('day', given);
}

/** A sheet of runs over a grid of winds; given up while `file` is null. */
export function useGrid(file: ManoeuvreFile | null, variation: VariationDocument, winds: Winds) {
  const given = useMemo(() => file && { file, variation, winds }, [file, variation, winds]);
  return useGrowing('grid', given);
}
