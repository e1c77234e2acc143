import { NextResponse } from 'next/server';
import { z } from 'zod';
import { dataDirectory, listBackups } from '@/db';
import { runJob, watched } from '@/jobs';
import { done, route } from '../../define';
import { watchSchema } from '../../schemas';

export const dynamic = 'force-dynamic';

const wishSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('copy') }),
  z.strictObject({ do: z.literal('restore'), name: z.string().max(80) }),
]);

export const GET = route(
  {
    says: 'Backups of the library on the server, the newest first.',
    answers: {
      200: z.array(
        z.object({ name: z.string(), at: z.number(), bytes: z.number(), before: z.boolean() }),
      ),
    },
  },
  () => NextResponse.json(listBackups(dataDirectory())),
);

export const POST = route<z.infer<typeof watchSchema>, z.infer<typeof wishSchema>>(
  {
    says: 'Backs up now, or puts a backup in place of what is kept, which is backed up first.',
    query: watchSchema,
    body: wishSchema,
    answers: { 201: z.object({ name: z.string() }), 204: null },
  },
  ({ request, query: { watch }, body }) =>
    watched(watch, request.signal, async ({ signal, doing }) => {
      const directory = dataDirectory();
      doing('backing up');
      if (body.do === 'copy') {
        const name = await runJob('backUp', { directory, reason: 'regular' }, { signal });
        return NextResponse.json({ name }, { status: 201 });
      }
      await runJob('restoreBackup', { directory, name: body.name });
      return done();
    }),
);
