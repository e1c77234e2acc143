import { NextResponse } from 'next/server';
import { z } from 'zod';
import { library, openTake, saveNotes, saveRecording, setTakeAside } from '@/db';
import { recordingSchema, takeNotesSchema, toRecording } from '@/document';
import { missing, readBody, refuse } from '../../respond';

interface Context {
  params: Promise<{ id: string }>;
}

const saveSchema = z.union([
  z.strictObject({ recording: recordingSchema }),
  z.strictObject({ notes: takeNotesSchema }),
]);

export async function GET(_request: Request, { params }: Context) {
  const { id } = await params;
  const opened = openTake(library(), id);
  if (!opened) return missing(id, 'take');
  return opened.ok ? NextResponse.json(opened.value) : refuse(500, opened.problems);
}

/** Saves what has been driven by now, or what has been noted of it. */
export async function PUT(request: Request, { params }: Context) {
  const { id } = await params;
  const body = await readBody(request, saveSchema);
  if (!body.ok) return refuse(422, body.problems);
  const db = library();
  if ('notes' in body.value)
    return saveNotes(db, id, body.value.notes, Date.now()) ? done() : missing(id, 'take');
  const opened = openTake(db, id);
  if (!opened) return missing(id, 'take');
  if (!opened.ok) return refuse(500, opened.problems);
  const { recording } = body.value;
  const playable = toRecording(opened.value.file.manoeuvre, recording);
  if (!playable.ok) return refuse(422, playable.problems);
  return saveRecording(db, id, recording, Date.now()) ? done() : missing(id, 'take');
}

/** Puts it aside; PATCH brings it back. */
export async function DELETE(_request: Request, { params }: Context) {
  const { id } = await params;
  return setTakeAside(library(), id, Date.now()) ? done() : missing(id, 'take');
}

export async function PATCH(request: Request, { params }: Context) {
  const { id } = await params;
  const body = await readBody(request, z.strictObject({ aside: z.literal(false) }));
  if (!body.ok) return refuse(422, body.problems);
  return setTakeAside(library(), id, null) ? done() : missing(id, 'take');
}

const done = () => new NextResponse(null, { status: 204 });
