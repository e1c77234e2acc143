import { keptBoats, library } from '@/db';
import { missing, refuse } from '../../../respond';

/** The boat as a file to keep. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const opened = keptBoats.open(library(), id);
  if (!opened) return missing(id, 'boat');
  if (!opened.ok) return refuse(500, opened.problems);
  return new Response(JSON.stringify(opened.value.document, null, 2), {
    headers: {
      'content-type': 'application/json',
      'content-disposition': `attachment; filename="${id}.boat.json"`,
    },
  });
}
