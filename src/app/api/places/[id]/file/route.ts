import { keptPlaces, library } from '@/db';
import { placeGeoJson } from '@/io/geojson';
import { missing, refuse } from '../../../respond';

/** A place as a file: as this program keeps it, or as GeoJSON (`?as=`). */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const as = new URL(request.url).searchParams.get('as') ?? 'json';
  if (as !== 'json' && as !== 'geojson')
    return refuse(422, [{ path: 'as', message: "say 'json' or 'geojson'" }]);
  const opened = keptPlaces.open(library(), id);
  if (!opened) return missing(id, 'place');
  if (!opened.ok) return refuse(500, opened.problems);
  const { document } = opened.value;
  const download = (text: string, type: string, ending: string) =>
    new Response(text, {
      headers: {
        'content-type': type,
        'content-disposition': `attachment; filename="${id}.${ending}"`,
      },
    });
  if (as === 'json')
    return download(JSON.stringify(document, null, 2), 'application/json', 'yawtrope-place.json');
  const geo = placeGeoJson(document);
  return geo.ok
    ? download(JSON.stringify(geo.value, null, 2), 'application/geo+json', 'geojson')
    : refuse(422, geo.problems);
}
