import { library, removeTechnique } from '@/db';
import { done, missing, route } from '../../define';

export const DELETE = route(
  { says: 'Removes a technique; sent to POST again it is back.', answers: { 204: null } },
  ({ id }) => (removeTechnique(library(), id) ? done() : missing(id, 'technique')),
);
