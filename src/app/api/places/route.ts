import { NextResponse } from 'next/server';
import { z } from 'zod';
import { keptPlaces, library } from '@/db';
import { placeSchema, type Place } from '@/document';
import { route } from '../define';
import { made } from '../schemas';

export const dynamic = 'force-dynamic';

export const GET = route(
  {
    says: 'The places kept, by name.',
    answers: { 200: z.array(z.object({ id: z.string(), name: z.string() })) },
  },
  () => {
    const kept = keptPlaces.list(library()).flatMap(({ document }) => document ?? []);
    return NextResponse.json(kept.map(({ id, name }) => ({ id, name })));
  },
);

export const POST = route<Record<string, never>, Place>(
  {
    says: 'Takes in a place, under its id or a free one.',
    body: placeSchema,
    answers: { 201: made },
  },
  ({ body }) =>
    NextResponse.json({ id: keptPlaces.insert(library(), body, Date.now()) }, { status: 201 }),
);
