import { z } from 'zod';
import { keptPlaces, library } from '@/db';
import { formatsOf, PLACE_EXPORTERS } from '@/io/exporters';
import { download, missing, refuse, route } from '../../../define';

const querySchema = z.object({
  as: z.enum(formatsOf(PLACE_EXPORTERS), { error: "say 'json' or 'geojson'" }).default('json'),
});

export const GET = route(
  {
    says: 'A place as a file: as this program keeps it, or as GeoJSON.',
    query: querySchema,
    answers: { 200: 'application/json, application/geo+json' },
  },
  ({ id, query: { as } }) => {
    const opened = keptPlaces.open(library(), id);
    if (!opened) return missing(id, 'place');
    if (!opened.ok) return refuse(500, opened.problems);
    const { document } = opened.value;
    if (as === 'json') {
      const text = JSON.stringify(document, null, 2);
      return download(text, 'application/json', `${id}.yawtrope-place.json`);
    }
    const { type, ending, write } = PLACE_EXPORTERS[as];
    const made = write(document);
    if (!made.ok) return refuse(422, made.problems);
    return download(made.value, type, `${id}.${ending}`);
  },
);
