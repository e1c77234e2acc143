import { library, noteOpened } from '@/db';
import { done, missing, route } from '../../../define';

export const POST = route(
  { says: 'Notes that a manoeuvre was opened just now.', answers: { 204: null } },
  ({ id }) => (noteOpened(library(), id, Date.now()) ? done() : missing(id)),
);
