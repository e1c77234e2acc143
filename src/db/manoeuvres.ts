import { and, desc, eq, isNull, sql, type Column } from 'drizzle-orm';
import {
  boatSchema,
  check,
  failure,
  jobOf,
  manoeuvreSchema,
  placeSchema,
  success,
  type Boat,
  lastResultSchema,
  type Job,
  type LastResult,
  type Manoeuvre,
  type ManoeuvreFile,
  type Place,
  type Result,
} from '@/document';
import { firstRevision } from './counters';
import type { Library } from './open';
import { writing } from './writing';
import { OLDER } from './last-results';
import { boats, lastResults, manoeuvres, places } from './schema';

/** A manoeuvre with all it needs to be run. */
export interface Opened {
  readonly manoeuvre: Manoeuvre;
  readonly boat: Boat;
  readonly place: Place;
  readonly revision: number;
  readonly updatedAt: number;
}

export interface Listed {
  readonly id: string;
  readonly title: string;
  readonly note: string;
  readonly boat: string;
  readonly place: string;
  readonly openedAt: number | null;
  /** How hard it blows, m/s; null where it cannot be read. */
  readonly wind: number | null;
  /** What it is for; null where it cannot be read. */
  readonly job: Job | null;
  /** What it came to when it was last worked out; null where that is not known. */
  readonly last: {
    readonly outcome: LastResult['outcome'];
    readonly held: number | null;
    readonly of: number | null;
    /** Manoeuvre, boat or place have been changed since. */
    readonly older: boolean;
  } | null;
  /** It is here, but cannot be opened: what is stored cannot be read. */
  readonly unreadable: boolean;
}

export type SaveResult =
  | { readonly is: 'saved'; readonly revision: number; readonly updatedAt: number }
  /** Somebody saved since: nothing was written. */
  | { readonly is: 'conflict'; readonly current: Opened }
  /** It names a boat or place that is not kept. */
  | { readonly is: 'unknown'; readonly path: 'boatId' | 'placeId'; readonly id: string }
  | { readonly is: 'missing' };

export function read<T>(
  schema: Parameters<typeof check<T>>[0],
  text: string,
  what: string,
): Result<T> {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return failure({ path: what, message: 'is stored in a form that cannot be read' });
  }
  const checked = check(schema, value);
  if (checked.ok) return checked;
  return failure(...checked.problems.map((p) => ({ ...p, path: `${what}: ${p.path}` })));
}

/** A part of a stored document; null where the document cannot be read at all. */
const part = (document: Column, path: string) =>
  sql<string | null>`case when json_valid(${document}) then json_extract(${document}, ${path}) end`;

/** What a stored manoeuvre is for, null if it is not sound, by its id, revision and length: each is checked once as long as a library is open. */
const checkedIn = new WeakMap<Library, Map<string, Job | null>>();

function jobIn(
  db: Library,
  id: string,
  as: string,
  length: number,
  document: () => string,
): Job | null {
  const checked = checkedIn.get(db) ?? new Map<string, Job | null>();
  checkedIn.set(db, checked);
  const key = `${as} ${length} ${id}`;
  const known = checked.get(key);
  if (known !== undefined) return known;
  const sound = read(manoeuvreSchema, document(), id);
  const job = sound.ok ? jobOf(sound.value, length) : null;
  checked.set(key, job);
  return job;
}

/** Manoeuvres not put aside, last opened first, then newest. One that cannot be read is listed as that. */
export function listManoeuvres(db: Library): Listed[] {
  const rows = db
    .select({
      id: manoeuvres.id,
      title: manoeuvres.title,
      revision: manoeuvres.revision,
      note: part(manoeuvres.document, '$.note'),
      wind: sql<number | null>`${part(manoeuvres.document, '$.conditions.wind.speed_mps')}`,
      length: sql<number>`length(${manoeuvres.document})`,
      boat: part(boats.document, '$.name'),
      boatLength: sql<number | null>`${part(boats.document, '$.hull.length_m')}`,
      place: part(places.document, '$.name'),
      boatId: manoeuvres.boatId,
      placeId: manoeuvres.placeId,
      openedAt: manoeuvres.openedAt,
      outcome: part(lastResults.document, '$.outcome'),
      held: sql<number | null>`${part(lastResults.document, '$.tries.held')}`,
      of: sql<number | null>`${part(lastResults.document, '$.tries.of')}`,
      older: OLDER,
    })
    .from(manoeuvres)
    .innerJoin(boats, eq(boats.id, manoeuvres.boatId))
    .innerJoin(places, eq(places.id, manoeuvres.placeId))
    .leftJoin(lastResults, eq(lastResults.manoeuvreId, manoeuvres.id))
    .where(isNull(manoeuvres.removedAt))
    .orderBy(desc(manoeuvres.openedAt), desc(manoeuvres.createdAt), manoeuvres.title)
    .all();
  const document = db.$client.prepare('select document from manoeuvres where id = ?').pluck();
  return rows.map(({ id, title, note, boat, place, openedAt, ...row }) => {
    const { held, of } = row;
    const outcome = lastResultSchema.shape.outcome.safeParse(row.outcome);
    const job = jobIn(
      db,
      id,
      `${row.revision} ${row.length}`,
      row.boatLength ?? 0,
      () => document.get(id) as string,
    );
    return {
      id,
      title,
      note: note ?? '',
      boat: boat ?? row.boatId,
      place: place ?? row.placeId,
      openedAt,
      wind: row.wind,
      job,
      last: outcome.success ? { outcome: outcome.data, held, of, older: row.older === 1 } : null,
      unreadable: job === null,
    };
  });
}

/** Null when there is none of that id. */
export function openManoeuvre(db: Library, id: string): Result<Opened> | null {
  const row = db
    .select()
    .from(manoeuvres)
    .innerJoin(boats, eq(boats.id, manoeuvres.boatId))
    .innerJoin(places, eq(places.id, manoeuvres.placeId))
    .where(and(eq(manoeuvres.id, id), isNull(manoeuvres.removedAt)))
    .get();
  if (!row) return null;
  const manoeuvre = read(manoeuvreSchema, row.manoeuvres.document, `manoeuvre '${id}'`);
  if (!manoeuvre.ok) return manoeuvre;
  const boat = read(boatSchema, row.boats.document, `boat '${row.boats.id}'`);
  if (!boat.ok) return boat;
  const place = read(placeSchema, row.places.document, `place '${row.places.id}'`);
  if (!place.ok) return place;
  const { revision, updatedAt } = row.manoeuvres;
  return success({
    manoeuvre: manoeuvre.value,
    boat: boat.value,
    place: place.value,
    revision,
    updatedAt,
  });
}

/**
 * Boat and place of the manoeuvre opened last; where none was yet, the boat and the place that most manoeuvres are in. Null where
 * there are none.
 */
export function lastUsed(db: Library): { boatId: string; placeId: string } | null {
  const there = db
    .select({ boatId: manoeuvres.boatId, placeId: manoeuvres.placeId, at: manoeuvres.openedAt })
    .from(manoeuvres)
    .where(isNull(manoeuvres.removedAt))
    .orderBy(desc(manoeuvres.openedAt), manoeuvres.id)
    .all();
  const [last] = there;
  if (!last || last.at !== null) return last ?? null;
  const commonest = <T>(all: readonly T[]) => {
    const times = (one: T) => all.filter((other) => other === one).length;
    return all.reduce((best, one) => (times(one) > times(best) ? one : best));
  };
  const boatId = commonest(there.map((one) => one.boatId));
  const its = there.filter((one) => one.boatId === boatId);
  return { boatId, placeId: commonest(its.map(({ placeId }) => placeId)) };
}

/** Notes when a manoeuvre was opened last. False if there is none of that id. */
export function noteOpened(db: Library, id: string, now: number): boolean {
  const done = db.update(manoeuvres).set({ openedAt: now }).where(eq(manoeuvres.id, id)).run();
  return done.changes === 1;
}

/** Saves over the revision it started from; over any other it changes nothing and says what is there. */
export function saveManoeuvre(
  db: Library,
  manoeuvre: Manoeuvre,
  fromRevision: number,
  now: number,
): SaveResult {
  const { boatId, placeId } = manoeuvre;
  if (!db.select({ id: boats.id }).from(boats).where(eq(boats.id, boatId)).get())
    return { is: 'unknown', path: 'boatId', id: boatId };
  if (!db.select({ id: places.id }).from(places).where(eq(places.id, placeId)).get())
    return { is: 'unknown', path: 'placeId', id: placeId };
  const revision = fromRevision + 1;
  const done = db
    .update(manoeuvres)
    .set({
      title: manoeuvre.title,
      document: JSON.stringify(manoeuvre),
      boatId,
      placeId,
      revision,
      updatedAt: now,
    })
    .where(
      and(
        eq(manoeuvres.id, manoeuvre.id),
        eq(manoeuvres.revision, fromRevision),
        isNull(manoeuvres.removedAt),
      ),
    )
    .run();
  if (done.changes === 1) return { is: 'saved', revision, updatedAt: now };
  const current = openManoeuvre(db, manoeuvre.id);
  return current?.ok ? { is: 'conflict', current: current.value } : { is: 'missing' };
}

/** A free id made from a wish: the wish itself, or with a number behind it. */
export function freeId(db: Library, wish: string): string {
  const base = wish.slice(0, 58);
  for (let n = 1; ; n++) {
    const id = n === 1 ? base : `${base}-${n}`;
    const taken = db
      .select({ id: manoeuvres.id })
      .from(manoeuvres)
      .where(eq(manoeuvres.id, id))
      .get();
    if (!taken) return id;
  }
}

/** Puts a manoeuvre in as its first revision; leaves one of the same id as it is. */
export function insertManoeuvre(db: Library, manoeuvre: Manoeuvre, now: number): void {
  db.insert(manoeuvres)
    .values({
      id: manoeuvre.id,
      title: manoeuvre.title,
      boatId: manoeuvre.boatId,
      placeId: manoeuvre.placeId,
      document: JSON.stringify(manoeuvre),
      revision: firstRevision(db),
      createdAt: now,
      updatedAt: now,
    })
    .onConflictDoNothing()
    .run();
}

/** A second one like it, under a title and id of its own. Returns its id, null if there is no such manoeuvre. */
export function copyManoeuvre(db: Library, id: string, now: number): string | null {
  return writing(db, () => {
    const opened = openManoeuvre(db, id);
    if (!opened?.ok) return null;
    const { manoeuvre } = opened.value;
    const copy = {
      ...manoeuvre,
      id: freeId(db, manoeuvre.id),
      title: `${manoeuvre.title.slice(0, 73)}, copy`,
    };
    insertManoeuvre(db, copy, now);
    return copy.id;
  });
}

/**
 * Takes in a manoeuvre file with its boat and place, all or nothing. A boat or place already kept under
 * the same id but different in content is kept beside it under a new id. Returns the manoeuvre's id.
 */
export function importManoeuvre(db: Library, file: ManoeuvreFile, now: number): string {
  return writing(db, () => {
    const { boat, place, ...rest } = file;
    const boatId = keep(db, boats, boat, now);
    const placeId = keep(db, places, place, now);
    const manoeuvre: Manoeuvre = { ...rest, id: freeId(db, rest.id), boatId, placeId };
    insertManoeuvre(db, manoeuvre, now);
    return manoeuvre.id;
  });
}

/** Keeps a boat or place under its id, or a free one if that id holds something else. */
export function keep(
  db: Library,
  table: typeof boats | typeof places,
  document: Boat | Place,
  now: number,
): string {
  for (let n = 1; ; n++) {
    const id = n === 1 ? document.id : `${document.id.slice(0, 58)}-${n}`;
    const text = JSON.stringify({ ...document, id });
    const row = db.select().from(table).where(eq(table.id, id)).get();
    if (row?.document === text) return id;
    if (row) continue;
    const revision = firstRevision(db);
    db.insert(table).values({ id, document: text, revision, updatedAt: now }).run();
    return id;
  }
}

/** Puts a manoeuvre aside, or brings it back. False if there is none. */
export function setAside(db: Library, id: string, at: number | null): boolean {
  const done = db.update(manoeuvres).set({ removedAt: at }).where(eq(manoeuvres.id, id)).run();
  return done.changes === 1;
}
