import { NextResponse } from 'next/server';
import { z } from 'zod';
import { library, openRun, saveNotes, saveRecording, setRunAside } from '@/db';
import { libraryRunSchema, recordingSchema, runNotesSchema, toRecording } from '@/document';
import { done, missing, refuse, route } from '../../define';
import { bringBack } from '../../schemas';

const saveSchema = z.union([
  z.strictObject({ recording: recordingSchema }),
  z.strictObject({ notes: runNotesSchema }),
]);

export const GET = route(
  { says: 'A run, whole.', answers: { 200: libraryRunSchema } },
  ({ id }) => {
    const opened = openRun(library(), id);
    if (!opened) return missing(id, 'run');
    return opened.ok ? NextResponse.json(opened.value) : refuse(500, opened.problems);
  },
);

export const PUT = route<Record<string, never>, z.infer<typeof saveSchema>>(
  {
    says: 'Saves what has been driven by now, or what has been noted of it.',
    body: saveSchema,
    answers: { 204: null },
  },
  ({ id, body }) => {
    const db = library();
    if ('notes' in body)
      return saveNotes(db, id, body.notes, Date.now()) ? done() : missing(id, 'run');
    const opened = openRun(db, id);
    if (!opened) return missing(id, 'run');
    if (!opened.ok) return refuse(500, opened.problems);
    const { recording } = body;
    const playable = toRecording(opened.value.file.manoeuvre, recording);
    if (!playable.ok) return refuse(422, playable.problems);
    return saveRecording(db, id, recording, Date.now()) ? done() : missing(id, 'run');
  },
);

export const DELETE = route(
  { says: 'Removes a run; PATCH brings it back.', answers: { 204: null } },
  ({ id }) => (setRunAside(library(), id, Date.now()) ? done() : missing(id, 'run')),
);

export const PATCH = route(
  { says: 'Brings a removed run back.', body: bringBack, answers: { 204: null } },
  ({ id }) => (setRunAside(library(), id, null) ? done() : missing(id, 'run')),
);
