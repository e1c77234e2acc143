import { createHash } from 'node:crypto';
import { asc, eq, sql } from 'drizzle-orm';
import {
  LIBRARY_PARTS,
  LIBRARY_SCHEMAS,
  manoeuvreFileSchema,
  recordingSchema,
  takeNotesSchema,
  type LibraryPart,
} from '@/document';
import type { ArchiveEntry } from '@/io/archive';
import { read } from './manoeuvres';
import type { Library } from './open';
import { boats, figures, manoeuvres, places, records, takes } from './schema';
import { fileText } from './takes';
import { textUnder } from './texts';

export const TABLES = { boats, places, figures, manoeuvres, takes, records } as const;
type Plain = Exclude<LibraryPart, 'takes'>;

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

function readPlain(db: Library, part: Plain, id: string): Read {
  const table = TABLES[part];
  const row = db.select().from(table).where(eq(table.id, id)).get() as { document: string };
  const found = read<unknown>(LIBRARY_SCHEMAS[part] as never, row.document, id);
  if (found.ok) return sound(row.document);
  return { text: row.document, unreadable: keptUnder(part, { ...row }) };
}

/** The texts of a take that cannot be read, as they are. */
export interface RawTake {
  readonly manoeuvre: string;
  readonly recording: string;
  readonly notes: string;
}

/** Texts of manoeuvres that were found sound or not: thousands of takes share a few, and checking one takes its time. */
class Soundness {
  private readonly known = new Map<string, boolean>();

  ofManoeuvre(text: string | null): boolean {
    if (text === null) return false;
    const key = createHash('sha1').update(text).digest('base64');
    const sound = this.known.get(key) ?? read(manoeuvreFileSchema, text, '').ok;
    this.known.set(key, sound);
    return sound;
  }
}

export type TakeRows = ReturnType<typeof takeRows>;

/** Takes by their id: one query for thousands of them. */
export const takeRows = (db: Library) =>
  db
    .select()
    .from(takes)
    .where(eq(takes.id, sql.placeholder('id')))
    .prepare();

function readTake(db: Library, rows: TakeRows, id: string, soundness: Soundness): Read {
  const row = rows.get({ id })!;
  const { manoeuvreId, startedAt, notes } = row;
  const manoeuvre = textUnder(db, row.manoeuvreText);
  const recording = textUnder(db, row.recordingText);
  const whole =
    soundness.ofManoeuvre(manoeuvre) &&
    read(recordingSchema, recording ?? '', '').ok &&
    read(takeNotesSchema, notes, '').ok;
  if (whole) {
    const head = JSON.stringify({ id, manoeuvreId, startedAt }).slice(0, -1);
    return sound(`${head},"file":${fileText(manoeuvre, recording, notes)}}`);
  }
  const raw: RawTake = { manoeuvre: manoeuvre ?? '', recording: recording ?? '', notes };
  return { text: JSON.stringify(raw), unreadable: { manoeuvreId, startedAt } };
}

/** Everything kept, what was put aside too, in the order of parts; texts are read when they are asked for. */
export function archiveEntries(db: Library): ArchiveEntry[] {
  const soundness = new Soundness();
  const taken = takeRows(db);
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
      read: () => (part === 'takes' ? readTake(db, taken, id, soundness) : readPlain(db, part, id)),
    }));
  });
}
