import { NextResponse } from 'next/server';
import { z } from 'zod';
import { dataDirectory } from '@/db';
import { oneOf, archiveStandingSchema } from '@/document';
import { runJob, watched } from '@/jobs';
import { MOST_BYTES, sentAs } from '../body';
import { refuse, route } from '../define';
import { ARCHIVE_TYPE, handOver, passingFile, received } from '../passing';
import { watchSchema } from '../schemas';

export const dynamic = 'force-dynamic';

const howSchema = watchSchema.extend({
  how: oneOf(['preview', 'merge', 'replace']),
});
const takenSchema = z.object({
  made: z.string(),
  standing: archiveStandingSchema,
  /** The backup made before anything came in. */
  copy: z.string().optional(),
});

export const GET = route(
  {
    says: 'Everything kept, as one archive, for programs; a page watches it being written: POST /api/library/archives.',
    answers: { 200: ARCHIVE_TYPE },
  },
  async ({ request: { signal } }) => {
    const directory = dataDirectory();
    const file = passingFile(directory);
    await runJob('writeArchive', { directory, file }, { signal });
    return handOver(file, { once: true });
  },
);

export const POST = route(
  {
    says: 'Looks an archive over, takes it in beside what is kept, or in its place.',
    query: howSchema,
    sends: ARCHIVE_TYPE,
    answers: { 200: takenSchema },
  },
  ({ request, query: { how, watch } }) =>
    watched(watch, request.signal, async ({ signal, doing }) => {
      const type = sentAs(request, ARCHIVE_TYPE);
      if (!type.ok) return refuse(422, type.problems);
      const directory = dataDirectory();
      const coming = { most: MOST_BYTES.archive, signal, tell: doing('receiving') };
      return received(request, directory, coming, async (file) => {
        const given = { directory, file };
        if (how === 'preview') {
          const looking = { signal, tell: doing('checking') };
          const seen = await runJob('takeArchive', { ...given, how: 'look' }, looking);
          return seen.ok ? NextResponse.json(seen.value) : refuse(422, seen.problems);
        }
        doing('backing up');
        const copy = await runJob('backUp', { directory, reason: 'before import' });
        const taking = { signal, tell: doing('taking in') };
        const taken = await runJob('takeArchive', { ...given, how }, taking);
        return taken.ok ? NextResponse.json({ ...taken.value, copy }) : refuse(422, taken.problems);
      });
    }),
);
