import { NextResponse } from 'next/server';
import { z } from 'zod';
import { library, openManoeuvre, saveManoeuvre, setAside } from '@/db';
import { boatSchema, manoeuvreSchema, placeSchema } from '@/document';
import { done, missing, refuse, route } from '../../define';
import { bringBack, savedAnswer } from '../../schemas';

const saveSchema = z.strictObject({
  revision: z.number().int().min(1),
  manoeuvre: manoeuvreSchema,
});
const openedSchema = z.object({
  manoeuvre: manoeuvreSchema,
  boat: boatSchema,
  place: placeSchema,
  revision: z.number(),
  updatedAt: z.number(),
});

export const GET = route(
  {
    says: 'A manoeuvre with its boat, its place and its revision.',
    answers: { 200: openedSchema },
  },
  ({ id }) => {
    const opened = openManoeuvre(library(), id);
    if (!opened) return missing(id);
    return opened.ok ? NextResponse.json(opened.value) : refuse(500, opened.problems);
  },
);

export const PUT = route<Record<string, never>, z.infer<typeof saveSchema>>(
  {
    says: 'Saves over the revision named; 409 with what is there now if somebody else saved first.',
    body: saveSchema,
    answers: { 200: savedAnswer, 409: openedSchema },
  },
  ({ id, body: { manoeuvre, revision } }) => {
    if (manoeuvre.id !== id)
      return refuse(422, [{ path: 'manoeuvre.id', message: `must be '${id}', as in the address` }]);
    const saved = saveManoeuvre(library(), manoeuvre, revision, Date.now());
    if (saved.is === 'missing') return missing(id);
    if (saved.is === 'unknown') {
      const message = `names '${saved.id}', which is not kept here; choose one that is`;
      return refuse(422, [{ path: `manoeuvre.${saved.path}`, message }]);
    }
    if (saved.is === 'conflict') return NextResponse.json(saved.current, { status: 409 });
    return NextResponse.json({ revision: saved.revision, updatedAt: saved.updatedAt });
  },
);

export const DELETE = route(
  { says: 'Removes a manoeuvre; PATCH brings it back.', answers: { 204: null } },
  ({ id }) => (setAside(library(), id, Date.now()) ? done() : missing(id)),
);

export const PATCH = route(
  { says: 'Brings a removed manoeuvre back.', body: bringBack, answers: { 204: null } },
  ({ id }) => (setAside(library(), id, null) ? done() : missing(id)),
);
