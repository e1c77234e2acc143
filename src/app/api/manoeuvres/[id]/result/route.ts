import { NextResponse } from 'next/server';
import { z } from 'zod';
import { keepLastResult, lastResultKept, library } from '@/db';
import { lastResultSchema } from '@/document';
import { done, missing, refuse, route } from '../../../define';

const keepSchema = z.strictObject({
  /** The revision it was worked out from. */
  revision: z.number().int().min(1),
  result: lastResultSchema,
});
const keptSchema = z.object({ result: lastResultSchema, older: z.boolean() });

export const GET = route(
  {
    says: 'What a manoeuvre came to when it was last worked out, and whether it, its boat or its place was changed since.',
    answers: { 200: keptSchema },
  },
  ({ id }) => {
    const kept = lastResultKept(library(), id);
    return kept ? NextResponse.json(kept) : missing(id, 'result of the manoeuvre');
  },
);

export const PUT = route<Record<string, never>, z.infer<typeof keepSchema>>(
  {
    says: 'Keeps what a manoeuvre came to; 409 if it has another revision by now.',
    body: keepSchema,
    answers: { 204: null },
  },
  ({ id, body: { revision, result } }) => {
    const kept = keepLastResult(library(), id, revision, result, Date.now());
    if (kept === 'missing') return missing(id);
    if (kept === 'overtaken')
      return refuse(409, [
        { path: 'revision', message: 'is not the newest; work it out again from what is there' },
      ]);
    return done();
  },
);
