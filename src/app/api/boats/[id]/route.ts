import { NextResponse } from 'next/server';
import { z } from 'zod';
import { library, openBoat, saveBoat, setBoatAside } from '@/db';
import { boatSchema } from '@/document';
import { missing, readBody, refuse } from '../../respond';

interface Context {
  params: Promise<{ id: string }>;
}

const saveSchema = z.strictObject({ revision: z.number().int().min(1), boat: boatSchema });

export async function GET(_request: Request, { params }: Context) {
  const { id } = await params;
  const opened = openBoat(library(), id);
  if (!opened) return missing(id, 'boat');
  return opened.ok ? NextResponse.json(opened.value) : refuse(500, opened.problems);
}

/** Saves over the revision named. 409 if somebody else saved first. */
export async function PUT(request: Request, { params }: Context) {
  const { id } = await params;
  const body = await readBody(request, saveSchema);
  if (!body.ok) return refuse(422, body.problems);
  const { boat, revision } = body.value;
  if (boat.id !== id)
    return refuse(422, [{ path: 'boat.id', message: `must be '${id}', as in the address` }]);
  const saved = saveBoat(library(), boat, revision, Date.now());
  if (saved.is === 'missing') return missing(id, 'boat');
  if (saved.is === 'conflict')
    return refuse(409, [
      {
        path: 'revision',
        message: 'she was changed in another window meanwhile; nothing was overwritten',
      },
    ]);
  return NextResponse.json({ revision: saved.revision, updatedAt: saved.updatedAt });
}

/** Puts her aside; PATCH brings her back. */
export async function DELETE(_request: Request, { params }: Context) {
  const { id } = await params;
  return setBoatAside(library(), id, Date.now())
    ? new NextResponse(null, { status: 204 })
    : missing(id, 'boat');
}

export async function PATCH(request: Request, { params }: Context) {
  const { id } = await params;
  const body = await readBody(request, z.strictObject({ aside: z.literal(false) }));
  if (!body.ok) return refuse(422, body.problems);
  return setBoatAside(library(), id, null)
    ? new NextResponse(null, { status: 204 })
    : missing(id, 'boat');
}
