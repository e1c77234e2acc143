import { NextResponse } from 'next/server';
import { importManoeuvre, library } from '@/db';
import { manoeuvreFileSchema, toRunInput } from '@/document';
import { readBody, refuse } from '../respond';

/** Takes in a manoeuvre file. 201 with its id, 422 with problems. */
export async function POST(request: Request) {
  const body = await readBody(request, manoeuvreFileSchema);
  if (!body.ok) return refuse(422, body.problems);
  const runnable = toRunInput(body.value);
  if (!runnable.ok) return refuse(422, runnable.problems);
  return NextResponse.json(
    { id: importManoeuvre(library(), body.value, Date.now()) },
    { status: 201 },
  );
}
