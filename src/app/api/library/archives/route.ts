import { stat } from 'node:fs/promises';
import { NextResponse } from 'next/server';
import { z } from 'zod';
import { dataDirectory } from '@/db';
import { runJob, watched } from '@/jobs';
import { passingFile, passingName } from '../../passing';
import { route } from '../../define';
import { watchSchema } from '../../schemas';

export const dynamic = 'force-dynamic';

export const POST = route(
  {
    says: 'Writes everything kept into an archive, to be fetched by its name within the hour.',
    query: watchSchema,
    answers: { 201: z.object({ name: z.string(), bytes: z.number() }) },
  },
  ({ request, query: { watch } }) =>
    watched(watch, request.signal, async ({ signal, doing }) => {
      const directory = dataDirectory();
      const file = passingFile(directory);
      await runJob('writeArchive', { directory, file }, { signal, tell: doing('writing') });
      const { size: bytes } = await stat(file);
      return NextResponse.json({ name: passingName(file), bytes }, { status: 201 });
    }),
);
