import JSZip from 'jszip';
import { z } from 'zod';
import {
  check,
  failure,
  LIBRARY_PARTS,
  LIBRARY_SCHEMAS,
  parseJson,
  success,
  type LibraryContents,
  type LibraryPart,
  type Result,
} from '@/document';

/** Largest archive read, bytes; and what it may unpack to. */
export const MOST_ARCHIVE_BYTES = 60_000_000;
const MOST_UNPACKED = 400_000_000;
const MOST_FILE = 20_000_000;
const MOST_FILES = 20_000;

const MANIFEST = 'manifest.json';
const PATH = /^(boats|places|figures|manoeuvres|takes|records)\/[a-z0-9-]{1,80}\.json$/;

const manifestSchema = z.strictObject({
  $schema: z.literal('yawtrope:library', { error: "is not 'yawtrope:library'" }),
  version: z.literal(1, { error: 'this program reads version 1' }),
  /** When it was made, ISO 8601. */
  made: z.iso.datetime(),
  files: z
    .array(
      z.strictObject({
        path: z.string().regex(PATH, { error: 'is no path of an archive' }),
        bytes: z.int().min(0).max(MOST_FILE),
        sha256: z.string().regex(/^[0-9a-f]{64}$/, { error: 'is no SHA-256' }),
      }),
    )
    .max(MOST_FILES, { error: `at most ${MOST_FILES} files` })
    .refine((files) => new Set(files.map(({ path }) => path)).size === files.length, {
      error: 'names a file twice',
    }),
});
type Manifest = z.infer<typeof manifestSchema>;

async function sha256(bytes: Uint8Array): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>);
  return Array.from(new Uint8Array(digest), (b) => b.toString(16).padStart(2, '0')).join('');
}

/** Everything in one ZIP file, each document a JSON file of its own, with a list of checksums. */
export async function writeArchive(contents: LibraryContents, made: Date): Promise<Uint8Array> {
  const zip = new JSZip();
  const files: Manifest['files'] = [];
  for (const part of LIBRARY_PARTS) {
    for (const document of contents[part]) {
      const bytes = new TextEncoder().encode(JSON.stringify(document, null, 1));
      const path = `${part}/${document.id}.json`;
      zip.file(path, bytes, { date: made });
      files.push({ path, bytes: bytes.length, sha256: await sha256(bytes) });
    }
  }
  const manifest: Manifest = {
    $schema: 'yawtrope:library',
    version: 1,
    made: made.toISOString(),
    files,
  };
  zip.file(MANIFEST, JSON.stringify(manifest, null, 1), { date: made });
  return zip.generateAsync({ type: 'uint8array', compression: 'DEFLATE' });
}

/** Unpacks one file, and no more of it than is allowed: a small ZIP may hold very much. */
function unpacked(file: JSZip.JSZipObject, most: number): Promise<Uint8Array | null> {
  return new Promise((resolve, reject) => {
    const chunks: Uint8Array[] = [];
    let length = 0;
    // The typings leave this one out; it is part of JSZip's public documentation.
    const stream = (
      file as unknown as { internalStream(type: 'uint8array'): JSZip.JSZipStreamHelper<Uint8Array> }
    ).internalStream('uint8array');
    stream
      .on('data', (chunk) => {
        length += chunk.length;
        if (length > most) {
          stream.pause();
          resolve(null);
          return;
        }
        chunks.push(chunk);
      })
      .on('error', reject)
      .on('end', () => {
        const whole = new Uint8Array(length);
        let at = 0;
        for (const chunk of chunks) {
          whole.set(chunk, at);
          at += chunk.length;
        }
        resolve(whole);
      })
      .resume();
  });
}

/** What one part names and another does not hold; null where nothing is missing. */
function missingIn({ boats, places, manoeuvres, takes }: LibraryContents): Result<never> | null {
  const held = (all: readonly { readonly id: string }[]) => new Set(all.map(({ id }) => id));
  const [boat, place, manoeuvre] = [held(boats), held(places), held(manoeuvres)];
  const lost = (path: string, what: string) =>
    failure({ path, message: `names ${what}, which the archive does not hold` });
  for (const { id, boatId, placeId } of manoeuvres) {
    if (!boat.has(boatId)) return lost(`manoeuvres/${id}.json`, `the boat '${boatId}'`);
    if (!place.has(placeId)) return lost(`manoeuvres/${id}.json`, `the place '${placeId}'`);
  }
  for (const { id, manoeuvreId } of takes)
    if (!manoeuvre.has(manoeuvreId))
      return lost(`takes/${id}.json`, `the manoeuvre '${manoeuvreId}'`);
  return null;
}

/** An archive read: what it holds, and when it was made. */
export interface ReadArchive {
  readonly made: string;
  readonly contents: LibraryContents;
}

/** Reads a whole archive, checksums and all; or says what is wrong with it. */
export async function readArchive(bytes: Uint8Array): Promise<Result<ReadArchive>> {
  const wrong = (path: string, message: string) => failure({ path, message });
  if (bytes.length > MOST_ARCHIVE_BYTES)
    return wrong('(archive)', `is larger than ${MOST_ARCHIVE_BYTES / 1e6} MB`);
  try {
    const zip = await JSZip.loadAsync(bytes);
    const listed = zip.file(MANIFEST);
    if (!listed) return wrong('(archive)', `holds no ${MANIFEST}; it is not an archive of ours`);
    const text = await unpacked(listed, MOST_FILE);
    if (!text) return wrong(MANIFEST, 'is too long');
    const json = parseJson(new TextDecoder().decode(text), MOST_FILE, MANIFEST);
    const manifest = json.ok ? check<Manifest>(manifestSchema, json.value) : json;
    if (!manifest.ok) return manifest;
    const contents: Record<LibraryPart, unknown[]> = {
      boats: [],
      places: [],
      figures: [],
      manoeuvres: [],
      takes: [],
      records: [],
    };
    let left = MOST_UNPACKED;
    for (const { path, bytes: long, sha256: sum } of manifest.value.files) {
      const file = zip.file(path);
      if (!file) return wrong(path, 'is listed and not there');
      const whole = await unpacked(file, Math.min(long, left));
      if (whole?.length !== long) return wrong(path, 'is not as long as listed');
      left -= long;
      if ((await sha256(whole)) !== sum)
        return wrong(path, 'does not agree with its checksum: the archive is damaged');
      const value = parseJson(new TextDecoder().decode(whole), MOST_FILE, path);
      if (!value.ok) return value;
      const part = path.split('/')[0] as LibraryPart;
      const checked = check<{ id: string }>(LIBRARY_SCHEMAS[part], value.value);
      if (!checked.ok)
        return failure(...checked.problems.map((p) => ({ ...p, path: `${path}: ${p.path}` })));
      if (path !== `${part}/${checked.value.id}.json`)
        return wrong(path, `holds '${checked.value.id}'; a file is called after its id`);
      contents[part].push(checked.value);
    }
    const whole = contents as unknown as LibraryContents;
    const missing = missingIn(whole);
    return missing ?? success({ made: manifest.value.made, contents: whole });
  } catch {
    return wrong('(archive)', 'is not a ZIP file that can be read');
  }
}
