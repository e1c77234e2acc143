import { NextResponse } from 'next/server';
import { importManoeuvre, library } from '@/db';
import { manoeuvreFileSchema, toRunInput, type ManoeuvreFile } from '@/document';
import { refuse, route } from '../define';
import { made } from '../schemas';

export const POST = route<Record<string, never>, ManoeuvreFile>(
  { says: 'Takes in a manoeuvre file.', body: manoeuvreFileSchema, answers: { 201: made } },
  ({ body }) => {
    const runnable = toRunInput(body);
    if (!runnable.ok) return refuse(422, runnable.problems);
    return NextResponse.json({ id: importManoeuvre(library(), body, Date.now()) }, { status: 201 });
  },
);
