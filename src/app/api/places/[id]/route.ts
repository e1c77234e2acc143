import { keptPlaces } from '@/db';
import { placeSchema } from '@/document';
import { keptRoutes } from '../../document-routes';

export const { GET, PUT, DELETE, PATCH } = keptRoutes(keptPlaces, placeSchema, 'place');
