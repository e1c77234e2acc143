import { NextResponse } from 'next/server';
import { z } from 'zod';
import { CURSOR, keepRun, library, listRuns } from '@/db';
import {
  idSchema,
  manoeuvreFileSchema,
  recordingSchema,
  runSummarySchema,
  toDrive,
} from '@/document';
import { missing, refuse, route } from '../define';
import { ofManoeuvre } from '../schemas';

const listSchema = ofManoeuvre.extend({
  before: z
    .string()
    .regex(CURSOR, { error: "give 'before' of the page that comes after" })
    .nullable()
    .default(null),
});

const newRunSchema = z.strictObject({
  id: idSchema,
  manoeuvreId: idSchema,
  manoeuvre: manoeuvreFileSchema,
  recording: recordingSchema,
  startedAt: z.number().int().min(0),
});

export const GET = route(
  {
    says: 'A page of the runs driven of a manoeuvre, in their order: the newest, or those before a page.',
    query: listSchema,
    answers: {
      200: z.object({
        runs: z.array(
          z.object({
            id: z.string(),
            startedAt: z.number(),
            summary: runSummarySchema.nullable(),
          }),
        ),
        before: z.string().nullable(),
        earlier: z.number(),
      }),
    },
  },
  ({ query: { manoeuvre, before } }) => NextResponse.json(listRuns(library(), manoeuvre, before)),
);

export const POST = route<Record<string, never>, z.infer<typeof newRunSchema>>(
  {
    says: 'Keeps a run that has begun; sent again it is kept as sent last.',
    body: newRunSchema,
    answers: { 201: null },
  },
  ({ body }) => {
    const playable = toDrive(body);
    if (!playable.ok) return refuse(422, playable.problems);
    return keepRun(library(), body, Date.now())
      ? new NextResponse(null, { status: 201 })
      : missing(body.manoeuvreId);
  },
);
