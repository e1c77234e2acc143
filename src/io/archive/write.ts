import { createHash } from 'node:crypto';
import { Readable } from 'node:stream';
import { ZipFile } from 'yazl';
import type { LibraryPart } from '@/document';
import { LIMITS, MANIFEST, pathOf, type ListedFile, type Manifest } from './format';

/** One document that goes into an archive; its text is asked for when its turn comes. */
export interface ArchiveEntry {
  readonly part: LibraryPart;
  readonly id: string;
  readonly removedAt: number | null;
  /** The document's JSON; what could not be read goes as it is, with what it is kept under. */
  read(): {
    readonly text: string;
    readonly unreadable: null | Readonly<Record<string, string | number>>;
  };
}

/**
 * Everything in one ZIP file, each document a file of its own, and at the end a list of them with checksums. Nothing is
 * held but the document on its way. The stream fails where something is more than an archive may hold.
 *
 * @param each called after each document with how many are in; what it throws fails the stream
 */
export function writeArchive(
  entries: readonly ArchiveEntry[],
  made: Date,
  each: (done: number) => void = () => undefined,
): Readable {
  const zip = new ZipFile();
  const files: ListedFile[] = [];
  const options = { mtime: made };
  // A file's path is known before its text: whether that can be read is settled here.
  const add = (entry: ArchiveEntry) => {
    const { part, id, removedAt } = entry;
    const { text, unreadable } = entry.read();
    const bytes = Buffer.from(text);
    if (bytes.length > LIMITS.fileBytes)
      throw new Error(`${part}/${id} is larger than ${LIMITS.fileBytes / 1e6} MB`);
    const path = pathOf(part, id, unreadable !== null);
    files.push({
      path,
      bytes: bytes.length,
      sha256: createHash('sha256').update(bytes).digest('hex'),
      ...(removedAt === null ? {} : { removedAt }),
      ...(unreadable === null ? {} : { kept: { ...unreadable } }),
    });
    each(files.length);
    return { bytes, path };
  };
  return Readable.from(packed(zip, entries, add, files, made, options), { objectMode: false });
}

/** So many documents are given to the packer at once. */
const AT_ONCE = 64;

async function* packed(
  zip: ZipFile,
  entries: readonly ArchiveEntry[],
  add: (entry: ArchiveEntry) => { bytes: Buffer; path: string },
  files: ListedFile[],
  made: Date,
  options: { mtime: Date },
): AsyncGenerator<Buffer> {
  if (entries.length > LIMITS.files)
    throw new Error(
      `a library of more than ${LIMITS.files} documents does not go into one archive`,
    );
  const output = zip.outputStream as Readable;
  let next = 0;
  let waiting = 0;
  let failed: unknown = null;
  const feed = () => {
    try {
      while (next < entries.length && waiting < AT_ONCE) {
        const { bytes, path } = add(entries[next]!);
        next += 1;
        waiting += 1;
        // The packer remembers every entry to its end: what is in it is let go once it was read.
        let held: Buffer | null = bytes;
        zip.addReadStreamLazy(path, { ...options, size: bytes.length }, (give) => {
          const stream = Readable.from([held!]);
          held = null;
          stream.once('end', () => {
            waiting -= 1;
            if (waiting < AT_ONCE / 2) feed();
          });
          give(null, stream);
        });
      }
      if (next === entries.length) {
        next += 1;
        const manifest: Manifest = {
          $schema: 'yawtrope:library',
          version: 3,
          made: made.toISOString(),
          files,
        };
        zip.addBuffer(Buffer.from(JSON.stringify(manifest, null, 1)), MANIFEST, options);
        zip.end();
      }
    } catch (error) {
      failed = error;
      output.destroy(error as Error);
    }
  };
  zip.on('error', (error) => output.destroy(error as Error));
  feed();
  for await (const chunk of output) yield chunk as Buffer;
  if (failed !== null) throw failed as Error;
}
