import { NextResponse } from 'next/server';
import { z } from 'zod';
import { library, openRecord, setRecordAside } from '@/db';
import { missing, readBody, refuse } from '../../respond';

interface Context {
  params: Promise<{ id: string }>;
}

const done = () => new NextResponse(null, { status: 204 });

export async function GET(_request: Request, { params }: Context) {
  const { id } = await params;
  const opened = openRecord(library(), id);
  if (!opened) return missing(id, 'record');
  return opened.ok ? NextResponse.json(opened.value) : refuse(500, opened.problems);
}

/** Puts it aside; PATCH brings it back. */
export async function DELETE(_request: Request, { params }: Context) {
  const { id } = await params;
  return setRecordAside(library(), id, Date.now()) ? done() : missing(id, 'record');
}

export async function PATCH(request: Request, { params }: Context) {
  const { id } = await params;
  const body = await readBody(request, z.strictObject({ aside: z.literal(false) }));
  if (!body.ok) return refuse(422, body.problems);
  return setRecordAside(library(), id, null) ? done() : missing(id, 'record');
}
