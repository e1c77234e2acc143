import { library, openTake } from '@/db';
import { takeCsv } from '@/io/take';
import { missing, refuse } from '../../../respond';

/** A driven take as a file: whole as JSON, or its samples as CSV (`?as=csv`). */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const as = new URL(request.url).searchParams.get('as') ?? 'json';
  if (as !== 'json' && as !== 'csv')
    return refuse(422, [{ path: 'as', message: "say 'json' or 'csv'" }]);
  const opened = openTake(library(), id);
  if (!opened) return missing(id, 'take');
  if (!opened.ok) return refuse(500, opened.problems);
  const { file } = opened.value;
  const name = `${file.manoeuvre.id}-${id.slice(0, 8)}`;
  const download = (type: string, ending: string) => ({
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${name}.${ending}"`,
    },
  });
  if (as === 'json')
    return new Response(
      JSON.stringify(file, null, 2),
      download('application/json', 'yawtrope-take.json'),
    );
  const csv = takeCsv(file);
  return csv.ok
    ? new Response(csv.value, download('text/csv; charset=utf-8', 'csv'))
    : refuse(422, csv.problems);
}
