import { NextResponse } from 'next/server';
import { dataDirectory } from '@/db';
import { passageSchema, type BeginPassage } from '@/planner';
import { runJob } from '@/jobs';
import { refuse, route } from '../../define';
import { made } from '../../schemas';

export const POST = route<Record<string, never>, BeginPassage>(
  {
    says: 'Begins a manoeuvre at a lock of a kept place, in a kept boat.',
    body: passageSchema,
    answers: { 201: made },
  },
  async ({ body, request }) => {
    const begun = await runJob(
      'beginPassage',
      { directory: dataDirectory(), wish: body },
      { signal: request.signal },
    );
    return begun.ok
      ? NextResponse.json({ id: begun.value }, { status: 201 })
      : refuse(422, begun.problems);
  },
);
