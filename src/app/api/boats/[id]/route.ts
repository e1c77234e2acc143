import { keptBoats } from '@/db';
import { boatSchema } from '@/document';
import { keptRoutes } from '../../document-routes';

export const { GET, PUT, DELETE, PATCH } = keptRoutes(keptBoats, boatSchema, 'boat');
