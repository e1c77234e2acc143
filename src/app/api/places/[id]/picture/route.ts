import { keptPlaces, library } from '@/db';
import { placePicture } from '@/ui/pictures/plan-picture';
import { PALETTES } from '@/ui/theme/palette';
import { missing, refuse, route } from '../../../define';
import { lightSchema, picture, SVG, type Light } from '../../../picture';

export const GET = route<Light>(
  { says: 'A place in small, north up.', query: lightSchema, answers: { 200: SVG } },
  ({ id, query: { by } }) => {
    const opened = keptPlaces.open(library(), id);
    if (!opened) return missing(id, 'place');
    if (!opened.ok) return refuse(422, opened.problems);
    return picture(placePicture(opened.value.document, PALETTES[by]));
  },
);
