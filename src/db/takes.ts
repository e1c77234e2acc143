import { and, asc, eq, isNull } from 'drizzle-orm';
import { playRecording } from '@/core/drive';
import {
  DRIVEN_SCHEMA,
  drivenFileSchema,
  failure,
  summarise,
  takeSummarySchema,
  toDrive,
  type DrivenFile,
  type ManoeuvreFile,
  type RecordingDocument,
  type Result,
  type TakeNote,
  type TakeSummary,
} from '@/document';
import { read } from './manoeuvres';
import type { Library } from './open';
import { manoeuvres, takes } from './schema';

/** A driven take as a list shows it. */
export interface ListedTake {
  readonly id: string;
  readonly startedAt: number;
  /** Null while it goes on, and where it cannot be played any more. */
  readonly summary: TakeSummary | null;
}

export interface OpenedTake {
  readonly id: string;
  readonly manoeuvreId: string;
  readonly startedAt: number;
  readonly file: DrivenFile;
}

export interface NewTake {
  readonly id: string;
  readonly manoeuvreId: string;
  readonly manoeuvre: ManoeuvreFile;
  readonly recording: RecordingDocument;
  readonly startedAt: number;
}

/**
 * Keeps a take that has begun. Sent twice it is kept once, as it was sent last. False if its manoeuvre is not kept here.
 */
export function keepTake(db: Library, take: NewTake, now: number): boolean {
  const { id, manoeuvreId, startedAt } = take;
  const recording = JSON.stringify(take.recording);
  return db.transaction(() => {
    const known = db
      .select({ id: manoeuvres.id })
      .from(manoeuvres)
      .where(eq(manoeuvres.id, manoeuvreId))
      .get();
    if (!known) return false;
    const manoeuvre = JSON.stringify(take.manoeuvre);
    db.insert(takes)
      .values({ id, manoeuvreId, manoeuvre, recording, notes: '[]', startedAt, updatedAt: now })
      .onConflictDoUpdate({
        target: takes.id,
        set: { recording, summary: null, updatedAt: now },
      })
      .run();
    return true;
  });
}

/** Saves what has been driven by now. False if there is no such take. */
export function saveRecording(
  db: Library,
  id: string,
  recording: RecordingDocument,
  now: number,
): boolean {
  const done = db
    .update(takes)
    .set({ recording: JSON.stringify(recording), summary: null, updatedAt: now })
    .where(eq(takes.id, id))
    .run();
  return done.changes === 1;
}

export function saveNotes(
  db: Library,
  id: string,
  notes: readonly TakeNote[],
  now: number,
): boolean {
  const done = db
    .update(takes)
    .set({ notes: JSON.stringify(notes), updatedAt: now })
    .where(eq(takes.id, id))
    .run();
  return done.changes === 1;
}

type Row = typeof takes.$inferSelect;

/** A kept row as the file it is; what is wrong where it cannot be read. */
export function fileOf(row: Row): Result<DrivenFile> {
  const parts = `{"$schema":"${DRIVEN_SCHEMA}","version":1,"manoeuvre":${row.manoeuvre},"recording":${row.recording},"notes":${row.notes}}`;
  return read(drivenFileSchema, parts, `take '${row.id}'`);
}

/** What a take came to, worked out by playing it again; null where it cannot be played. */
function summaryOf(row: Row): TakeSummary | null {
  const file = fileOf(row);
  if (!file.ok) return null;
  const drive = toDrive(file.value);
  if (!drive.ok) return null;
  const { take } = playRecording(drive.value.input, drive.value.recording);
  return summarise(take, file.value.manoeuvre);
}

/** Takes of a manoeuvre not put aside, in the order they were driven. */
export function listTakes(db: Library, manoeuvreId: string): ListedTake[] {
  const rows = db
    .select()
    .from(takes)
    .where(and(eq(takes.manoeuvreId, manoeuvreId), isNull(takes.removedAt)))
    .orderBy(asc(takes.startedAt))
    .all();
  return rows.map((row) => ({
    id: row.id,
    startedAt: row.startedAt,
    summary: keptSummary(db, row),
  }));
}

function keptSummary(db: Library, row: Row): TakeSummary | null {
  if (row.summary) {
    const kept = read<TakeSummary>(takeSummarySchema, row.summary, `take '${row.id}'`);
    if (kept.ok) return kept.value;
  }
  const summary = summaryOf(row);
  if (summary)
    db.update(takes)
      .set({ summary: JSON.stringify(summary) })
      .where(and(eq(takes.id, row.id), eq(takes.recording, row.recording)))
      .run();
  return summary;
}

/** Null when there is none of that id. */
export function openTake(db: Library, id: string): Result<OpenedTake> | null {
  const row = db
    .select()
    .from(takes)
    .where(and(eq(takes.id, id), isNull(takes.removedAt)))
    .get();
  if (!row) return null;
  const file = fileOf(row);
  if (!file.ok) return failure(...file.problems);
  const { manoeuvreId, startedAt } = row;
  return { ok: true, value: { id, manoeuvreId, startedAt, file: file.value } };
}

/** Puts a take aside, or brings it back. False if there is none. */
export function setTakeAside(db: Library, id: string, at: number | null): boolean {
  const done = db.update(takes).set({ removedAt: at }).where(eq(takes.id, id)).run();
  return done.changes === 1;
}
