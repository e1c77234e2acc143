import { NextResponse } from 'next/server';
import { backUp, contentsOf, library, mergeArchive, replaceAll, standingOf } from '@/db';
import { MOST_ARCHIVE_BYTES, readArchive, writeArchive } from '@/io/archive';
import { refuse } from '../respond';

export const dynamic = 'force-dynamic';

const HOW = ['preview', 'merge', 'replace'] as const;

/** Everything kept, as one archive. */
export async function GET() {
  const now = new Date();
  const bytes = await writeArchive(contentsOf(library()), now);
  return new Response(bytes as Uint8Array<ArrayBuffer>, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="yawtrope-${now.toISOString().slice(0, 10)}.zip"`,
    },
  });
}

/** Looks an archive over (`?how=preview`), takes it in beside what is kept (`merge`), or in its place (`replace`). */
export async function POST(request: Request) {
  const how = new URL(request.url).searchParams.get('how');
  if (!HOW.some((known) => known === how))
    return refuse(422, [{ path: 'how', message: "say 'preview', 'merge' or 'replace'" }]);
  // Other sites' forms cannot send this type.
  if (request.headers.get('content-type') !== 'application/zip')
    return refuse(422, [{ path: '(request)', message: 'send it as application/zip' }]);
  if (Number(request.headers.get('content-length')) > MOST_ARCHIVE_BYTES)
    return refuse(422, [
      { path: '(archive)', message: `is larger than ${MOST_ARCHIVE_BYTES / 1e6} MB` },
    ]);
  const read = await readArchive(new Uint8Array(await request.arrayBuffer()));
  if (!read.ok) return refuse(422, read.problems);
  const { contents, made } = read.value;
  const db = library();
  const now = Date.now();
  if (how === 'preview') return NextResponse.json({ made, standing: standingOf(db, contents) });
  const copy = backUp(db, now, true);
  if (how === 'merge') {
    const standing = mergeArchive(db, contents, now, () => crypto.randomUUID());
    return NextResponse.json({ made, standing, copy });
  }
  const standing = standingOf(db, contents);
  replaceAll(db, contents, now);
  return NextResponse.json({ made, standing, copy });
}
