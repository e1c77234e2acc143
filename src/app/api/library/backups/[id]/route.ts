import { NextResponse } from 'next/server';
import { dataDirectory } from '@/db';
import { backupContentsSchema } from '@/document';
import { runJob } from '@/jobs';
import { route } from '../../../define';

export const GET = route(
  {
    says: 'What is in a backup; 422 with why where it cannot be restored.',
    answers: { 200: backupContentsSchema },
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
