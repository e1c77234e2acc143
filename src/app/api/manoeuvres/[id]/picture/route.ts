import { lastResultKept, library, openManoeuvre } from '@/db';
import { planPicture } from '@/ui/pictures/plan-picture';
import { PALETTES } from '@/ui/theme/palette';
import { missing, refuse, route } from '../../../define';
import { lightSchema, picture, SVG, type Light } from '../../../picture';

export const GET = route<Light>(
  { says: 'The plan in small, as it came out last.', query: lightSchema, answers: { 200: SVG } },
  ({ id, query: { by } }) => {
    const opened = openManoeuvre(library(), id);
    if (!opened) return missing(id);
    if (!opened.ok) return refuse(422, opened.problems);
    const last = lastResultKept(library(), id);
    return picture(planPicture(opened.value, last?.result ?? null, PALETTES[by]));
  },
);
