import { NextResponse } from 'next/server';
import { z } from 'zod';
import { backUp, library, listBackups, restoreBackup } from '@/db';
import { readBody, refuse } from '../../respond';

export const dynamic = 'force-dynamic';

const wishSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('copy') }),
  z.strictObject({ do: z.literal('restore'), name: z.string().max(80) }),
]);

/** Copies of the database on the server, the newest first. */
export function GET() {
  return NextResponse.json(listBackups());
}

/** Makes a copy now, or puts one in place of what is kept (which is copied first). */
export async function POST(request: Request) {
  const wish = await readBody(request, wishSchema);
  if (!wish.ok) return refuse(422, wish.problems);
  const now = Date.now();
  if (wish.value.do === 'copy')
    return NextResponse.json({ name: backUp(library(), now) }, { status: 201 });
  if (!restoreBackup(library(), wish.value.name, now))
    return refuse(404, [{ path: 'name', message: `there is no copy '${wish.value.name}'` }]);
  return new NextResponse(null, { status: 204 });
}
