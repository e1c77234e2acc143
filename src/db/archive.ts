import { eq } from 'drizzle-orm';
import {
  LIBRARY_PARTS,
  LIBRARY_SCHEMAS,
  type ArchiveStanding,
  type LibraryPart,
  type LibraryRun,
  type Manoeuvre,
  type RecordDocument,
} from '@/document';
import type { ArchiveItem } from '@/io/archive';
import { TABLES, runRows, type RawRun, type RunRows } from './archive-entries';
import { firstRevision, raiseRevisions } from './counters';
import { read } from './manoeuvres';
import type { Library } from './open';
import { fileOf } from './runs';
import { putText, sweepTextsGently, textUnder } from './texts';
import { writing } from './writing';

type Stands = 'fresh' | 'same' | 'different';

/** So many texts come in in one transaction: others that write wait a few milliseconds. */
const TEXTS_AT_ONCE = 40;

/** A row that is ready to go in, but for the ids of what it belongs to. */
interface Incoming {
  readonly part: LibraryPart;
  readonly id: string;
  readonly stands: Stands;
  readonly removedAt: number | null;
  readonly row: Readonly<Record<string, unknown>>;
}

const runText = ({ manoeuvreId, startedAt, file }: LibraryRun) =>
  JSON.stringify({
    manoeuvreId,
    startedAt,
    manoeuvre: file.manoeuvre,
    recording: file.recording,
    notes: file.notes,
  });

/** How a run of an archive stands to the one kept under its id. Equal texts need not be read. */
function runStands(db: Library, rows: RunRows, item: ArchiveItem): Stands {
  const row = rows.get({ id: item.id });
  if (!row) return 'fresh';
  if (item.document === null) return 'different';
  const run = item.document as LibraryRun;
  const { manoeuvreId, startedAt, notes } = row;
  const texts = [textUnder(db, row.manoeuvreText), textUnder(db, row.recordingText), notes];
  const { file } = run;
  const alike =
    run.manoeuvreId === manoeuvreId &&
    run.startedAt === startedAt &&
    [file.manoeuvre, file.recording, file.notes].every((p, i) => JSON.stringify(p) === texts[i]);
  if (alike) return 'same';
  // Written by an older version it may say the same otherwise.
  const kept = fileOf(db, row);
  if (!kept.ok) return 'different';
  return runText({ id: item.id, manoeuvreId, startedAt, file: kept.value }) === runText(run)
    ? 'same'
    : 'different';
}

function stands(db: Library, rows: RunRows, item: ArchiveItem): Stands {
  const { part, id, text } = item;
  if (part === 'runs') return runStands(db, rows, item);
  const table = TABLES[part];
  const row = db.select({ document: table.document }).from(table).where(eq(table.id, id)).get();
  if (!row) return 'fresh';
  if (row.document === text) return 'same';
  const kept = read<unknown>(LIBRARY_SCHEMAS[part] as never, row.document, id);
  return kept.ok && JSON.stringify(kept.value) === text ? 'same' : 'different';
}

/** What would come of taking a document in, added to what is known by now. */
class Counting {
  private readonly counts = Object.fromEntries(
    LIBRARY_PARTS.map((part) => [part, { fresh: 0, same: 0, different: 0, unreadable: 0 }]),
  ) as Record<LibraryPart, Record<Stands | 'unreadable', number>>;

  add({ part, document }: ArchiveItem, as: Stands): void {
    this.counts[part][as] += 1;
    if (document === null) this.counts[part].unreadable += 1;
  }

  get standing(): ArchiveStanding {
    return this.counts;
  }
}

/**
 * An archive on its way into a library. Documents are looked at and staged one by one, where nobody sees them; at the
 * end all of them appear in one short transaction, or none.
 */
export class Incomings {
  private readonly counting = new Counting();
  private readonly runs: RunRows;
  private readonly rows: Incoming[] = [];
  /** Texts that are not written yet. */
  private waiting: { readonly id: string; readonly text: string }[] = [];

  /**
   * @param how `look` only counts; `merge` goes in beside what is kept, `replace` in its place
   * @param another makes an id for a run or a record whose own is taken
   */
  constructor(
    private readonly db: Library,
    private readonly how: 'look' | 'merge' | 'replace',
    private readonly another: () => string = () => crypto.randomUUID(),
  ) {
    this.runs = runRows(db);
  }

  get standing(): ArchiveStanding {
    return this.counting.standing;
  }

  add(item: ArchiveItem): void {
    const how = stands(this.db, this.runs, item);
    this.counting.add(item, how);
    if (this.how === 'look') return;
    const { part, id, removedAt } = item;
    // A run that is here alike stays where it is: thousands of them need not be written anew.
    const stays = how === 'same' && (this.how === 'merge' || part === 'runs');
    const row = stays ? {} : this.rowOf(item);
    const as = this.how === 'replace' && !stays ? 'fresh' : how;
    this.rows.push({ part, id, stands: as, removedAt, row });
    if (this.waiting.length >= TEXTS_AT_ONCE) this.write();
  }

  /** A text on its way in. */
  private stage(text: string): string {
    const id = crypto.randomUUID();
    this.waiting.push({ id, text });
    return id;
  }

  private write(): void {
    const { db, waiting } = this;
    writing(db, () => waiting.forEach(({ id, text }) => putText(db, text, id)));
    this.waiting = [];
  }

  private rowOf(item: ArchiveItem): Readonly<Record<string, unknown>> {
    const { part, document, text, kept } = item;
    if (part !== 'runs') {
      const of = (document ?? kept) as Partial<Manoeuvre> &
        Partial<Pick<RecordDocument, 'manoeuvreId'>>;
      if (part === 'manoeuvres')
        return { title: of.title, boatId: of.boatId, placeId: of.placeId, document: text };
      if (part === 'records') return { manoeuvreId: of.manoeuvreId, document: text };
      return { document: text };
    }
    const run = document as LibraryRun | null;
    const raw: RawRun = run
      ? {
          manoeuvre: JSON.stringify(run.file.manoeuvre),
          recording: JSON.stringify(run.file.recording),
          notes: JSON.stringify(run.file.notes),
        }
      : (JSON.parse(text) as RawRun);
    return {
      manoeuvreId: run?.manoeuvreId ?? kept.manoeuvreId,
      startedAt: run?.startedAt ?? kept.startedAt,
      manoeuvreText: this.stage(raw.manoeuvre),
      recordingText: this.stage(raw.recording),
      notes: raw.notes,
    };
  }

  /** Everything added appears, all or nothing. */
  async finish(now: number): Promise<void> {
    const { db } = this;
    if (this.waiting.length > 0) this.write();
    this.listStaying();
    writing(db, () => {
      if (this.how !== 'replace') return this.put(now, firstRevision(db));
      const revision = raiseRevisions(db);
      this.clear();
      this.put(now, revision);
      raiseRevisions(db);
    });
    await sweepTextsGently(db);
  }

  /** Notes the runs that are here alike, in a table of this connection's own: thousands of them, while nobody waits. */
  private listStaying(): void {
    const sqlite = this.db.$client;
    sqlite.exec(
      'create temp table if not exists staying (id text primary key, removed_at integer)',
    );
    sqlite.exec('delete from staying');
    const stay = sqlite.prepare('insert into staying values (?, ?)');
    sqlite.transaction(() => {
      for (const { part, id, stands: how, removedAt } of this.rows)
        if (part === 'runs' && how === 'same') stay.run(id, removedAt);
    })();
  }

  /** Gives up: nothing has changed, and what was staged goes. */
  async drop(): Promise<void> {
    this.waiting = [];
    await sweepTextsGently(this.db);
  }

  /** Everything goes but the runs that stay; what they belong to comes again before the transaction ends. */
  private clear(): void {
    const { db } = this;
    const sqlite = db.$client;
    sqlite.pragma('defer_foreign_keys = ON');
    sqlite.exec('delete from runs where id not in (select id from staying)');
    for (const part of ['records', 'manoeuvres', 'techniques', 'places', 'boats'] as const)
      db.delete(TABLES[part]).run();
  }

  private put(now: number, revision: number): void {
    const { db } = this;
    const under = new Map<string, string>();
    const set = (part: LibraryPart) =>
      db.$client.prepare(`update ${part} set removed_at = ? where id = ? and removed_at is not ?`);
    const setRemoved = {
      boats: set('boats'),
      places: set('places'),
      manoeuvres: set('manoeuvres'),
      records: set('records'),
    };
    // Beside what is kept, what was put aside here and is not there comes back, and nothing goes that is here.
    db.$client.exec(
      `update runs as t set removed_at = (select removed_at from staying s where s.id = t.id)
       where exists (select 1 from staying s where s.id = t.id and s.removed_at is not t.removed_at
         ${this.how === 'replace' ? '' : 'and s.removed_at is null'})`,
    );
    // A builder for each of thousands of rows would take as long as all of them.
    const putRun = db.$client.prepare(
      `insert into runs (id, manoeuvre_id, manoeuvre_text, recording_text, notes, summary, started_at, updated_at, removed_at)
       values (@id, @manoeuvreId, @manoeuvreText, @recordingText, @notes, null, @startedAt, @updatedAt, @removedAt)`,
    );
    const goesAs = (part: LibraryPart, id: unknown) =>
      under.get(`${part} ${String(id)}`) ?? String(id);
    for (const { part, id, stands: how, removedAt, row } of this.rows) {
      const table = TABLES[part];
      if (how === 'same') {
        const to = this.how === 'replace' ? removedAt : null;
        if (
          part !== 'techniques' &&
          part !== 'runs' &&
          (this.how === 'replace' || removedAt === null)
        )
          setRemoved[part].run(to, id, to);
        continue;
      }
      const as = how === 'fresh' ? id : this.freeId(part, id);
      under.set(`${part} ${id}`, as);
      const document = { document: renamed(row.document, id, as, goesAs, part) };
      const values: Record<string, unknown> = {
        ...row,
        ...(part === 'runs' ? {} : document),
        id: as,
        revision,
        createdAt: now,
        updatedAt: now,
        removedAt,
      };
      if ('boatId' in row) values.boatId = goesAs('boats', row.boatId);
      if ('placeId' in row) values.placeId = goesAs('places', row.placeId);
      if ('manoeuvreId' in row) values.manoeuvreId = goesAs('manoeuvres', row.manoeuvreId);
      if (part === 'runs') {
        putRun.run(values);
        continue;
      }
      // Of the columns given each table takes those it has.
      db.insert(table)
        .values(values as never)
        .run();
    }
  }

  private freeId(part: LibraryPart, wish: string): string {
    if (part === 'runs' || part === 'records') return this.another();
    const table = TABLES[part];
    for (let n = 2; ; n++) {
      const id = `${wish.slice(0, 58)}-${n}`;
      if (!this.db.select({ id: table.id }).from(table).where(eq(table.id, id)).get()) return id;
    }
  }
}

/** A document's text under the ids it goes by now; what cannot be read stays as it is. */
function renamed(
  text: unknown,
  id: string,
  as: string,
  goesAs: (part: LibraryPart, id: unknown) => string,
  part: LibraryPart,
): unknown {
  if (typeof text !== 'string') return text;
  let document: Record<string, unknown>;
  try {
    document = JSON.parse(text) as Record<string, unknown>;
  } catch {
    return text;
  }
  const changes: Record<string, unknown> = {};
  if (as !== id) changes.id = as;
  for (const [field, from] of [
    ['boatId', 'boats'],
    ['placeId', 'places'],
    ['manoeuvreId', 'manoeuvres'],
  ] as const) {
    if ((part !== 'manoeuvres' && part !== 'records') || !(field in document)) continue;
    const now = goesAs(from, document[field]);
    if (now !== document[field]) changes[field] = now;
  }
  return Object.keys(changes).length === 0 ? text : JSON.stringify({ ...document, ...changes });
}
