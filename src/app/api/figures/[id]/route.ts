import { library, removeFigure } from '@/db';
import { done, missing, route } from '../../define';

export const DELETE = route(
  { says: 'Runs a figure out; sent to POST again it is back.', answers: { 204: null } },
  ({ id }) => (removeFigure(library(), id) ? done() : missing(id, 'figure')),
);
