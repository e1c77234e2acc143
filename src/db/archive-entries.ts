import { createHash } from 'node:crypto';
import { asc, eq, sql } from 'drizzle-orm';
import {
  LIBRARY_PARTS,
  LIBRARY_SCHEMAS,
  manoeuvreFileSchema,
  recordingSchema,
  runNotesSchema,
  type LibraryPart,
  type ManoeuvreFile,
  type RecordingDocument,
} from '@/document';
import type { ArchiveEntry } from '@/io/archive';
import { read } from './manoeuvres';
import type { Library } from './open';
import { boats, techniques, manoeuvres, places, records, runs } from './schema';
import { fileText } from './runs';
import { textUnder } from './texts';

export const TABLES = { boats, places, techniques, manoeuvres, runs, records } as const;
type Plain = Exclude<LibraryPart, 'runs'>;

type Read = ReturnType<ArchiveEntry['read']>;

const sound = (text: string): Read => ({ text, unreadable: null });

/** What a row of each part is kept under, beside its document: enough to put it back unread. */
function keptUnder(part: Plain, row: Record<string, unknown>): Record<string, string | number> {
  if (part === 'manoeuvres')
    return {
      title: String(row.title).slice(0, 200),
      boatId: String(row.boatId),
      placeId: String(row.placeId),
    };
  if (part === 'records') return { manoeuvreId: String(row.manoeuvreId) };
  return {};
}

/** A text as it is kept where it was written by this version; of an older one brought up to date. */
function upToDate(text: string, found: unknown): string {
  const { version } = JSON.parse(text) as { version?: unknown };
  return version === (found as { version?: unknown }).version ? text : JSON.stringify(found);
}

function readPlain(db: Library, part: Plain, id: string): Read {
  const table = TABLES[part];
  const row = db.select().from(table).where(eq(table.id, id)).get() as { document: string };
  const found = read<unknown>(LIBRARY_SCHEMAS[part] as never, row.document, id);
  if (found.ok) return sound(upToDate(row.document, found.value));
  return { text: row.document, unreadable: keptUnder(part, { ...row }) };
}

/** The texts of a run that cannot be read, as they are. */
export interface RawRun {
  readonly manoeuvre: string;
  readonly recording: string;
  readonly notes: string;
}

/** Texts of manoeuvres that were found sound or not: thousands of runs share a few, and checking one takes its time. */
class Soundness {
  /** What each is to be written as: null where it cannot be read, undefined as it is. */
  private readonly known = new Map<string, string | null | undefined>();

  /** The text brought up to date; null where it cannot be read. */
  ofManoeuvre(text: string | null): string | null {
    if (text === null) return null;
    const key = createHash('sha1').update(text).digest('base64');
    if (!this.known.has(key)) {
      const found = read<ManoeuvreFile>(manoeuvreFileSchema, text, '');
      const now = found.ok ? upToDate(text, found.value) : null;
      this.known.set(key, now === text ? undefined : now);
    }
    const now = this.known.get(key);
    return now === undefined ? text : now;
  }
}

/** A recording as this version writes it; null where it cannot be read. Only the first version had no `timesteps`. */
function recordingNow(text: string | null): string | null {
  const found = read<RecordingDocument>(recordingSchema, text ?? '', '');
  if (!found.ok) return null;
  return text!.includes('"timesteps":') ? text : JSON.stringify(found.value);
}

export type RunRows = ReturnType<typeof runRows>;

/** Takes by their id: one query for thousands of them. */
export const runRows = (db: Library) =>
  db
    .select()
    .from(runs)
    .where(eq(runs.id, sql.placeholder('id')))
    .prepare();

function readRun(db: Library, rows: RunRows, id: string, soundness: Soundness): Read {
  const row = rows.get({ id })!;
  const { manoeuvreId, startedAt, notes } = row;
  const manoeuvre = textUnder(db, row.manoeuvreText);
  const recording = textUnder(db, row.recordingText);
  const now = { manoeuvre: soundness.ofManoeuvre(manoeuvre), recording: recordingNow(recording) };
  if (now.manoeuvre && now.recording && read(runNotesSchema, notes, '').ok) {
    const head = JSON.stringify({ id, manoeuvreId, startedAt }).slice(0, -1);
    return sound(`${head},"file":${fileText(now.manoeuvre, now.recording, notes)}}`);
  }
  const raw: RawRun = { manoeuvre: manoeuvre ?? '', recording: recording ?? '', notes };
  return { text: JSON.stringify(raw), unreadable: { manoeuvreId, startedAt } };
}

/** Everything kept, what was put aside too, in the order of parts; texts are read when they are asked for. */
export function archiveEntries(db: Library): ArchiveEntry[] {
  const soundness = new Soundness();
  const taken = runRows(db);
  return LIBRARY_PARTS.flatMap((part) => {
    const table = TABLES[part];
    const removed = 'removedAt' in table ? table.removedAt : null;
    const rows = db
      .select({ id: table.id, ...(removed ? { removedAt: removed } : {}) })
      .from(table)
      .orderBy(asc(table.id))
      .all() as { id: string; removedAt?: number | null }[];
    return rows.map(({ id, removedAt = null }): ArchiveEntry => ({
      part,
      id,
      removedAt,
      read: () => (part === 'runs' ? readRun(db, taken, id, soundness) : readPlain(db, part, id)),
    }));
  });
}
