import { NextResponse } from 'next/server';
import { insertFigure, library, listFigures } from '@/db';
import { ownFigureSchema, type OwnFigure } from '@/document';
import { readBody, refuse } from '../respond';

export const dynamic = 'force-dynamic';

/** The user's own figures, newest first. */
export function GET() {
  return NextResponse.json(listFigures(library()));
}

/** Keeps a figure. 201 with its id, 422 with problems. */
export async function POST(request: Request) {
  const body = await readBody<OwnFigure>(request, ownFigureSchema);
  if (!body.ok) return refuse(422, body.problems);
  return NextResponse.json(
    { id: insertFigure(library(), body.value, Date.now()) },
    { status: 201 },
  );
}
