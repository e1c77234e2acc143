import { and, count, desc, eq, isNull, lt, or } from 'drizzle-orm';
import {
  DRIVEN_SCHEMA,
  DRIVEN_VERSION,
  drivenFileSchema,
  failure,
  runSummarySchema,
  type DrivenFile,
  type ManoeuvreFile,
  type RecordingDocument,
  type Result,
  type RunNote,
  type RunSummary,
} from '@/document';
import { read } from './manoeuvres';
import type { Library } from './open';
import { writing } from './writing';
import { manoeuvres, runs } from './schema';
import { changeText, putText, textUnder } from './texts';

/** A driven run as a list shows it. */
export interface ListedRun {
  readonly id: string;
  readonly startedAt: number;
  /** Null while it goes on or was not looked over yet, and where it cannot be played any more. */
  readonly summary: RunSummary | null;
}

/** The newest runs before some moment, oldest first. */
export interface RunPage {
  readonly runs: readonly ListedRun[];
  /** Where the page before this one ends; null if this is the first. */
  readonly before: string | null;
  /** How many runs come before this page. */
  readonly earlier: number;
}

export interface OpenedRun {
  readonly id: string;
  readonly manoeuvreId: string;
  readonly startedAt: number;
  readonly file: DrivenFile;
}

export interface NewRun {
  readonly id: string;
  readonly manoeuvreId: string;
  readonly manoeuvre: ManoeuvreFile;
  readonly recording: RecordingDocument;
  readonly startedAt: number;
}

/** Takes in one page of a list. */
export const RUNS_PER_PAGE = 200;

/**
 * Keeps a run that has begun. Sent twice it is kept once, as it was sent last. False if its manoeuvre is not kept here.
 */
export function keepRun(db: Library, run: NewRun, now: number): boolean {
  const { id, manoeuvreId, startedAt } = run;
  const recording = JSON.stringify(run.recording);
  return writing(db, () => {
    const known = db
      .select({ id: manoeuvres.id })
      .from(manoeuvres)
      .where(eq(manoeuvres.id, manoeuvreId))
      .get();
    if (!known) return false;
    if (saveText(db, id, recording, now)) return true;
    const manoeuvreText = putText(db, JSON.stringify(run.manoeuvre));
    const recordingText = putText(db, recording);
    db.insert(runs)
      .values({
        id,
        manoeuvreId,
        manoeuvreText,
        recordingText,
        notes: '[]',
        startedAt,
        updatedAt: now,
      })
      .run();
    return true;
  });
}

/** Puts a recording in place of a run's. False if there is no such run. */
function saveText(db: Library, id: string, recording: string, now: number): boolean {
  const row = db.select({ text: runs.recordingText }).from(runs).where(eq(runs.id, id)).get();
  if (!row) return false;
  changeText(db, row.text, recording);
  db.update(runs).set({ summary: null, updatedAt: now }).where(eq(runs.id, id)).run();
  return true;
}

/** Saves what has been driven by now. False if there is no such run. */
export function saveRecording(
  db: Library,
  id: string,
  recording: RecordingDocument,
  now: number,
): boolean {
  return writing(db, () => saveText(db, id, JSON.stringify(recording), now));
}

export function saveNotes(
  db: Library,
  id: string,
  notes: readonly RunNote[],
  now: number,
): boolean {
  const done = db
    .update(runs)
    .set({ notes: JSON.stringify(notes), updatedAt: now })
    .where(eq(runs.id, id))
    .run();
  return done.changes === 1;
}

export type RunRow = typeof runs.$inferSelect;

/** The text of a run's file, of its parts' texts, unchecked. */
export const fileText = (manoeuvre: string | null, recording: string | null, notes: string) =>
  `{"$schema":"${DRIVEN_SCHEMA}","version":${DRIVEN_VERSION},"manoeuvre":${manoeuvre},"recording":${recording},"notes":${notes}}`;

/** A kept row as the file it is; what is wrong where it cannot be read. */
export function fileOf(db: Library, row: RunRow): Result<DrivenFile> {
  const texts = [textUnder(db, row.manoeuvreText), textUnder(db, row.recordingText)] as const;
  return read(drivenFileSchema, fileText(...texts, row.notes), `take '${row.id}'`);
}

/** Where a page of runs begins: a moment, and a run of that moment. */
const cursorOf = ({ startedAt, id }: { startedAt: number; id: string }) => `${startedAt}.${id}`;
export const CURSOR = /^(\d{1,16})\.([0-9a-z-]{1,64})$/;

/**
 * Takes of a manoeuvre not put aside, in the order they were driven: the newest, or those before a page.
 *
 * @param before `before` of the page that comes after
 */
export function listRuns(db: Library, manoeuvreId: string, before: string | null = null): RunPage {
  const [, at, id] = (before && CURSOR.exec(before)) || [];
  const all = and(
    eq(runs.manoeuvreId, manoeuvreId),
    isNull(runs.removedAt),
    at && id
      ? or(lt(runs.startedAt, Number(at)), and(eq(runs.startedAt, Number(at)), lt(runs.id, id)))
      : undefined,
  );
  const rows = db
    .select({ id: runs.id, startedAt: runs.startedAt, summary: runs.summary })
    .from(runs)
    .where(all)
    .orderBy(desc(runs.startedAt), desc(runs.id))
    .limit(RUNS_PER_PAGE + 1)
    .all();
  const page = rows.slice(0, RUNS_PER_PAGE).toReversed();
  return {
    runs: page.map(({ summary, ...row }) => ({ ...row, summary: keptSummary(row.id, summary) })),
    before: rows.length > RUNS_PER_PAGE ? cursorOf(page[0]!) : null,
    earlier: (db.select({ n: count() }).from(runs).where(all).get()?.n ?? 0) - page.length,
  };
}

function keptSummary(id: string, text: string | null): RunSummary | null {
  if (text === null) return null;
  const kept = read<RunSummary>(runSummarySchema, text, `take '${id}'`);
  return kept.ok ? kept.value : null;
}

/** Notes what a run came to, as long as it has not gone on since its file was read. */
export function saveSummary(
  db: Library,
  id: string,
  recording: RecordingDocument,
  summary: RunSummary,
): void {
  writing(db, () => {
    const row = db.select().from(runs).where(eq(runs.id, id)).get();
    if (!row || textUnder(db, row.recordingText) !== JSON.stringify(recording)) return;
    db.update(runs)
      .set({ summary: JSON.stringify(summary) })
      .where(eq(runs.id, id))
      .run();
  });
}

/** Null when there is none of that id. */
export function openRun(db: Library, id: string): Result<OpenedRun> | null {
  const row = db
    .select()
    .from(runs)
    .where(and(eq(runs.id, id), isNull(runs.removedAt)))
    .get();
  if (!row) return null;
  const file = fileOf(db, row);
  if (!file.ok) return failure(...file.problems);
  const { manoeuvreId, startedAt } = row;
  return { ok: true, value: { id, manoeuvreId, startedAt, file: file.value } };
}

/** Puts a run aside, or brings it back. False if there is none. */
export function setRunAside(db: Library, id: string, at: number | null): boolean {
  const done = db.update(runs).set({ removedAt: at }).where(eq(runs.id, id)).run();
  return done.changes === 1;
}
