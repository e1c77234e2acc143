import { createHash } from 'node:crypto';
import { statSync } from 'node:fs';
import { openPromise, type Entry, type ZipFile } from 'yauzl';
import { type z } from 'zod';
import {
  check,
  drivenShellSchema,
  failure,
  LIBRARY_SCHEMAS,
  libraryRunSchema,
  manoeuvreFileSchema,
  parseJson,
  success,
  type LibraryPart,
  type LibraryRun,
  type ManoeuvreFile,
  type Problem,
  type Result,
} from '@/document';
import {
  inOrder,
  LIMITS,
  MANIFEST,
  manifestSchema,
  readPath,
  type ListedFile,
  type Manifest,
} from './format';

/** One document of an archive, checked; or, carried as it is, one that could not be read when the archive was made. */
export interface ArchiveItem {
  readonly part: LibraryPart;
  readonly id: string;
  /** Null for what cannot be read. */
  readonly document: unknown;
  /** The document's JSON; of a run only where it cannot be read. */
  readonly text: string;
  readonly removedAt: number | null;
  readonly kept: Readonly<Record<string, string | number>>;
}

/** An archive that was opened: its list is sound, its documents are read one by one. */
export interface OpenArchive {
  readonly made: string;
  readonly count: number;
  /** Every document in the order in which one needs the other; after a failure nothing more comes. */
  items(): AsyncGenerator<Result<ArchiveItem>>;
  close(): void;
}

const wrong = (path: string, message: string) => failure({ path, message });
const NO_ZIP = wrong('(archive)', 'is not a ZIP file that can be read');

/** Unpacks one file, and no more of it than is allowed: a small ZIP may hold very much. Null if there is more. */
async function unpacked(zip: ZipFile, entry: Entry, most: number): Promise<Buffer | null> {
  if (entry.uncompressedSize > most) return null;
  const stream = await zip.openReadStreamPromise(entry);
  const chunks: Buffer[] = [];
  let length = 0;
  for await (const chunk of stream as AsyncIterable<Buffer>) {
    length += chunk.length;
    if (length > most) {
      stream.destroy();
      return null;
    }
    chunks.push(chunk);
  }
  return Buffer.concat(chunks, length);
}

async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  const entries = new Map<string, Entry>();
  for await (const entry of zip.eachEntry()) entries.set(entry.fileName, entry);
  return entries;
}

/** What one part names and another does not hold. */
class References {
  private readonly held = new Set<string>();

  hold(part: LibraryPart, id: string): void {
    this.held.add(`${part} ${id}`);
  }

  /** What is missing for a document, or null. */
  missingFor(
    part: LibraryPart,
    path: string,
    document: Readonly<Record<string, unknown>>,
  ): Problem | null {
    const wants: readonly [LibraryPart, string][] =
      part === 'manoeuvres'
        ? [
            ['boats', 'boatId'],
            ['places', 'placeId'],
          ]
        : part === 'runs' || part === 'records'
          ? [['manoeuvres', 'manoeuvreId']]
          : [];
    for (const [from, field] of wants) {
      const id = String(document[field]);
      if (!this.held.has(`${from} ${id}`))
        return {
          path,
          message: `names the ${from.slice(0, -1)} '${id}', which the archive does not hold`,
        };
    }
    return null;
  }
}

/** Thousands of runs hold a few manoeuvres, and to check one takes its time: each is checked once. */
class RunChecks {
  private static readonly SHELL = libraryRunSchema.extend({
    file: drivenShellSchema,
  });
  /** So many are remembered; there are seldom more. */
  private static readonly MOST = 64;
  private readonly known = new Map<string, ManoeuvreFile>();

  check(value: unknown): Result<LibraryRun> {
    const shell = check<z.infer<typeof RunChecks.SHELL>>(RunChecks.SHELL, value);
    if (!shell.ok) return shell;
    const { file, ...rest } = shell.value;
    const manoeuvre = this.manoeuvre(file.manoeuvre);
    if (!manoeuvre.ok)
      return failure(
        ...manoeuvre.problems.map((p) => ({ ...p, path: `file.manoeuvre.${p.path}` })),
      );
    return success({ ...rest, file: { ...file, manoeuvre: manoeuvre.value } });
  }

  private manoeuvre(value: unknown): Result<ManoeuvreFile> {
    const key = createHash('sha1')
      .update(JSON.stringify(value) ?? '')
      .digest('base64');
    const known = this.known.get(key);
    if (known) return success(known);
    const checked = check<ManoeuvreFile>(manoeuvreFileSchema, value);
    if (checked.ok) {
      if (this.known.size >= RunChecks.MOST) this.known.clear();
      this.known.set(key, checked.value);
    }
    return checked;
  }
}

class Archive implements OpenArchive {
  private readonly runs = new RunChecks();

  constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
    private readonly manifest: Manifest,
  ) {}

  get made(): string {
    return this.manifest.made;
  }

  get count(): number {
    return this.manifest.files.length;
  }

  close(): void {
    this.zip.close();
  }

  async *items(): AsyncGenerator<Result<ArchiveItem>> {
    const references = new References();
    let left: number = LIMITS.unpackedBytes;
    for (const file of inOrder(this.manifest.files)) {
      left -= file.bytes;
      const item = left < 0 ? wrong('(archive)', 'holds too much') : await this.item(file);
      const missing = item.ok && this.missing(references, file.path, item.value);
      yield missing ? failure(missing) : item;
      if (!item.ok || missing) return;
    }
  }

  private missing(references: References, path: string, item: ArchiveItem): Problem | null {
    const { part, id, document, kept } = item;
    references.hold(part, id);
    return references.missingFor(
      part,
      path,
      (document as Readonly<Record<string, unknown>> | null) ?? kept,
    );
  }

  private async item(file: ListedFile): Promise<Result<ArchiveItem>> {
    const { path, bytes, sha256, removedAt = null, kept = {} } = file;
    const entry = this.entries.get(path);
    if (!entry) return wrong(path, 'is listed and not there');
    const whole = await unpacked(this.zip, entry, bytes).catch(() => undefined);
    if (whole === undefined) return wrong(path, 'cannot be unpacked: the archive is damaged');
    if (whole?.length !== bytes) return wrong(path, 'is not as long as listed');
    if (createHash('sha256').update(whole).digest('hex') !== sha256)
      return wrong(path, 'does not agree with its checksum: the archive is damaged');
    const text = new TextDecoder().decode(whole);
    const { part, id, unreadable } = readPath(path);
    if (unreadable) return success({ part, id, document: null, text, removedAt, kept });
    const value = parseJson(text, LIMITS.fileBytes, path);
    if (!value.ok) return value;
    const checked =
      part === 'runs'
        ? this.runs.check(value.value)
        : check<{ id: string }>(LIBRARY_SCHEMAS[part] as never, value.value);
    if (!checked.ok)
      return failure(...checked.problems.map((p) => ({ ...p, path: `${path}: ${p.path}` })));
    if (checked.value.id !== id)
      return wrong(path, `holds '${checked.value.id}'; a file is called after its id`);
    return success({
      part,
      id,
      document: checked.value,
      // A run is kept in parts.
      text: part === 'runs' ? '' : JSON.stringify(checked.value),
      removedAt,
      kept,
    });
  }
}

/** Opens an archive on the disk and reads its list; or says what is wrong with it. */
export async function openArchive(file: string): Promise<Result<OpenArchive>> {
  if (statSync(file).size > LIMITS.archiveBytes)
    return wrong('(archive)', `is larger than ${LIMITS.archiveBytes / 1e6} MB`);
  let zip: ZipFile;
  try {
    zip = await openPromise(file, { lazyEntries: true, autoClose: false });
  } catch {
    return NO_ZIP;
  }
  const refused = (why: Result<never>) => {
    zip.close();
    return why;
  };
  try {
    // The list itself is one more.
    if (zip.entryCount > LIMITS.files + 1)
      return refused(wrong('(archive)', `holds more than ${LIMITS.files} files`));
    const entries = await entriesOf(zip);
    const listed = entries.get(MANIFEST);
    if (!listed)
      return refused(wrong('(archive)', `holds no ${MANIFEST}; it is not an archive of ours`));
    const text = await unpacked(zip, listed, LIMITS.manifestBytes);
    if (!text) return refused(wrong(MANIFEST, 'is too long'));
    const json = parseJson(new TextDecoder().decode(text), LIMITS.manifestBytes, MANIFEST);
    const manifest = json.ok ? check<Manifest>(manifestSchema, json.value) : json;
    if (!manifest.ok) return refused(manifest);
    return success(new Archive(zip, entries, manifest.value));
  } catch {
    return refused(NO_ZIP);
  }
}
