import { library, openManoeuvre } from '@/db';
import { toFile } from '@/document';
import { missing, refuse } from '../../../respond';

/** The manoeuvre as a file that stands alone, boat and place with it. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const opened = openManoeuvre(library(), id);
  if (!opened) return missing(id);
  if (!opened.ok) return refuse(500, opened.problems);
  const { manoeuvre, boat, place } = opened.value;
  return new Response(JSON.stringify(toFile(manoeuvre, boat, place), null, 2), {
    headers: {
      'content-type': 'application/json',
      'content-disposition': `attachment; filename="${id}.yawtrope.json"`,
    },
  });
}
