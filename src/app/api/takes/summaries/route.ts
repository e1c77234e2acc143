import { NextResponse } from 'next/server';
import { z } from 'zod';
import { dataDirectory } from '@/db';
import { idSchema, takeSummarySchema } from '@/document';
import { runJob } from '@/jobs';
import { route } from '../../define';

const askedSchema = z.strictObject({
  ids: z.array(idSchema).max(20, { error: 'at most 20 at once' }),
});

export const POST = route(
  {
    says: 'Plays takes again and notes what each came to; null for one that cannot be played.',
    body: askedSchema,
    answers: { 200: z.record(z.string(), takeSummarySchema.nullable()) },
  },
  async ({ body: { ids }, request }) =>
    NextResponse.json(
      await runJob('summarise', { directory: dataDirectory(), ids }, { signal: request.signal }),
    ),
);
