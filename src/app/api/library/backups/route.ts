import { NextResponse } from 'next/server';
import { z } from 'zod';
import { dataDirectory, listBackups } from '@/db';
import { runJob } from '@/jobs';
import { done, route } from '../../define';

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

export const POST = route<Record<string, never>, z.infer<typeof wishSchema>>(
  {
    says: 'Backs up now, or puts a backup in place of what is kept, which is backed up first.',
    body: wishSchema,
    answers: { 201: z.object({ name: z.string() }), 204: null },
  },
  async ({ body }) => {
    const directory = dataDirectory();
    if (body.do === 'copy') {
      const name = await runJob('backUp', { directory, reason: 'regular' });
      return NextResponse.json({ name }, { status: 201 });
    }
    await runJob('restoreBackup', { directory, name: body.name });
    return done();
  },
);
