import { NextResponse } from 'next/server';
import { z } from 'zod';
import { insertTechnique, library, listTechniques } from '@/db';
import { ownTechniqueSchema, type OwnTechnique } from '@/document';
import { route } from '../define';
import { made } from '../schemas';

export const dynamic = 'force-dynamic';

export const GET = route(
  {
    says: "The user's own techniques, newest first.",
    answers: { 200: z.array(ownTechniqueSchema) },
  },
  () => NextResponse.json(listTechniques(library())),
);

export const POST = route<Record<string, never>, OwnTechnique>(
  { says: 'Keeps a technique.', body: ownTechniqueSchema, answers: { 201: made } },
  ({ body }) =>
    NextResponse.json({ id: insertTechnique(library(), body, Date.now()) }, { status: 201 }),
);
