import { keptBoats, library } from '@/db';
import { download, missing, refuse, route } from '../../../define';

export const GET = route(
  { says: 'A boat as a file to keep.', answers: { 200: 'application/json' } },
  ({ id }) => {
    const opened = keptBoats.open(library(), id);
    if (!opened) return missing(id, 'boat');
    if (!opened.ok) return refuse(500, opened.problems);
    const text = JSON.stringify(opened.value.document, null, 2);
    return download(text, 'application/json', `${id}.boat.json`);
  },
);
