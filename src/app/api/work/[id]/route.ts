import { NextResponse } from 'next/server';
import { z } from 'zod';
import { progressSchema } from '@/document';
import { progressOf, stopWork } from '@/jobs';
import { done, missing, route } from '../../define';

export const dynamic = 'force-dynamic';

const answerSchema = z.object({
  /** Null before it begins, and when it is over. */
  progress: progressSchema.nullable(),
});

export const GET = route(
  {
    says: 'How far work has come that was asked for with this id as its `watch`.',
    answers: { 200: answerSchema },
  },
  ({ id }) => NextResponse.json({ progress: progressOf(id) }),
);

export const DELETE = route(
  { says: 'Stops such work: nothing of it stays.', answers: { 204: null } },
  ({ id }) => (stopWork(id) ? done() : missing(id, 'work')),
);
