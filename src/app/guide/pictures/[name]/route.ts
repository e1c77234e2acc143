import { readFile } from 'node:fs/promises';
import { join } from 'node:path';

/** A picture of the guide; names that could lead elsewhere are of none. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ name: string }> },
): Promise<Response> {
  const { name } = await params;
  if (!/^[a-z-]{1,40}$/.test(name)) return new Response(null, { status: 404 });
  try {
    const file = await readFile(join(process.cwd(), 'docs', 'screenshots', `${name}.png`));
    return new Response(new Uint8Array(file), { headers: { 'content-type': 'image/png' } });
  } catch {
    return new Response(null, { status: 404 });
  }
}
