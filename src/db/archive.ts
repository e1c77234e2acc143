import { eq, isNull } from 'drizzle-orm';
import {
  LIBRARY_PARTS,
  LIBRARY_SCHEMAS,
  type Boat,
  type LibraryContents,
  type LibraryPart,
  type LibraryTake,
  type Manoeuvre,
  type OwnFigure,
  type Place,
  type RecordDocument,
} from '@/document';
import { keptBoats } from './boats';
import { read } from './manoeuvres';
import type { Library } from './open';
import { keptPlaces } from './places';
import { allRecords } from './records';
import { boats, figures, manoeuvres, places, records, takes } from './schema';
import { listFigures } from './figures';
import { fileOf, openTake } from './takes';

/** All that is kept and can be read; what was put aside only where a manoeuvre still uses it. */
export function contentsOf(db: Library): LibraryContents {
  const rows = db.select().from(manoeuvres).where(isNull(manoeuvres.removedAt)).all();
  const kept = rows.flatMap(({ id, document }) => {
    const found = read<Manoeuvre>(LIBRARY_SCHEMAS.manoeuvres, document, `manoeuvre '${id}'`);
    return found.ok ? [found.value] : [];
  });
  const whole = <T extends { id: string }>(
    listed: readonly T[],
    table: typeof boats | typeof places,
    part: 'boats' | 'places',
    used: readonly string[],
  ): T[] => {
    const known = new Set(listed.map(({ id }) => id));
    const aside = [...new Set(used)].filter((id) => !known.has(id));
    return [
      ...listed,
      ...aside.flatMap((id) => {
        const row = db.select().from(table).where(eq(table.id, id)).get();
        const found = row && read<T>(LIBRARY_SCHEMAS[part] as never, row.document, id);
        return found?.ok ? [found.value] : [];
      }),
    ];
  };
  const driven = db
    .select({ id: takes.id })
    .from(takes)
    .where(isNull(takes.removedAt))
    .all()
    .flatMap(({ id }): LibraryTake[] => {
      const found = openTake(db, id);
      return found?.ok ? [found.value] : [];
    });
  const ids = new Set(kept.map(({ id }) => id));
  return {
    boats: whole<Boat>(
      keptBoats.list(db).flatMap(({ document }) => document ?? []),
      boats,
      'boats',
      kept.map(({ boatId }) => boatId),
    ),
    places: whole<Place>(
      keptPlaces.list(db).flatMap(({ document }) => document ?? []),
      places,
      'places',
      kept.map(({ placeId }) => placeId),
    ),
    figures: listFigures(db),
    manoeuvres: kept,
    takes: driven.filter(({ manoeuvreId }) => ids.has(manoeuvreId)),
    records: allRecords(db).filter(({ manoeuvreId }) => ids.has(manoeuvreId)),
  };
}

/** How what an archive holds stands to what is kept. */
export type Standing = Readonly<
  Record<LibraryPart, { readonly fresh: number; readonly same: number; readonly different: number }>
>;

const TABLES = { boats, places, figures, manoeuvres, takes, records } as const;

type Kept = Boat | Place | OwnFigure | Manoeuvre | LibraryTake | RecordDocument;

/** A document under an id, put aside or not; null for none. What cannot be read is something else. */
function keptUnder(db: Library, part: LibraryPart, id: string): unknown {
  if (part === 'takes') {
    const row = db.select().from(takes).where(eq(takes.id, id)).get();
    if (!row) return null;
    const file = fileOf(row);
    const { manoeuvreId, startedAt } = row;
    return file.ok ? { id, manoeuvreId, startedAt, file: file.value } : {};
  }
  const table = TABLES[part];
  const row = db.select({ document: table.document }).from(table).where(eq(table.id, id)).get();
  if (!row) return null;
  const found = read<Kept>(LIBRARY_SCHEMAS[part] as never, row.document, id);
  return found.ok ? found.value : {};
}

const plain = (part: LibraryPart, document: unknown) => {
  if (part !== 'takes') return JSON.stringify(document);
  const { file, manoeuvreId, startedAt } = document as Partial<LibraryTake>;
  if (!file) return '';
  const { manoeuvre, recording, notes } = file;
  return JSON.stringify({ manoeuvreId, startedAt, manoeuvre, recording, notes });
};

/** What would come of taking an archive in beside what is kept. Changes nothing. */
export function standingOf(db: Library, contents: LibraryContents): Standing {
  const count = (part: LibraryPart) => {
    const so = { fresh: 0, same: 0, different: 0 };
    for (const document of contents[part]) {
      const kept = keptUnder(db, part, document.id);
      if (kept === null) so.fresh += 1;
      else if (plain(part, kept) === plain(part, document)) so.same += 1;
      else so.different += 1;
    }
    return so;
  };
  return Object.fromEntries(LIBRARY_PARTS.map((part) => [part, count(part)])) as Record<
    LibraryPart,
    ReturnType<typeof count>
  >;
}

function freeId(
  db: Library,
  part: Exclude<LibraryPart, 'takes' | 'records'>,
  wish: string,
): string {
  for (let n = 2; ; n++) {
    const id = `${wish.slice(0, 58)}-${n}`;
    if (keptUnder(db, part, id) === null) return id;
  }
}

function put(db: Library, part: LibraryPart, document: Kept, now: number): void {
  const text = JSON.stringify(document);
  const { id } = document;
  if (part === 'boats' || part === 'places') {
    db.insert(TABLES[part]).values({ id, document: text, updatedAt: now }).run();
  } else if (part === 'figures') {
    db.insert(figures).values({ id, document: text, createdAt: now }).run();
  } else if (part === 'manoeuvres') {
    const { title, boatId, placeId } = document as Manoeuvre;
    db.insert(manoeuvres)
      .values({
        id,
        title,
        boatId,
        placeId,
        document: text,
        revision: 1,
        createdAt: now,
        updatedAt: now,
      })
      .run();
  } else if (part === 'records') {
    const { manoeuvreId } = document as RecordDocument;
    db.insert(records).values({ id, manoeuvreId, document: text, createdAt: now }).run();
  } else {
    const { manoeuvreId, startedAt, file } = document as LibraryTake;
    db.insert(takes)
      .values({
        id,
        manoeuvreId,
        manoeuvre: JSON.stringify(file.manoeuvre),
        recording: JSON.stringify(file.recording),
        notes: JSON.stringify(file.notes),
        startedAt,
        updatedAt: now,
      })
      .run();
  }
}

/**
 * Takes an archive in beside what is kept, all or nothing: what is there already in the same form is left, what is
 * there in another form is kept beside it under an id of its own, and what goes with it follows. What was put aside
 * and comes again in the same form is brought back.
 *
 * @param another makes an id for a take
 */
export function mergeArchive(
  db: Library,
  contents: LibraryContents,
  now: number,
  another: () => string,
): Standing {
  return db.transaction(() => {
    const standing = standingOf(db, contents);
    const under = new Map<string, string>();
    const take = (part: LibraryPart, document: Kept) => {
      const kept = keptUnder(db, part, document.id);
      if (kept !== null && plain(part, kept) === plain(part, document)) {
        if (part !== 'figures')
          db.update(TABLES[part])
            .set({ removedAt: null })
            .where(eq(TABLES[part].id, document.id))
            .run();
        return;
      }
      const id =
        kept === null
          ? document.id
          : part === 'takes' || part === 'records'
            ? another()
            : freeId(db, part, document.id);
      under.set(`${part} ${document.id}`, id);
      put(db, part, { ...document, id }, now);
    };
    const goesAs = (part: LibraryPart, id: string) => under.get(`${part} ${id}`) ?? id;
    for (const one of contents.boats) take('boats', one);
    for (const one of contents.places) take('places', one);
    for (const one of contents.figures) take('figures', one);
    for (const one of contents.manoeuvres)
      take('manoeuvres', {
        ...one,
        boatId: goesAs('boats', one.boatId),
        placeId: goesAs('places', one.placeId),
      });
    for (const one of contents.takes)
      take('takes', { ...one, manoeuvreId: goesAs('manoeuvres', one.manoeuvreId) });
    for (const one of contents.records)
      take('records', { ...one, manoeuvreId: goesAs('manoeuvres', one.manoeuvreId) });
    return standing;
  });
}

/** Puts an archive in place of everything, all or nothing. */
export function replaceAll(db: Library, contents: LibraryContents, now: number): void {
  db.transaction(() => {
    for (const part of LIBRARY_PARTS.toReversed()) db.delete(TABLES[part]).run();
    for (const part of LIBRARY_PARTS)
      for (const document of contents[part]) put(db, part, document, now);
  });
}
