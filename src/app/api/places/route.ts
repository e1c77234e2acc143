import { NextResponse } from 'next/server';
import { keptPlaces, library } from '@/db';
import { placeSchema, type Place } from '@/document';
import { readBody, refuse } from '../respond';

export const dynamic = 'force-dynamic';

/** The places kept, by name: id and name of each. */
export function GET() {
  const kept = keptPlaces.list(library()).flatMap(({ document }) => document ?? []);
  return NextResponse.json(kept.map(({ id, name }) => ({ id, name })));
}

/** Takes in a place. 201 with its id, 422 with problems. */
export async function POST(request: Request) {
  const body = await readBody<Place>(request, placeSchema);
  if (!body.ok) return refuse(422, body.problems);
  const id = keptPlaces.insert(library(), body.value, Date.now());
  return NextResponse.json({ id }, { status: 201 });
}
