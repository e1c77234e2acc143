import { NextResponse } from 'next/server';
import { z } from 'zod';
import { library, openManoeuvre, saveManoeuvre, setAside } from '@/db';
import { manoeuvreSchema } from '@/document';
import { missing, readBody, refuse } from '../../respond';

interface Context {
  params: Promise<{ id: string }>;
}

const saveSchema = z.strictObject({
  revision: z.number().int().min(1),
  manoeuvre: manoeuvreSchema,
});

export async function GET(_request: Request, { params }: Context) {
  const { id } = await params;
  const opened = openManoeuvre(library(), id);
  if (!opened) return missing(id);
  return opened.ok ? NextResponse.json(opened.value) : refuse(500, opened.problems);
}

/** Saves over the revision named. 409 with what is there now if somebody else saved first. */
export async function PUT(request: Request, { params }: Context) {
  const { id } = await params;
  const body = await readBody(request, saveSchema);
  if (!body.ok) return refuse(422, body.problems);
  const { manoeuvre, revision } = body.value;
  if (manoeuvre.id !== id) {
    return refuse(422, [{ path: 'manoeuvre.id', message: `must be '${id}', as in the address` }]);
  }
  const saved = saveManoeuvre(library(), manoeuvre, revision, Date.now());
  if (saved.is === 'missing') return missing(id);
  if (saved.is === 'unknown') {
    const message = `names '${saved.id}', which is not kept here; choose one that is`;
    return refuse(422, [{ path: `manoeuvre.${saved.path}`, message }]);
  }
  if (saved.is === 'conflict') return NextResponse.json(saved.current, { status: 409 });
  return NextResponse.json({ revision: saved.revision, updatedAt: saved.updatedAt });
}

/** Puts it aside; PATCH brings it back. */
export async function DELETE(_request: Request, { params }: Context) {
  const { id } = await params;
  return setAside(library(), id, Date.now())
    ? new NextResponse(null, { status: 204 })
    : missing(id);
}

export async function PATCH(request: Request, { params }: Context) {
  const { id } = await params;
  const body = await readBody(request, z.strictObject({ aside: z.literal(false) }));
  if (!body.ok) return refuse(422, body.problems);
  return setAside(library(), id, null) ? new NextResponse(null, { status: 204 }) : missing(id);
}
