import { NextResponse } from 'next/server';
import { z } from 'zod';
import { keepTake, library, listTakes } from '@/db';
import { idSchema, manoeuvreFileSchema, recordingSchema, toDrive } from '@/document';
import { missing, readBody, refuse } from '../respond';

const newTakeSchema = z.strictObject({
  id: idSchema,
  manoeuvreId: idSchema,
  manoeuvre: manoeuvreFileSchema,
  recording: recordingSchema,
  startedAt: z.number().int().min(0),
});

/** Takes driven of a manoeuvre, in their order: `?manoeuvre=ID`. */
export function GET(request: Request) {
  const asked = idSchema.safeParse(new URL(request.url).searchParams.get('manoeuvre'));
  if (!asked.success)
    return refuse(422, [{ path: 'manoeuvre', message: 'say of which manoeuvre, by its id' }]);
  return NextResponse.json(listTakes(library(), asked.data));
}

/** Keeps a take that has begun; sent again it is kept as sent last. 201, 404, 422 with problems. */
export async function POST(request: Request) {
  const body = await readBody(request, newTakeSchema);
  if (!body.ok) return refuse(422, body.problems);
  const playable = toDrive(body.value);
  if (!playable.ok) return refuse(422, playable.problems);
  return keepTake(library(), body.value, Date.now())
    ? new NextResponse(null, { status: 201 })
    : missing(body.value.manoeuvreId);
}
