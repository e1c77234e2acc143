import { NextResponse } from 'next/server';
import { z } from 'zod';
import { dataDirectory } from '@/db';
import { runJob } from '@/jobs';
import { route } from '../../../define';

const count = z.number();

export const GET = route(
  {
    says: 'What is in a backup; 422 with why where it cannot be restored.',
    answers: {
      200: z.object({
        counts: z.object({
          boats: count,
          places: count,
          manoeuvres: count,
          takes: count,
          records: count,
        }),
        changedAt: z.number().nullable(),
        state: z.enum(['current', 'older']),
      }),
    },
  },
  async ({ id, request }) =>
    NextResponse.json(
      await runJob(
        'inspectBackup',
        { directory: dataDirectory(), name: id },
        { signal: request.signal },
      ),
    ),
);
