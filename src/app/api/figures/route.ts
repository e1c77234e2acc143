import { NextResponse } from 'next/server';
import { z } from 'zod';
import { insertFigure, library, listFigures } from '@/db';
import { ownFigureSchema, type OwnFigure } from '@/document';
import { route } from '../define';
import { made } from '../schemas';

export const dynamic = 'force-dynamic';

export const GET = route(
  { says: "The user's own figures, newest first.", answers: { 200: z.array(ownFigureSchema) } },
  () => NextResponse.json(listFigures(library())),
);

export const POST = route<Record<string, never>, OwnFigure>(
  { says: 'Keeps a figure.', body: ownFigureSchema, answers: { 201: made } },
  ({ body }) =>
    NextResponse.json({ id: insertFigure(library(), body, Date.now()) }, { status: 201 }),
);
