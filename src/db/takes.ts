import { and, count, desc, eq, isNull, lt, or } from 'drizzle-orm';
import {
  DRIVEN_SCHEMA,
  drivenFileSchema,
  failure,
  takeSummarySchema,
  type DrivenFile,
  type ManoeuvreFile,
  type RecordingDocument,
  type Result,
  type TakeNote,
  type TakeSummary,
} from '@/document';
import { read } from './manoeuvres';
import type { Library } from './open';
import { writing } from './writing';
import { manoeuvres, takes } from './schema';
import { changeText, putText, textUnder } from './texts';

/** A driven take as a list shows it. */
export interface ListedTake {
  readonly id: string;
  readonly startedAt: number;
  /** Null while it goes on or was not looked over yet, and where it cannot be played any more. */
  readonly summary: TakeSummary | null;
}

/** The newest takes before some moment, oldest first. */
export interface TakePage {
  readonly takes: readonly ListedTake[];
  /** Where the page before this one ends; null if this is the first. */
  readonly before: string | null;
  /** How many takes come before this page. */
  readonly earlier: number;
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

/** Takes in one page of a list. */
export const TAKES_PER_PAGE = 200;

/**
 * Keeps a take that has begun. Sent twice it is kept once, as it was sent last. False if its manoeuvre is not kept here.
 */
export function keepTake(db: Library, take: NewTake, now: number): boolean {
  const { id, manoeuvreId, startedAt } = take;
  const recording = JSON.stringify(take.recording);
  return writing(db, () => {
    const known = db
      .select({ id: manoeuvres.id })
      .from(manoeuvres)
      .where(eq(manoeuvres.id, manoeuvreId))
      .get();
    if (!known) return false;
    if (saveText(db, id, recording, now)) return true;
    const manoeuvreText = putText(db, JSON.stringify(take.manoeuvre));
    const recordingText = putText(db, recording);
    db.insert(takes)
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

/** Puts a recording in place of a take's. False if there is no such take. */
function saveText(db: Library, id: string, recording: string, now: number): boolean {
  const row = db.select({ text: takes.recordingText }).from(takes).where(eq(takes.id, id)).get();
  if (!row) return false;
  changeText(db, row.text, recording);
  db.update(takes).set({ summary: null, updatedAt: now }).where(eq(takes.id, id)).run();
  return true;
}

/** Saves what has been driven by now. False if there is no such take. */
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

export type TakeRow = typeof takes.$inferSelect;

/** The text of a take's file, of its parts' texts, unchecked. */
export const fileText = (manoeuvre: string | null, recording: string | null, notes: string) =>
  `{"$schema":"${DRIVEN_SCHEMA}","version":1,"manoeuvre":${manoeuvre},"recording":${recording},"notes":${notes}}`;

/** A kept row as the file it is; what is wrong where it cannot be read. */
export function fileOf(db: Library, row: TakeRow): Result<DrivenFile> {
  const texts = [textUnder(db, row.manoeuvreText), textUnder(db, row.recordingText)] as const;
  return read(drivenFileSchema, fileText(...texts, row.notes), `take '${row.id}'`);
}

/** Where a page of takes begins: a moment, and a take of that moment. */
const cursorOf = ({ startedAt, id }: { startedAt: number; id: string }) => `${startedAt}.${id}`;
export const CURSOR = /^(\d{1,16})\.([0-9a-z-]{1,64})$/;

/**
 * Takes of a manoeuvre not put aside, in the order they were driven: the newest, or those before a page.
 *
 * @param before `before` of the page that comes after
 */
export function listTakes(
  db: Library,
  manoeuvreId: string,
  before: string | null = null,
): TakePage {
  const [, at, id] = (before && CURSOR.exec(before)) || [];
  const all = and(
    eq(takes.manoeuvreId, manoeuvreId),
    isNull(takes.removedAt),
    at && id
      ? or(lt(takes.startedAt, Number(at)), and(eq(takes.startedAt, Number(at)), lt(takes.id, id)))
      : undefined,
  );
  const rows = db
    .select({ id: takes.id, startedAt: takes.startedAt, summary: takes.summary })
    .from(takes)
    .where(all)
    .orderBy(desc(takes.startedAt), desc(takes.id))
    .limit(TAKES_PER_PAGE + 1)
    .all();
  const page = rows.slice(0, TAKES_PER_PAGE).toReversed();
  return {
    takes: page.map(({ summary, ...row }) => ({ ...row, summary: keptSummary(row.id, summary) })),
    before: rows.length > TAKES_PER_PAGE ? cursorOf(page[0]!) : null,
    earlier: (db.select({ n: count() }).from(takes).where(all).get()?.n ?? 0) - page.length,
  };
}

function keptSummary(id: string, text: string | null): TakeSummary | null {
  if (text === null) return null;
  const kept = read<TakeSummary>(takeSummarySchema, text, `take '${id}'`);
  return kept.ok ? kept.value : null;
}

/** Notes what a take came to, as long as it has not gone on since its file was read. */
export function saveSummary(
  db: Library,
  id: string,
  recording: RecordingDocument,
  summary: TakeSummary,
): void {
  writing(db, () => {
    const row = db.select().from(takes).where(eq(takes.id, id)).get();
    if (!row || textUnder(db, row.recordingText) !== JSON.stringify(recording)) return;
    db.update(takes)
      .set({ summary: JSON.stringify(summary) })
      .where(eq(takes.id, id))
      .run();
  });
}

/** Null when there is none of that id. */
export function openTake(db: Library, id: string): Result<OpenedTake> | null {
  const row = db
    .select()
    .from(takes)
    .where(and(eq(takes.id, id), isNull(takes.removedAt)))
    .get();
  if (!row) return null;
  const file = fileOf(db, row);
  if (!file.ok) return failure(...file.problems);
  const { manoeuvreId, startedAt } = row;
  return { ok: true, value: { id, manoeuvreId, startedAt, file: file.value } };
}

/** Puts a take aside, or brings it back. False if there is none. */
export function setTakeAside(db: Library, id: string, at: number | null): boolean {
  const done = db.update(takes).set({ removedAt: at }).where(eq(takes.id, id)).run();
  return done.changes === 1;
}
