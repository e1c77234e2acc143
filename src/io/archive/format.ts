import { z } from 'zod';
import { LIBRARY_PARTS, type LibraryPart } from '@/document';

/** What an archive may hold; the writer keeps to it as the reader does. */
export const LIMITS = {
  archiveBytes: 2_000_000_000,
  unpackedBytes: 16_000_000_000,
  fileBytes: 20_000_000,
  manifestBytes: 60_000_000,
  files: 200_000,
} as const;

export const MANIFEST = 'manifest.json';
const PATH =
  /^(unreadable\/)?(boats|places|techniques|figures|manoeuvres|runs|takes|records)\/[a-z0-9-]{1,80}\.json$/;

const fileSchema = z.strictObject({
  path: z.string().regex(PATH, { error: 'is no path of an archive' }),
  bytes: z.int().min(0).max(LIMITS.fileBytes),
  sha256: z.string().regex(/^[0-9a-f]{64}$/, { error: 'is no SHA-256' }),
  /** Set for what was removed and can be brought back, ms since 1970. */
  removedAt: z.int().min(0).max(8.64e15).optional(),
  /** For what cannot be read: the manoeuvre it belongs to, or the title, boat and place it is kept under. */
  kept: z.record(z.string(), z.union([z.string().max(200), z.number()])).optional(),
});

export const manifestSchema = z.strictObject({
  $schema: z.literal('yawtrope:library', { error: "is not 'yawtrope:library'" }),
  version: z.union([z.literal(1), z.literal(2), z.literal(3)], {
    error: 'this program reads versions 1 to 3',
  }),
  /** When it was made, ISO 8601. */
  made: z.iso.datetime(),
  files: z
    .array(fileSchema)
    .max(LIMITS.files, { error: `at most ${LIMITS.files} files` })
    .refine((files) => new Set(files.map(({ path }) => path)).size === files.length, {
      error: 'names a file twice',
    }),
});
export type Manifest = z.infer<typeof manifestSchema>;
export type ListedFile = Manifest['files'][number];

export const pathOf = (part: LibraryPart, id: string, unreadable: boolean) =>
  `${unreadable ? 'unreadable/' : ''}${part}/${id}.json`;

/** What parts were called before version 3. */
const BEFORE_3: Readonly<Record<string, LibraryPart>> = { takes: 'runs', figures: 'techniques' };

/** What a path of an archive says of the file under it. */
export function readPath(path: string): { part: LibraryPart; id: string; unreadable: boolean } {
  const [id, part, raw] = path
    .replace(/\.json$/, '')
    .split('/')
    .toReversed();
  return { part: (BEFORE_3[part!] ?? part) as LibraryPart, id: id!, unreadable: raw !== undefined };
}

/** In the order in which one needs the other. */
export const inOrder = (files: readonly ListedFile[]) =>
  files.toSorted(
    (a, b) =>
      LIBRARY_PARTS.indexOf(readPath(a.path).part) - LIBRARY_PARTS.indexOf(readPath(b.path).part),
  );
