import { NextResponse } from 'next/server';
import { copyManoeuvre, library } from '@/db';
import { missing } from '../../../respond';

export async function POST(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const copy = copyManoeuvre(library(), id, Date.now());
  return copy ? NextResponse.json({ id: copy }, { status: 201 }) : missing(id);
}
