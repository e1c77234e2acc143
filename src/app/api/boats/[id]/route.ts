import { keptBoats } from '@/db';
import { boatSchema } from '@/document';
import { keptRoutes } from '../../kept-routes';

export const { GET, PUT, DELETE, PATCH } = keptRoutes(keptBoats, boatSchema, 'boat');
