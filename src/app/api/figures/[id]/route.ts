import { NextResponse } from 'next/server';
import { library, removeFigure } from '@/db';
import { missing } from '../../respond';

/** Takes a figure out; sent to POST again it is back. */
export async function DELETE(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return removeFigure(library(), id)
    ? new NextResponse(null, { status: 204 })
    : missing(id, 'figure');
}
