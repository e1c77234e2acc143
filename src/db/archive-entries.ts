import { asc, eq } from 'drizzle-orm';
import {
  drivenFileSchema,
  LIBRARY_PARTS,
  LIBRARY_SCHEMAS,
  type LibraryPart,
  type LibraryTake,
} from '@/document';
import type { ArchiveEntry } from '@/io/archive';
import { read } from './manoeuvres';
import type { Library } from './open';
import { boats, figures, manoeuvres, places, records, takes } from './schema';
import { textOf } from './takes';
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

function readTake(db: Library, id: string): Read {
  const row = db.select().from(takes).where(eq(takes.id, id)).get()!;
  const { manoeuvreId, startedAt } = row;
  const file = read<LibraryTake['file']>(drivenFileSchema, textOf(db, row), id);
  if (file.ok) return sound(JSON.stringify({ id, manoeuvreId, startedAt, file: file.value }));
  const raw: RawTake = {
    manoeuvre: textUnder(db, row.manoeuvreText) ?? '',
    recording: textUnder(db, row.recordingText) ?? '',
    notes: row.notes,
  };
  return { text: JSON.stringify(raw), unreadable: { manoeuvreId, startedAt } };
}

/** Everything kept, what was put aside too, in the order of parts; texts are read when they are asked for. */
export function archiveEntries(db: Library): ArchiveEntry[] {
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
      read: () => (part === 'takes' ? readTake(db, id) : readPlain(db, part, id)),
    }));
  });
}
