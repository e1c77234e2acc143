import { NextResponse } from 'next/server';
import { dataDirectory } from '@/db';
import { beginSchema, type Begin } from '@/planner';
import { runJob } from '@/jobs';
import { refuse, route } from '../../define';
import { made } from '../../schemas';

export const POST = route<Record<string, never>, Begin>(
  {
    says: 'Begins a manoeuvre at a berth of a kept place, in a kept boat.',
    body: beginSchema,
    answers: { 201: made },
  },
  async ({ body, request }) => {
    const begun = await runJob(
      'begin',
      { directory: dataDirectory(), wish: body },
      { signal: request.signal },
    );
    return begun.ok
      ? NextResponse.json({ id: begun.value }, { status: 201 })
      : refuse(422, begun.problems);
  },
);
