import { library, openTake } from '@/db';
import { takeCsv, takeGpx } from '@/io/take';
import { missing, refuse } from '../../../respond';

const AS = ['json', 'csv', 'gpx'] as const;

/** A driven take as a file: whole as JSON, its samples as CSV, or its track as GPX (`?as=`). */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const as = new URL(request.url).searchParams.get('as') ?? 'json';
  if (!AS.some((known) => known === as))
    return refuse(422, [{ path: 'as', message: "say 'json', 'csv' or 'gpx'" }]);
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
  if (as === 'gpx') {
    const gpx = takeGpx(file, opened.value.startedAt);
    return gpx.ok
      ? new Response(gpx.value, download('application/gpx+xml', 'gpx'))
      : refuse(422, gpx.problems);
  }
  const csv = takeCsv(file);
  return csv.ok
    ? new Response(csv.value, download('text/csv; charset=utf-8', 'csv'))
    : refuse(422, csv.problems);
}
