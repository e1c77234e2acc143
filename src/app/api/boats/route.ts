import { NextResponse } from 'next/server';
import { keptBoats, library } from '@/db';
import { boatSchema, type Boat } from '@/document';
import { readBody, refuse } from '../respond';

export const dynamic = 'force-dynamic';

/** The boats that can be sailed, by name: id, name and kind of each. */
export function GET() {
  const kept = keptBoats.list(library()).flatMap(({ document }) => document ?? []);
  return NextResponse.json(kept.map(({ id, name, kind }) => ({ id, name, kind })));
}

/** Takes in a boat. 201 with her id, 422 with problems. */
export async function POST(request: Request) {
  const body = await readBody<Boat>(request, boatSchema);
  if (!body.ok) return refuse(422, body.problems);
  return NextResponse.json(
    { id: keptBoats.insert(library(), body.value, Date.now()) },
    { status: 201 },
  );
}
