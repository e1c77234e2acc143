import { NextResponse } from 'next/server';
import { z } from 'zod';
import { dataDirectory } from '@/db';
import { idSchema, runSummarySchema } from '@/document';
import { runJob } from '@/jobs';
import { route } from '../../define';

const askedSchema = z.strictObject({
  ids: z.array(idSchema).max(20, { error: 'at most 20 at once' }),
});

export const POST = route(
  {
    says: 'Plays runs again and notes what each came to; null for one that cannot be played.',
    body: askedSchema,
    answers: { 200: z.record(z.string(), runSummarySchema.nullable()) },
  },
  async ({ body: { ids }, request }) =>
    NextResponse.json(
      await runJob('summarise', { directory: dataDirectory(), ids }, { signal: request.signal }),
    ),
);
