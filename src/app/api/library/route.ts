import { NextResponse } from 'next/server';
import { z } from 'zod';
import { dataDirectory } from '@/db';
import { runJob } from '@/jobs';
import { MOST_BYTES, sentAs } from '../body';
import { refuse, route } from '../define';
import { handOver, passingFile, received } from '../passing';

export const dynamic = 'force-dynamic';

const ZIP = 'application/zip';

const howSchema = z.strictObject({
  how: z.enum(['preview', 'merge', 'replace'], { error: "say 'preview', 'merge' or 'replace'" }),
});
const part = z.object({
  fresh: z.number(),
  same: z.number(),
  different: z.number(),
  unreadable: z.number(),
});
const takenSchema = z.object({
  made: z.string(),
  standing: z.record(z.string(), part),
  /** The backup made before anything came in. */
  copy: z.string().optional(),
});

export const GET = route(
  { says: 'Everything kept, as one archive.', answers: { 200: ZIP } },
  async ({ request }) => {
    const directory = dataDirectory();
    const file = passingFile(directory);
    await runJob('writeArchive', { directory, file }, { signal: request.signal });
    const day = new Date().toISOString().slice(0, 10);
    return handOver(file, ZIP, `yawtrope-${day}.zip`);
  },
);

export const POST = route(
  {
    says: 'Looks an archive over, takes it in beside what is kept, or in its place.',
    query: howSchema,
    sends: ZIP,
    answers: { 200: takenSchema },
  },
  async ({ request, query: { how } }) => {
    const type = sentAs(request, ZIP);
    if (!type.ok) return refuse(422, type.problems);
    const directory = dataDirectory();
    return received(request, directory, MOST_BYTES.archive, async (file) => {
      const looked = { directory, file, how: 'look' as const };
      const { signal } = request;
      if (how === 'preview') {
        const seen = await runJob('takeArchive', looked, { signal });
        return seen.ok ? NextResponse.json(seen.value) : refuse(422, seen.problems);
      }
      const copy = await runJob('backUp', { directory, reason: 'before import' }, { signal });
      // From here on nobody stops it: it comes in whole, or says what is wrong with it.
      const taken = await runJob('takeArchive', { directory, file, how });
      return taken.ok ? NextResponse.json({ ...taken.value, copy }) : refuse(422, taken.problems);
    });
  },
);
