import { library, openManoeuvre } from '@/db';
import { toFile } from '@/document';
import { download, missing, refuse, route } from '../../../define';

export const GET = route(
  {
    says: 'A manoeuvre as a file that stands alone, boat and place with it.',
    answers: { 200: 'application/json' },
  },
  ({ id }) => {
    const opened = openManoeuvre(library(), id);
    if (!opened) return missing(id);
    if (!opened.ok) return refuse(500, opened.problems);
    const { manoeuvre, boat, place } = opened.value;
    const text = JSON.stringify(toFile(manoeuvre, boat, place), null, 2);
    return download(text, 'application/json', `${id}.yawtrope.json`);
  },
);
