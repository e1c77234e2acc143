import { NextResponse } from 'next/server';
import { z } from 'zod';
import { keptBoats, library } from '@/db';
import { boatSchema, type Boat } from '@/document';
import { route } from '../define';
import { made } from '../schemas';

export const dynamic = 'force-dynamic';

export const GET = route(
  {
    says: 'The boats that can be sailed, by name.',
    answers: { 200: z.array(z.object({ id: z.string(), name: z.string(), kind: z.string() })) },
  },
  () => {
    const kept = keptBoats.list(library()).flatMap(({ document }) => document ?? []);
    return NextResponse.json(kept.map(({ id, name, kind }) => ({ id, name, kind })));
  },
);

export const POST = route<Record<string, never>, Boat>(
  {
    says: 'Takes in a boat, under its id or a free one.',
    body: boatSchema,
    answers: { 201: made },
  },
  ({ body }) =>
    NextResponse.json({ id: keptBoats.insert(library(), body, Date.now()) }, { status: 201 }),
);
