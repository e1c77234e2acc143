import { NextResponse } from 'next/server';
import { beginPassageIn, library } from '@/db';
import { passageSchema } from '@/document';
import { readBody, refuse } from '../../respond';

/** Begins a passage through a lock of a kept place in a kept boat. 201 with its id, 422 with problems. */
export async function POST(request: Request) {
  const body = await readBody(request, passageSchema);
  if (!body.ok) return refuse(422, body.problems);
  const begun = beginPassageIn(library(), body.value, Date.now());
  if (!begun.ok) return refuse(422, begun.problems);
  return NextResponse.json({ id: begun.value }, { status: 201 });
}
